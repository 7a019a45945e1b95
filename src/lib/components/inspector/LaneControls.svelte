<script lang="ts">
	import { Select, SelectItem } from 'carbon-components-svelte';
	import { blockAfter, laneForUnit } from '$core/building';
	import type { Evaluation } from '$core/playing';
	import type { Edit, Found } from '$core/practice';
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
	const { units } = $derived(evaluation.context.team);
	const drills = $derived(
		evaluation.context.shelf.toSorted((a, b) => a.name.localeCompare(b.name))
	);
	let chosen = $state('');

	function addAfter(id: string) {
		const drill = drills.find((each) => each.id === id);
		const edit = drill && blockAfter(evaluation, found, drill);
		if (edit) onapply(edit);
		chosen = '';
	}
	const value = (event: Event) => (event.target as HTMLSelectElement).value;
</script>

{#if !period.slots}
	{#if units.length > 0}
		<Select
			id="lane-unit"
			size="sm"
			labelText={say(texts.unitOfLane)}
			selected={lane.unit ?? ''}
			on:change={(event) => onapply(laneForUnit(evaluation, found, value(event) || null))}
		>
			<SelectItem value="" text={say(texts.noUnit)} />
			{#each units as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
		</Select>
	{/if}
	<Select
		id="block-after"
		size="sm"
		labelText={say(texts.drillAfter)}
		bind:selected={chosen}
		on:change={(event) => addAfter(value(event))}
	>
		<SelectItem value="" text={say(texts.chooseADrill)} />
		{#each drills as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
	</Select>
{/if}
