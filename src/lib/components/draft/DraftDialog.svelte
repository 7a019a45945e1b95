<script lang="ts">
	import {
		Button,
		Checkbox,
		Modal,
		NumberInput,
		Select,
		SelectItem
	} from 'carbon-components-svelte';
	import { onMount, untrack } from 'svelte';
	import type { Alternative } from '$core/draft';
	import type { Period } from '$core/model/practice';
	import type { Edit, Plan } from '$core/practice';
	import { useWords } from '$lib/components/page/words.svelte';
	import { DueHere } from '$lib/state/dueHere.svelte';
	import { Planning } from '$lib/state/planning.svelte';
	import texts from '$texts/draft';
	import SearchProgress from '../page/SearchProgress.svelte';
	import { draftInput } from './asked';
	import DraftColumn from './DraftColumn.svelte';
	import { draftNames, usedDraft } from './draftWords';

	/** Drafts of the practice side by side: one is taken, or some of its periods are kept and the rest is drafted again. */
	let {
		plan,
		onapply,
		onclose
	}: { plan: Plan; onapply: (edit: Edit) => void; onclose: () => void } = $props();

	const say = useWords();
	const SECONDS = 20;
	const planning = new Planning<'draft'>(say);
	const { teamId, id } = untrack(() => plan.practice);
	const here = new DueHere(`/${teamId}/practices/${id}/due`);
	let arc: 'build-up' | 'play-first' = $state(untrack(() => plan.practice.arc ?? 'build-up'));
	let stations = $state('');
	let unitTime = $state(false);
	let scrimmage: number | null = $state(null);
	/** Periods that stay in the drafts: those that are locked on the tape, then those that are ticked. */
	let keep: Period[] = $state.raw(
		untrack(() => plan.practice.periods.filter(({ locked }) => locked))
	);
	const kept = $derived(new Set(keep.map((period) => period.id)));
	const hasUnits = $derived(plan.context.team.units.length > 1);
	const drafts = $derived(planning.best?.alternatives ?? []);
	const due = $derived(planning.answers?.input.of.due ?? []);

	async function ask() {
		if (!here.known) await here.ask();
		const wishes = { arc, unitTime, scrimmage, keep };
		const of = draftInput(
			plan,
			{ ...wishes, stations: stations === '' ? null : stations === 'with' },
			here.known
		);
		await planning.ask({ kind: 'draft', input: { of, names: draftNames(say) }, seconds: SECONDS });
	}
	onMount(() => {
		void ask();
		return () => planning.close();
	});

	function onkeep(draft: Alternative, period: Period, isKept: boolean) {
		// What is kept comes from one draft: periods of two could ask for the same people at once.
		const own = keep.filter((each) => draft.practice.periods.some((other) => other.id === each.id));
		keep = isKept ? [...own, period] : own.filter((each) => each.id !== period.id);
	}
	function use(draft: Alternative) {
		onapply(usedDraft(plan, draft, say));
		onclose();
	}
</script>

<Modal open size="lg" passiveModal modalHeading={say(texts.heading)} on:close={onclose}>
	<form
		onsubmit={(event) => {
			event.preventDefault();
			void ask();
		}}
	>
		<Select id="draft-arc" labelText={say(texts.arc)} bind:selected={arc}>
			<SelectItem value="build-up" text={say(texts.buildUp)} />
			<SelectItem value="play-first" text={say(texts.playFirst)} />
		</Select>
		<Select id="draft-stations" labelText={say(texts.stationsField)} bind:selected={stations}>
			<SelectItem value="" text={say(texts.asItComes)} />
			<SelectItem value="with" text={say(texts.withStations)} />
			<SelectItem value="without" text={say(texts.withoutStations)} />
		</Select>
		<NumberInput
			id="draft-game"
			allowEmpty
			labelText={say(texts.gameMinutes)}
			min={0}
			max={plan.practice.minutes}
			bind:value={scrimmage}
		/>
		{#if hasUnits}<Checkbox labelText={say(texts.unitTime)} bind:checked={unitTime} />{/if}
		<Button size="field" type="submit" kind="tertiary" disabled={planning.isRunning}
			>{say(keep.length > 0 ? texts.theRest : texts.again)}</Button
		>
	</form>
	<SearchProgress {planning} does={say(texts.drafting)} />
	{#if here.isAway}<p class="said">{say(texts.noDue)}</p>{/if}
	<div class="drafts" aria-busy={planning.isRunning}>
		{#each drafts as draft, index (index)}
			<DraftColumn
				{...{ draft, due, plan, kept }}
				number={index + 1}
				onkeep={(period, isKept) => onkeep(draft, period, isKept)}
				onuse={() => use(draft)}
			/>
		{/each}
	</div>
	{#if drafts.length > 0}
		<p class="said">
			{say(texts.keepSays)}
			{#if plan.practice.periods.length > 0}
				{say(texts.replaces, { count: plan.practice.periods.length })}
			{/if}
		</p>
	{/if}
</Modal>

<style>
	form {
		display: flex;
		flex-wrap: wrap;
		align-items: end;
		gap: 8px 16px;
		padding-bottom: 10px;
	}
	form > :global(*) {
		flex: 0 1 auto;
	}
	form > :global(.bx--form-item:nth-child(-n + 2)) {
		min-width: 200px;
	}
	.drafts {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(230px, 1fr));
		gap: 14px 0;
		min-height: 320px;
	}
	.drafts > :global(article:first-child) {
		border-left: 0;
		padding-left: 0;
	}
	.said {
		padding: 8px 0 0;
		font-size: 13px;
		color: var(--ink-soft);
	}
</style>
