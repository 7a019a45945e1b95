<script lang="ts">
	import { Button, Checkbox, Modal, RadioButton, RadioButtonGroup } from 'carbon-components-svelte';
	import { onMount } from 'svelte';
	import { weigh, type GroupMode } from '$core/grouping';
	import type { Period } from '$core/model/practice';
	import { regroup } from '$core/building';
	import type { Edit, Plan } from '$core/practice';
	import type { Meetings } from '$core/season';
	import { Planning } from '$lib/state/planning.svelte';
	import SearchProgress from '../page/SearchProgress.svelte';
	import { askedGroups, clashWords, dealtGroups, MODES, unitsHere } from './asked';
	import GroupList from './GroupList.svelte';
	import PairRules from './PairRules.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/groups';

	/** New groups for a period: what for, who stays where, who goes together and who apart. */
	let {
		plan,
		period,
		met,
		onapply,
		onclose
	}: {
		plan: Plan;
		period: Period;
		met: Meetings;
		onapply: (edit: Edit) => void;
		onclose: () => void;
	} = $props();

	const say = useWords();
	const SECONDS = 3;
	const planning = new Planning<'group'>(say);
	let mode: GroupMode = $state('even');
	let together: string[][] = $state.raw([]);
	let apart: string[][] = $state.raw([]);
	let pinned: string[] = $state.raw([]);
	let leaders = $state(false);
	let units = $state(false);
	/** Groups that were changed by hand since they were made. */
	let own: string[][] | null = $state.raw(null);

	const dealt = $derived(dealtGroups(period, new Set(plan.practice.expected)));
	const { groups } = $derived(dealt);
	const away = $derived(dealt.absent.flat().length);
	const ids = $derived(groups.flatMap(({ players }) => players));
	const shown = $derived(own ?? planning.best?.groups ?? groups.map(({ players }) => players));
	const wishes = $derived({ mode, together, apart, pinned, leaders, units });
	const input = $derived(askedGroups(dealt, { context: plan.context, wishes, met }));
	/** What groups are worth; nothing where they cannot be weighed. */
	function worthOf(ids: readonly (readonly string[])[]) {
		const worth = weigh(input, ids);
		return worth.ok ? worth.value : null;
	}
	const name = (id: string) => plan.context.playerById.get(id)?.name ?? id;
	const unitName = (id: string) =>
		plan.context.team.units.find((unit) => unit.id === id)?.name ?? id;
	/** Units of which there is not one for every group. */
	const few = $derived(
		unitsHere(dealt, plan.context).flatMap(({ name: unit, isEnough }) => (isEnough ? [] : unit))
	);
	const leading = $derived(new Set(ids.filter((id) => plan.context.playerById.get(id)?.leads)));

	onMount(() => () => planning.close());

	function make() {
		own = null;
		void planning.ask({ kind: 'group', input, seconds: SECONDS });
	}
	function pin(id: string) {
		pinned = pinned.includes(id) ? pinned.filter((each) => each !== id) : [...pinned, id];
	}
	function apply() {
		if (!own && !planning.best) return;
		// Who does not come keeps a place: they are in a group again when they come after all.
		const all = shown.map((ids, index) => [...ids, ...dealt.absent[index]]);
		onapply(regroup(period, all, leading));
		onclose();
	}
</script>

<Modal
	open
	size="lg"
	modalHeading={say(texts.groupsOf, { name: period.name })}
	primaryButtonText={say(texts.useTheseGroups)}
	primaryButtonDisabled={!own && !planning.best}
	secondaryButtonText={say(texts.cancel)}
	on:click:button--secondary={onclose}
	on:close={onclose}
	on:submit={apply}
>
	<div class="layout">
		<div class="wishes">
			<RadioButtonGroup
				legendText={say(texts.whatFor)}
				orientation="vertical"
				selected={mode}
				on:change={(event) => (mode = event.detail as GroupMode)}
			>
				{#each MODES as each (each.mode)}
					<RadioButton
						value={each.mode}
						labelText={say(texts.mode, { name: say(each.name), says: say(each.says) })}
					/>
				{/each}
			</RadioButtonGroup>
			{#if away > 0}
				<p>
					{say(texts.awayPlayerDoesNotComeAnd, { away })}
				</p>
			{/if}
			{#if leading.size > 0}
				<Checkbox
					bind:checked={leaders}
					labelText={say(texts.oneWhoLeadsInEachGroup, { size: leading.size, idCount: ids.length })}
				/>
			{/if}
			{#if plan.context.team.units.length > 1}
				<Checkbox bind:checked={units} labelText={say(texts.oneOfEachUnit)} />
				{#if units && few.length > 0}
					<p>{say(texts.tooFewForEach, { names: few.join(', ') })}</p>
				{/if}
			{/if}
			<PairRules players={ids.map((id) => ({ id, name: name(id) }))} bind:together bind:apart />
			<Button size="field" on:click={make}>{say(texts.makeGroups)}</Button>
		</div>
		<div>
			<SearchProgress
				{planning}
				does={say(texts.lookingForBetterGroups)}
				trouble={clashWords(
					planning.failure,
					{ together, apart },
					{ name, unitName, input: planning.answers?.input ?? input, say }
				) || planning.trouble}
			/>
			<GroupList
				{groups}
				players={shown}
				context={plan.context}
				{pinned}
				isMade={own !== null || planning.best !== null}
				{worthOf}
				onpin={pin}
				onswap={(next) => (own = next)}
			/>
		</div>
	</div>
</Modal>

<style>
	.layout {
		display: grid;
		grid-template-columns: minmax(230px, 1fr) 2.4fr;
		gap: 24px;
	}
	.wishes {
		display: grid;
		gap: 16px;
		align-content: start;
	}
	@media (max-width: 672px) {
		.layout {
			grid-template-columns: 1fr;
		}
	}
</style>
