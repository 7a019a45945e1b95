<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { unitBeside } from '$core/building';
	import type { Evaluation } from '$core/playing';
	import type { Period } from '$core/model/practice';
	import type { Edit } from '$core/practice';
	import Choice from '../page/Choice.svelte';
	import Fold from '../page/Fold.svelte';
	import DrillChoice from './DrillChoice.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/inspector';

	/** A drill for a unit beside what a period runs, on the same minutes. */
	let {
		evaluation,
		period,
		onapply
	}: { evaluation: Evaluation; period: Period; onapply: (edit: Edit) => void } = $props();

	const say = useWords();
	const { team, shelf } = $derived(evaluation.context);
	const units = $derived(
		team.units.filter(({ id }) => period.lanes.every((lane) => lane.unit !== id))
	);
	let wantedUnit = $state('');
	let wantedDrill = $state('');
	const unit = $derived(units.find(({ id }) => id === wantedUnit) ?? units[0]);
	const drill = $derived(shelf.find(({ id }) => id === wantedDrill));
	const edit = $derived(
		unit && drill ? unitBeside(evaluation, period, { drill, unit: unit.id }) : null
	);
	function add() {
		if (edit) onapply(edit);
		wantedDrill = '';
	}
</script>

{#if unit && !period.slots}
	<Fold summary={say(texts.besideIt)} isOpen={period.kind === 'units'}>
		<Choice
			id="beside-unit"
			label={say(texts.unit)}
			of={units}
			chosen={unit.id}
			onchoose={(id) => (wantedUnit = id)}
		/>
		<DrillChoice
			id="beside-drill"
			label={say(texts.besideDrill)}
			drills={shelf}
			chosen={wantedDrill}
			none={say(texts.chooseADrill)}
			onchoose={(id) => (wantedDrill = id)}
		/>
		{#if drill && !edit}<p role="status">
				{say(texts.noRoomBeside, { unitName: unit.name, name: drill.name })}
			</p>{/if}
		<Button size="small" kind="tertiary" disabled={!edit} on:click={add}
			>{say(texts.addBeside)}</Button
		>
	</Fold>
{/if}

<style>
	p {
		font-size: 13px;
		line-height: 1.3;
	}
</style>
