<script lang="ts">
	import { type Evaluation, onRung } from '$core/playing';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/handOut';
	import Bib from '../bib/Bib.svelte';
	import Field from '../field/Field.svelte';
	import { drawingsOf } from './drawings';
	import { callerOf, movesOf, rungCards, spanOf } from './handOut';
	import { sheetBlocks } from './sheet';

	/** A card for each station and each block: drawn for today's number, with all that is said there. */
	let { evaluation, numbersOnly }: { evaluation: Evaluation; numbersOnly: boolean } = $props();

	const say = useWords();
	const call = $derived(callerOf(evaluation, numbersOnly));
	const drawings = $derived(new Map(drawingsOf(evaluation).map((each) => [each.block.id, each])));
	const cards = $derived(
		evaluation.windows.flatMap((window) =>
			sheetBlocks(evaluation, window, { say }).flatMap(({ block, drill, zones, lines }) => {
				if (!drill) return [];
				const runs = evaluation.runs.filter(({ run }) => run.block === block).map(({ run }) => run);
				return [
					{
						...{ block, drill, zones, lines, runs },
						rungs: rungCards(block, drill, say),
						moves: movesOf(onRung(drill, block.climb[0].rung), say),
						adults: [...new Set(runs.flatMap(({ adults }) => adults))].map(call).join(', ')
					}
				];
			})
		)
	);
</script>

{#each cards as { block, drill, zones, lines, runs, rungs, moves, adults } (block.id)}
	{@const drawing = drawings.get(block.id)}
	<section class="card" aria-label={drill.name}>
		<h2>{drill.name} <span>{zones}</span></h2>
		<p>{adults}</p>
		<ul class="times">
			{#each runs as run, index (index)}
				<li>
					<strong>{spanOf(evaluation, run, say)}</strong>
					{#each run.groups as { bib, id } (id)}<Bib {bib} size={14} />{/each}
					{#if run.players.length === evaluation.practice.expected.length}
						{say(texts.everybody, { count: run.players.length })}
					{:else}
						{run.players.map(call).join(', ')}
					{/if}
				</li>
			{/each}
		</ul>
		{#if drawing}
			<div class="drawing">
				<Field
					evaluation={drawing.alone}
					now={drawing.now}
					label="{drawing.name}, {drawing.when}"
				/>
			</div>
		{/if}
		{#if lines}<p>{lines}</p>{/if}
		<p><strong>{say(texts.turnEnds)}</strong> {moves.join(', ')}</p>
		{#each rungs as rung (rung.name)}
			<h3>{rung.name}</h3>
			<p>{rung.cues.join(' · ')}</p>
			{#each rung.told as line, k (k)}<p>{line}</p>{/each}
			{#each rung.faults as line, k (k)}<p class="fault">{line}</p>{/each}
			{#if rung.others.length > 0}<p>
					{say(texts.others, { told: rung.others.join(' · ') })}
				</p>{/if}
			{#if rung.cautions.length > 0}
				<p class="care">{say(texts.care, { cautions: rung.cautions.join(' ') })}</p>
			{/if}
		{/each}
	</section>
{:else}
	<p>{say(texts.none)}</p>
{/each}

<style>
	h2 span {
		font-weight: 450;
	}
	.times li {
		display: flex;
		flex-wrap: wrap;
		gap: 0 4px;
		align-items: center;
	}
	.drawing {
		--turf: #fff;
		padding: 1mm 0;
	}
	.drawing :global(svg.field) {
		max-height: 52mm;
	}
	h3 {
		padding-top: 1.5mm;
		font-size: 1em;
		font-weight: 750;
	}
	.fault {
		font-style: italic;
	}
	.care {
		font-weight: 650;
	}
</style>
