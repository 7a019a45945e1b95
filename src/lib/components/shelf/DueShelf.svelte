<script lang="ts">
	import { untrack } from 'svelte';
	import { drillsForSkill, type SkillChoice } from '$core/building';
	import type { Drill } from '$core/model/drill';
	import type { Evaluation } from '$core/playing';
	import { ladderOf } from '$core/drill';
	import { floorsIn, type DueSkill } from '$core/season';
	import { useWords } from '$lib/components/page/words.svelte';
	import { DueHere } from '$lib/state/dueHere.svelte';
	import texts from '$texts/dueShelf';
	import { dragged, type DragHandlers } from '../drag/dragged';
	import { dueWords } from '../season/dueWords';
	import { wholeName } from '../season/names';
	import type { DrillWish, Fit } from './fits';

	/**
	 * What is due in this practice, each with the drill that gives it best here today, at the rung where its
	 * ladder stands: Enter or a drag puts it on the tape. Below, what every practice is to hold.
	 */
	let {
		evaluation,
		fits,
		onadd,
		dragOf
	}: {
		evaluation: Evaluation;
		/** How each drill at hand fits who is here. */
		fits: readonly Fit[];
		onadd: (drill: Drill, wish?: DrillWish) => void;
		dragOf: (drill: Drill, wish?: DrillWish) => DragHandlers;
	} = $props();

	const say = useWords();
	const FEW = 3;
	const { teamId, id } = untrack(() => evaluation.practice);
	const here = new DueHere(`/${teamId}/practices/${id}/due`);
	const date = $derived(evaluation.practice.date);
	$effect(() => {
		void date;
		void here.ask();
	});
	let isAll = $state(false);
	let isOpen = $state(true);
	/** How often another drill was asked for, by skill. */
	let turns: Record<string, number> = $state({});

	const called = $derived(evaluation.context.team);
	const names = $derived({ areas: called.skillAreas, units: called.units });
	const fitBy = $derived(new Map(fits.map(({ drill, score }) => [drill.id, score])));
	const wordsBy = $derived(new Map(fits.map(({ drill, words }) => [drill.id, words])));
	const used = $derived(
		new Set(evaluation.runs.flatMap(({ run }) => (run.drill ? [run.drill.id] : [])))
	);
	const keyOf = ({ skill, unit = '' }: DueSkill) => `${skill} ${unit}`;

	function choicesFor({ skill, owedMinutes }: DueSkill): SkillChoice[] {
		const rungs = here.known?.rungs ?? {};
		const found = drillsForSkill(
			fits.map(({ drill }) => drill),
			{
				skill,
				owedMinutes,
				// What was never run begins with the easiest rung.
				rungOf: (drill) => (drill.id in rungs ? rungs[drill.id] : ladderOf(drill)[0]),
				fitOf: (drill) => fitBy.get(drill.id) ?? -1
			}
		);
		// What is on the tape already comes last.
		return found.sort((a, b) => Number(used.has(a.drill.id)) - Number(used.has(b.drill.id)));
	}
	const shown = $derived((here.known?.due ?? []).slice(0, isAll ? undefined : FEW));
	const lines = $derived(
		isOpen
			? shown.map((each) => {
					const choices = choicesFor(each);
					const choice = choices[(turns[keyOf(each)] ?? 0) % Math.max(1, choices.length)];
					return { each, choices, choice };
				})
			: []
	);
	const floors = $derived(floorsIn(evaluation));
	const rungName = ({ drill, rung }: SkillChoice) =>
		drill.rungs.find((each) => each.id === rung)?.name;
	const wishOf = (each: DueSkill, { rung, minutes }: SkillChoice): DrillWish => ({
		minutes,
		...(rung !== undefined && { rung }),
		...(each.unit !== undefined && { unit: each.unit })
	});
	const choiceWords = (choice: SkillChoice) => {
		const rung = rungName(choice);
		const values = { name: choice.drill.name, minutes: choice.minutes };
		return rung ? say(texts.onRung, { ...values, rung }) : say(texts.choice, values);
	};
	const floorWords = ({ skill, minutes, got, periods }: (typeof floors)[number]) => {
		const name = wholeName({ skill }, names, say);
		if (periods.length === 0) return say(texts.floorNone, { name, minutes });
		return say(texts.floor, {
			...{ name, minutes, got: Math.round(got) },
			periods: periods.map((each) => each.name).join(', ')
		});
	};
</script>

{#if here.known && (here.known.due.length > 0 || floors.length > 0)}
	<section aria-label={say(texts.due)}>
		<button type="button" class="head" aria-expanded={isOpen} onclick={() => (isOpen = !isOpen)}
			>{say(texts.due)}</button
		>
		{#if isOpen}
			<ol>
				{#each lines as { each, choices, choice } (keyOf(each))}
					{@const name = wholeName(each, names, say)}
					<li>
						{#if choice}
							<button
								type="button"
								class="item"
								aria-label={say(texts.put, { name, choice: choiceWords(choice) })}
								title="{dueWords(each, say, date)}. {wordsBy.get(choice.drill.id) ?? ''}"
								onclick={() => onadd(choice.drill, wishOf(each, choice))}
								{@attach dragged(() => dragOf(choice.drill, wishOf(each, choice)))}
							>
								<strong>{name}</strong>
								<small>{dueWords(each, say, date)}</small>
								<span>{choiceWords(choice)}</span>
							</button>
							{#if choices.length > 1}
								<button
									type="button"
									class="link"
									aria-label={say(texts.anotherFor, { name })}
									onclick={() =>
										(turns = { ...turns, [keyOf(each)]: (turns[keyOf(each)] ?? 0) + 1 })}
									>{say(texts.another)}</button
								>
							{/if}
						{:else}
							<p><strong>{name}</strong> <small>{say(texts.noDrill)}</small></p>
						{/if}
					</li>
				{/each}
			</ol>
			{#if here.known.due.length > FEW}
				<button type="button" class="link" onclick={() => (isAll = !isAll)}
					>{say(isAll ? texts.fewer : texts.all, { count: here.known.due.length })}</button
				>
			{/if}
			{#each floors as floor (floor.skill)}
				<p class="floor" class:short={floor.got < floor.minutes - 0.5}>{floorWords(floor)}</p>
			{/each}
		{/if}
	</section>
{/if}

<style>
	section {
		max-height: 40vh;
		overflow-y: auto;
		padding-bottom: 6px;
		margin-bottom: 6px;
		border-bottom: 1px solid var(--ink);
	}
	.head {
		width: 100%;
		min-height: 24px;
		padding: 0;
		border: 0;
		background: none;
		font: inherit;
		font-size: 13.5px;
		font-weight: 700;
		text-align: left;
		cursor: pointer;
	}
	.head::after {
		content: ' −';
	}
	.head[aria-expanded='false']::after {
		content: ' +';
	}
	li {
		display: flex;
		gap: 4px;
		align-items: start;
		border-top: 1px solid var(--rule);
	}
	.item {
		display: grid;
		flex: 1;
		min-width: 0;
		padding: 3px 2px 4px;
		border: 0;
		background: none;
		font: inherit;
		font-size: 13px;
		line-height: 1.25;
		color: inherit;
		text-align: left;
		cursor: grab;
		touch-action: pan-y;
	}
	.item:hover {
		background: var(--chalk-deep);
	}
	.item span {
		font-stretch: 85%;
	}
	strong {
		font-weight: 700;
	}
	small {
		font-size: 12px;
		font-stretch: 80%;
		color: var(--ink-soft);
	}
	.link {
		font-size: 12px;
		font-stretch: 80%;
	}
	p {
		padding: 3px 2px;
		font-size: 12.5px;
		line-height: 1.3;
	}
	.floor {
		font-stretch: 85%;
		color: var(--ink-soft);
	}
	.short {
		color: var(--wait-ink);
		font-weight: 650;
	}
</style>
