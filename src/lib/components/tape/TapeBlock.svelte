<script lang="ts">
	import { group, sum } from 'd3-array';
	import Bib from '../bib/Bib.svelte';
	import type { BlockFigures } from '$core/playing';
	import type { Context } from '$core/practice';
	import type { Severity } from '$core/checks';
	import { dragged, type DragHandlers } from '../drag/dragged';
	import type { TapeBlock } from './layout';
	import { blockWords, percent, turnsInShort, turnsWords } from './words';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/tape';

	/** A block on its lane. The left edge is a gauge: busy filled, waiting hatched, talk and walks bare. */
	let {
		block,
		context,
		figures,
		fault,
		isSelected,
		isBack,
		isFirst,
		box,
		scale,
		onselect,
		drag
	}: {
		block: TapeBlock;
		context: Context;
		figures: BlockFigures | undefined;
		fault: Severity | undefined;
		isSelected: boolean;
		/** It is not for the unit that is worked on alone. */
		isBack: boolean;
		/** Says the name for its block where copies are too narrow to. */
		isFirst: boolean;
		box: { left: number; width: number; top: number; height: number };
		/** Pixels a second. */
		scale: number;
		onselect: () => void;
		drag: DragHandlers;
	} = $props();

	const say = useWords();
	const [run] = $derived(block.runs);
	const drill = $derived(run.drill?.name ?? run.period.name);
	const name = $derived(
		block.copies > 1 ? say(texts.timesOver, { name: drill, copies: block.copies }) : drill
	);
	const label = $derived(say(texts.blockGivesLabel, { name, gives: blockWords(figures, say) }));
	const turns = $derived(figures?.turns ? turnsWords(figures.turns, say) : '');
	const atOnce = $derived(block.runs.filter(({ fromSecond }) => fromSecond === run.fromSecond));
	const playerCount = $derived(sum(atOnce, ({ players }) => players.length));
	const adults = $derived(
		[...new Set(atOnce.flatMap((each) => each.adults))]
			.map((id) => context.adultById.get(id)?.name.split(' ')[0] ?? id)
			.join(', ')
	);
	const isNarrow = $derived(box.width < 150 || block.isCovered === true);
	/** Too narrow for words: the bib tells whose it is. */
	const isTiny = $derived(box.width < 48);
	/** One line of words: the rest is for the bibs, more of them where copies are drawn as one. */
	const isTight = $derived(box.height < (block.copies > 1 && isNarrow ? 60 : 34));
	const isCramped = $derived(box.width < 90 && block.where !== undefined);
	const shortTurns = $derived(figures?.turns ? turnsInShort(figures.turns, say) : '');
	const hasBibs = $derived(block.runs.some(({ groups }) => groups.length > 0));
	const facts = $derived(
		isCramped
			? [block.where]
			: [
					block.where ?? '',
					isNarrow ? '' : say(texts.playerCount, { playerCount: playerCount }),
					isNarrow ? shortTurns : turns,
					!isNarrow && figures?.turns
						? say(texts.waits, { percent: percent(figures.waitShare) })
						: '',
					isNarrow ? '' : adults
				].filter(Boolean)
	);
	/** Small where the words of a narrow copy need the room. */
	const bibSize = (height: number) =>
		isCramped ? 13 : Math.max(13, Math.min(isNarrow && !block.isStation ? 16 : 22, height - 4));
	/** Copies drawn as one run side by side: what begins at once is one slice. */
	const slices = $derived(
		[...group(block.runs, ({ fromSecond }) => fromSecond).values()].map((runs) => ({
			top: (runs[0].fromSecond - block.fromSecond) * scale,
			height: (runs[0].toSecond - runs[0].fromSecond) * scale,
			bibs: [...new Set(runs.flatMap(({ groups }) => groups.map(({ bib }) => bib)))]
		}))
	);
</script>

<button
	class="block {fault ?? ''}"
	class:selected={isSelected}
	class:back={isBack}
	class:spills={isTiny && isFirst}
	style:left="{box.left + 1}px"
	style:top="{box.top}px"
	style:width="{box.width - 2}px"
	style:height="{box.height}px"
	aria-pressed={isSelected}
	aria-label={[label, fault].filter(Boolean).join(', ')}
	title={adults ? say(texts.inFull, { first: label, then: adults }) : label}
	onclick={onselect}
	{@attach dragged(() => drag)}
>
	<span class="gauge" aria-hidden="true">
		<span class="wait" style:flex-grow={figures?.waitShare ?? 0}></span>
		<span class="rest" style:flex-grow={1 - (figures?.waitShare ?? 0) - (figures?.busyShare ?? 0)}
		></span>
		<span class="busy" style:flex-grow={figures?.busyShare ?? 0}></span>
	</span>
	{#if !isTiny || isFirst}
		<span
			class="words narrow"
			class:tight={isTight}
			class:cramped={isCramped && !isTiny}
			class:station={block.isStation}
			class:beside={!block.isStation && isNarrow && hasBibs}
			style:--lines={Math.max(1, Math.floor(((slices[0]?.height ?? box.height) - 2) / 14.4))}
		>
			<strong
				>{block.isStation && block.where
					? say(texts.inFull, { first: name, then: block.where })
					: name}</strong
			>
			{#if !block.isStation && !isTight && !isTiny}
				<span>{facts.join(' · ')}</span>
			{/if}
		</span>
	{/if}
	{#each slices as slice, index (index)}
		<span
			class="slice"
			class:cut={index > 0}
			style:top="{slice.top}px"
			style:height="{slice.height}px"
			aria-hidden="true"
		>
			{#if block.isStation && slice.height >= 15}
				<span class="turns narrow">{index === 0 ? '' : shortTurns}</span>
			{/if}
			<span class="bibs">
				{#each slice.bibs as bib, place (place)}
					<Bib {bib} size={bibSize(slice.height)} />
				{/each}
			</span>
		</span>
	{/each}
	<span class="grip" aria-hidden="true"></span>
</button>

<style>
	.block {
		position: absolute;
		z-index: 2;
		padding: 0;
		border: 1px solid var(--ink);
		background: #fff;
		color: var(--ink);
		font: inherit;
		text-align: left;
		cursor: grab;
		touch-action: none;
		overflow: hidden;
	}
	.spills {
		overflow: visible;
		z-index: 3;
	}
	.spills strong {
		white-space: nowrap;
		overflow-wrap: normal;
		background: #fff;
		padding-right: 3px;
	}
	.spills .words {
		right: auto;
	}
	.grip {
		position: absolute;
		inset: auto 0 0;
		height: 7px;
		cursor: ns-resize;
		z-index: 2;
	}
	.grip:hover {
		background: rgb(18 84 90 / 35%);
	}
	.block.back {
		opacity: 0.35;
	}
	.block.warn {
		border-color: var(--wait);
		border-width: 2px;
	}
	.block.stop {
		border: 2px solid var(--stop);
	}
	.block.selected {
		box-shadow: 0 0 0 3px var(--action);
		z-index: 3;
	}
	.gauge {
		position: absolute;
		inset: 0 auto 0 0;
		width: 7px;
		display: flex;
		flex-direction: column;
		border-right: 1px solid var(--ink);
	}
	.gauge span {
		flex-basis: 0;
	}
	.busy {
		background: var(--action);
	}
	.wait {
		background: repeating-linear-gradient(135deg, var(--wait) 0 2px, #fff 2px 5px);
	}
	.words {
		position: absolute;
		inset: 2px 3px auto 11px;
		display: grid;
		line-height: 1.15;
		font-size: 12px;
		z-index: 1;
	}
	.words strong {
		font-size: 12.5px;
		font-weight: 700;
		overflow-wrap: anywhere;
		hyphens: auto;
	}
	.words.station {
		right: 27px;
	}
	/* The name may use the whole width: the bib stands at the foot. */
	.words.beside > span {
		padding-right: 18px;
	}
	.words.station strong {
		display: -webkit-box;
		-webkit-box-orient: vertical;
		-webkit-line-clamp: var(--lines);
		line-clamp: var(--lines);
		overflow: hidden;
	}
	.words.tight strong {
		font-size: 11px;
		white-space: nowrap;
		overflow: hidden;
		text-overflow: ellipsis;
	}
	.words.cramped strong {
		font-size: 11px;
		line-height: 1.05;
		hyphens: auto;
	}
	.words.tight {
		inset-block-start: 0;
	}
	.slice {
		position: absolute;
		left: 8px;
		right: 0;
		display: flex;
		align-items: flex-end;
		justify-content: space-between;
		padding: 0 3px 3px 4px;
	}
	.cut {
		border-top: 1px dashed var(--ink-soft);
	}
	.turns {
		font-size: 11.5px;
		align-self: center;
	}
	.bibs {
		display: flex;
		flex-wrap: wrap;
		justify-content: end;
		margin-left: auto;
	}
</style>
