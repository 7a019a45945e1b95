<script lang="ts">
	import type { Evaluation } from '$core/playing';
	import { Button, NumberInput, TextArea, TextInput } from 'carbon-components-svelte';
	import type { Period } from '$core/model/practice';
	import { mergeWithNext, movingGroups, setMinutes } from '$core/building';
	import { drillOf, type Edit, findBlock } from '$core/practice';
	import type { BoardView } from '$lib/state/boardView.svelte';
	import {
		duplicateSelected,
		lockSelected,
		mergeSelected,
		openGroups,
		openRotation,
		splitSelected
	} from '../board/boardKeys';
	import Choice from '../page/Choice.svelte';
	import Beside from './Beside.svelte';
	import BlockPanel from './BlockPanel.svelte';
	import GroupLeaders from './GroupLeaders.svelte';
	import PeriodDetails from './PeriodDetails.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/inspector';

	/** The selected period and its block: minutes, place in the order, and what is inside. */
	let {
		evaluation,
		view,
		period,
		onapply
	}: {
		evaluation: Evaluation;
		view: BoardView;
		period: Period;
		onapply: (edit: Edit) => void;
	} = $props();

	const say = useWords();
	// What is typed stays until the period itself changes.
	let minutes: number | null = $derived(period.minutes);
	let name = $derived(period.name);
	let note = $derived(period.note ?? '');
	const found = $derived(view.block ? findBlock(evaluation.practice, view.block) : undefined);
	const periods = $derived(evaluation.practice.periods);
	const index = $derived(periods.findIndex(({ id }) => id === period.id));
	const actions = $derived({ evaluation, view, say, apply: onapply });
	const canMerge = $derived(mergeWithNext(evaluation.practice, period.id) !== null);
	const canSplit = $derived(['together', 'stations', 'units', 'warm-up'].includes(period.kind));

	function resize(wanted: number | null) {
		if (wanted === null || !Number.isInteger(wanted) || wanted < 1 || wanted > 600) return;
		if (wanted === period.minutes) return;
		onapply(setMinutes(evaluation.practice, period.id, wanted));
	}
	function moveBy(step: 1 | -1) {
		const after = step < 0 ? periods[index - 2]?.id : periods[index + 1]?.id;
		onapply({ type: 'move-period', period: period.id, after: after ?? null });
	}
	function setNote(typed: string) {
		const trimmed = typed.trim();
		if (trimmed !== (period.note ?? ''))
			onapply({ type: 'set-period', period: period.id, set: { note: trimmed || null } });
	}
	function rename(typed: string) {
		const trimmed = typed.trim();
		if (trimmed && trimmed !== period.name)
			onapply({ type: 'set-period', period: period.id, set: { name: trimmed.slice(0, 200) } });
	}
</script>

<section aria-label={say(texts.selectedPeriod)}>
	<header>
		<h2>{period.name}</h2>
		<span>
			<button class="link" onclick={() => (view.panel = 'shelf')}>{say(texts.shelf)}</button>
			<button class="link close" onclick={() => view.select(null)}>{say(texts.close)}</button>
		</span>
	</header>
	<div class="scroll">
		<div class="row">
			<NumberInput
				id="period-minutes"
				labelText={say(texts.minutes)}
				size="sm"
				min={1}
				max={600}
				bind:value={minutes}
				on:change={(event) => resize(event.detail)}
			/>
			<div class="moves">
				<Button kind="ghost" size="small" disabled={index <= 0} on:click={() => moveBy(-1)}
					>{say(texts.earlier)}</Button
				>
				<Button
					kind="ghost"
					size="small"
					disabled={index >= periods.length - 1}
					on:click={() => moveBy(1)}>{say(texts.later)}</Button
				>
			</div>
		</div>
		<div class="actions">
			{#if canSplit && found}
				<Button kind="tertiary" size="small" on:click={() => (view.dialog = 'stations')}>
					{period.slots ? say(texts.changeTheStations) : say(texts.splitIntoStations)}
				</Button>
			{/if}
			{#if movingGroups(period).length > 1}
				<Button kind="tertiary" size="small" on:click={() => openGroups(actions)}
					>{say(texts.groups)}</Button
				>
			{/if}
			{#if period.slots}
				<Button kind="tertiary" size="small" on:click={() => openRotation(actions)}
					>{say(texts.rotation)}</Button
				>
			{/if}
			{#if period.kind === 'scrimmage' && found}
				<Button kind="tertiary" size="small" on:click={() => (view.dialog = 'lineup')}>
					{say(texts.lineUp)}
				</Button>
			{/if}
			<Button kind="tertiary" size="small" on:click={() => duplicateSelected(actions)}>
				{say(texts.duplicate)}
			</Button>
			<Button kind="tertiary" size="small" on:click={() => lockSelected(actions)}>
				{period.locked ? say(texts.unlockMinutes) : say(texts.lockMinutes)}
			</Button>
			<Button kind="tertiary" size="small" on:click={() => splitSelected(actions)}
				>{say(texts.cutInTwo)}</Button
			>
			{#if canMerge}
				<Button kind="tertiary" size="small" on:click={() => mergeSelected(actions)}
					>{say(texts.mergeWithNext)}</Button
				>
			{/if}
			<Button
				kind="danger-tertiary"
				size="small"
				on:click={() => onapply({ type: 'remove-period', period: period.id })}
			>
				{say(texts.removePeriod)}
			</Button>
		</div>
		<TextInput
			id="period-name"
			size="sm"
			labelText={say(texts.name)}
			bind:value={name}
			on:change={(event) => rename(String(event.detail ?? ''))}
		/>
		<TextArea
			id="period-note"
			rows={2}
			maxlength={2000}
			labelText={say(texts.notes)}
			bind:value={note}
			on:change={() => setNote(note)}
		/>
		<PeriodDetails {evaluation} {period} {onapply} />
		<Beside {evaluation} {period} {onapply} />
		<GroupLeaders {evaluation} {period} {onapply} />
		{#if period.lanes.flatMap(({ blocks }) => blocks).length > 1}
			<Choice
				id="block-of-period"
				label={say(texts.block)}
				of={period.lanes.flatMap(({ blocks }) =>
					blocks.map(({ id, drill }) => ({
						id,
						name: drillOf(evaluation.context, drill)?.name ?? period.name
					}))
				)}
				chosen={found?.block.id ?? ''}
				onchoose={(id) => view.select(period.id, id)}
			/>
		{/if}
		{#if found && found.period.id === period.id}
			{@const unit = evaluation.context.team.units.find(({ id }) => id === found.lane.unit)}
			{#if unit || view.alone}
				<Button
					size="small"
					kind="ghost"
					aria-pressed={view.alone !== null}
					on:click={() => (view.alone = view.alone === null ? (unit?.id ?? null) : null)}
					>{view.alone === null && unit
						? say(texts.onlyThisUnit, { unitName: unit.name })
						: say(texts.everybodyAgain)}</Button
				>
			{/if}
			<BlockPanel {evaluation} {found} {onapply} />
		{/if}
	</div>
</section>

<style>
	section {
		display: grid;
		grid-template-rows: auto 1fr;
		min-height: 0;
		height: 100%;
	}
	header {
		display: flex;
		justify-content: space-between;
		align-items: baseline;
		gap: 8px;
	}
	h2 {
		font-size: 15px;
		font-weight: 700;
		overflow-wrap: anywhere;
	}
	.scroll {
		overflow-y: auto;
		min-height: 0;
		display: grid;
		grid-template-columns: minmax(0, 1fr);
		align-content: start;
		gap: 10px;
		padding: 4px 2px 8px;
	}
	.close {
		display: none;
	}
	@media (max-width: 1000px) {
		.close {
			display: inline;
			margin-left: 14px;
		}
	}
	.row {
		display: grid;
		grid-template-columns: 112px 1fr;
		align-items: end;
		gap: 4px;
	}
	.row :global(.bx--number) {
		min-width: 0;
	}
	.row :global(.bx--number input) {
		min-width: 0;
		padding-right: 68px;
	}
	.moves {
		display: flex;
	}
	.moves :global(.bx--btn) {
		padding: 0 7px;
		min-width: 0;
	}
	.actions {
		display: flex;
		flex-wrap: wrap;
		gap: 6px;
	}
	.actions :global(.bx--btn) {
		padding-right: 14px;
	}
</style>
