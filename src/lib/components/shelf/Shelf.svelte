<script lang="ts">
	import type { Evaluation } from '$core/playing';
	import { Search } from 'carbon-components-svelte';
	import type { Drill } from '$core/model/drill';
	import { dragged, type DragHandlers } from '../drag/dragged';
	import type { DrillLookup } from '$lib/state/drillLookup.svelte';
	import { fitOf, matches, type DrillWish, type Fit, SHELF_MINUTES } from './fits';
	import { PLAIN_PERIODS, type PlainKind } from './plain';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/shelf';

	/** The drills, best fitting first for who is here today; a click puts one on the tape. */
	let {
		evaluation,
		lookup,
		onShelf,
		onadd,
		onplain,
		selected,
		onopen,
		onborrow,
		onhold,
		ondrop
	}: {
		evaluation: Evaluation;
		lookup: DrillLookup;
		/** How many drills there are in all: more than are at hand in a large club. */
		onShelf: number;
		onadd: (drill: Drill, wish?: DrillWish) => void;
		onplain: (kind: PlainKind) => void;
		/** Name of the period that is selected on the tape. */
		selected: string | undefined;
		/** Shows that period in the shelf's place. */
		onopen: () => void;
		/** Asks for a period of another practice. */
		onborrow: () => void;
		/** A drill is held over the board; null when it was let go without a drop. */
		onhold: (
			drill: Drill | null,
			at: { clientX: number; clientY: number },
			wish?: DrillWish
		) => void;
		ondrop: () => void;
	} = $props();

	const say = useWords();
	const plain = $derived(
		PLAIN_PERIODS.filter(({ kind }) => kind !== 'units' || evaluation.context.team.units.length > 0)
	);
	let search = $state('');
	// What a drill could have depends on who is there, not on the periods nor on other drills: kept until that changes.
	let kept = { expected: [] as string[], adults: [] as string[], fits: new Map<Drill, Fit>() };
	const fits = $derived.by(() => {
		const { practice, context } = evaluation;
		const { expected, adults } = practice;
		if (kept.expected !== expected || kept.adults !== adults)
			kept = { expected, adults, fits: new Map() };
		const plan = { practice: { ...practice, periods: [] }, context };
		const fitted = (drill: Drill) => {
			const fit = kept.fits.get(drill) ?? fitOf(plan, drill, SHELF_MINUTES, { say });
			kept.fits.set(drill, fit);
			return fit;
		};
		return context.shelf.map(fitted).sort((a, b) => b.score - a.score);
	});
	const found = $derived(fits.filter(({ drill }) => matches(drill, search)));
	const isAllHere = $derived(fits.length >= onShelf);
	const LOOK_AFTER_MILLISECONDS = 250;
	// Words are looked for on the whole shelf too, once the typing pauses.
	$effect(() => {
		const words = search.trim();
		if (words === '' || isAllHere) return;
		const timer = setTimeout(() => void lookup.find(words), LOOK_AFTER_MILLISECONDS);
		return () => clearTimeout(timer);
	});
	const used = $derived(
		new Set(evaluation.runs.flatMap(({ run }) => (run.drill ? [run.drill.id] : [])))
	);
	/** Where the cursor was before the search. */
	let cameFrom: HTMLElement | null = null;
	/** Enter takes the first drill found; Escape lets go of the search and goes back to where one was. */
	function searchKey(event: KeyboardEvent) {
		if (event.key === 'Enter' && found[0]) onadd(found[0].drill);
		if (event.key === 'Escape' && search === '') {
			if (cameFrom?.isConnected) cameFrom.focus();
			else (document.activeElement as HTMLElement | null)?.blur();
		}
	}
	const NOWHERE = { clientX: 0, clientY: 0 };
	const dragOf = (drill: Drill, wish?: DrillWish): DragHandlers => ({
		onmove: (by) => onhold(drill, by, wish),
		ondrop,
		oncancel: () => onhold(null, NOWHERE)
	});
</script>

<div class="column">
	<div>
		{#await import('./DueShelf.svelte') then { default: DueShelf }}
			<DueShelf {evaluation} {fits} {onadd} {dragOf} />
		{/await}
	</div>
	<section aria-label={say(texts.shelf)}>
		<header>
			<h2>
				{say(texts.drillsForPlayersMin, {
					expectedCount: evaluation.practice.expected.length,
					minutes: SHELF_MINUTES
				})}
			</h2>
			{#if selected}
				<button
					class="link"
					onclick={onopen}
					aria-label={say(texts.open, { selected })}
					title={say(texts.open, { selected })}>{say(texts.period)}</button
				>
			{/if}
		</header>
		<div class="find">
			<Search
				id="find-drill"
				size="sm"
				labelText={say(texts.findDrill)}
				placeholder={say(texts.findDrillKey)}
				bind:value={search}
				on:focus={(event) => (cameFrom = event.relatedTarget as HTMLElement | null)}
				on:keydown={searchKey}
			/>
		</div>
		<div class="plain">
			{#each plain as { kind, label } (kind)}
				<button class="link" onclick={() => onplain(kind)}>{say(label)}</button>
			{/each}
			<button class="link" onclick={onborrow} title={say(texts.periodOfAnotherPractice)}
				>{say(texts.borrow)}</button
			>
		</div>
		<ul>
			{#each found as { drill, words, score } (drill.id)}
				<li>
					<button
						onclick={() => onadd(drill)}
						title={say(texts.clickOrDragItOntoThe, { summary: drill.summary })}
						{@attach dragged(() => dragOf(drill))}
					>
						<strong>{drill.name}</strong>
						{#if used.has(drill.id)}<span class="used">{say(texts.onTheTape)}</span>{/if}
						<span class="facts narrow" class:off={score < 0}>{words}</span>
					</button>
				</li>
			{:else}
				<li class="none">
					{say(texts.noDrillHasTheseWords)}
					<button class="link" onclick={() => (search = '')}>{say(texts.showAll)}</button>
				</li>
			{/each}
			{#if !isAllHere}
				<li class="none">
					{lookup.isAway
						? say(texts.theServerDoesNotAnswerOnly)
						: say(texts.ofDrillsAreListedSearchFor, { fitCount: fits.length, onShelf })}
				</li>
			{/if}
		</ul>
	</section>
</div>

<style>
	.column {
		display: grid;
		grid-template-rows: auto minmax(0, 1fr);
		grid-template-columns: minmax(0, 1fr);
		min-height: 0;
		height: 100%;
	}
	section {
		display: grid;
		grid-template-rows: auto auto auto 1fr;
		grid-template-columns: minmax(0, 1fr);
		min-height: 0;
		height: 100%;
	}
	h2 {
		font-size: 13.5px;
		font-weight: 700;
		padding-bottom: 6px;
	}
	header {
		display: flex;
		justify-content: space-between;
		gap: 8px;
	}
	.plain .link {
		font-stretch: 78%;
		font-size: 13px;
	}
	.plain {
		display: flex;
		flex-wrap: wrap;
		gap: 0 9px;
		white-space: nowrap;
		padding: 4px 0;
		border-bottom: 1px solid var(--rule);
	}
	ul {
		overflow-y: auto;
		min-height: 0;
	}
	li {
		border-bottom: 1px solid var(--rule);
	}
	li > button:not(.link) {
		width: 100%;
		border: 0;
		background: none;
		padding: 6px 2px;
		font: inherit;
		color: inherit;
		text-align: left;
		cursor: grab;
		touch-action: pan-y;
		line-height: 1.25;
	}
	li > button:not(.link):hover {
		background: var(--chalk-deep);
	}
	.facts {
		display: block;
		color: var(--ink-soft);
		font-size: 12.5px;
	}
	.facts.off {
		color: var(--stop);
	}
	.used {
		font-size: 12px;
		color: var(--ink-soft);
	}
	.none {
		padding: 8px 2px;
	}
</style>
