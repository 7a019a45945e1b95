<script lang="ts">
	import { blockAfter, laneForUnit } from '$core/building';
	import type { Evaluation } from '$core/playing';
	import type { Edit, Found } from '$core/practice';
	import Choice from '../page/Choice.svelte';
	import LaneCoverage from './LaneCoverage.svelte';
	import DrillChoice from './DrillChoice.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/inspector';

	/** Whose a lane is, and what comes behind a block on it. */
	let {
		evaluation,
		found,
		onapply
	}: { evaluation: Evaluation; found: Found; onapply: (edit: Edit) => void } = $props();

	const say = useWords();
	const { period, lane } = $derived(found);
	const { team, shelf } = $derived(evaluation.context);

	function addAfter(id: string) {
		const drill = shelf.find((each) => each.id === id);
		const edit = drill && blockAfter(evaluation, found, drill);
		if (edit) onapply(edit);
	}
</script>

{#if !period.slots}
	{#if team.units.length > 0}
		<Choice
			id="lane-unit"
			label={say(texts.unitOfLane)}
			of={team.units}
			chosen={lane.unit ?? ''}
			none={say(texts.noUnit)}
			onchoose={(id) => onapply(laneForUnit(evaluation, found, id || null))}
		/>
	{/if}
	{#if lane.unit !== undefined}<LaneCoverage {evaluation} {lane} isOpen={true} />{/if}
	{#key lane.blocks.length}
		<DrillChoice
			id="block-after"
			label={say(texts.drillAfter)}
			drills={shelf}
			chosen=""
			none={say(texts.chooseADrill)}
			onchoose={addAfter}
		/>
	{/key}
{/if}
