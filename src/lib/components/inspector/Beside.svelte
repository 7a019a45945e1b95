<script lang="ts">
	import { Button, Select, SelectItem } from 'carbon-components-svelte';
	import { unitBeside } from '$core/building';
	import type { Evaluation } from '$core/playing';
	import type { Period } from '$core/model/practice';
	import type { Edit } from '$core/practice';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/inspector';

	/** A drill for a unit beside what a period runs, on the same minutes. */
	let {
		evaluation,
		period,
		onapply
	}: { evaluation: Evaluation; period: Period; onapply: (edit: Edit) => void } = $props();

	const say = useWords();
	const units = $derived(
		evaluation.context.team.units.filter(({ id }) => period.lanes.every((lane) => lane.unit !== id))
	);
	const drills = $derived(
		evaluation.context.shelf.toSorted((a, b) => a.name.localeCompare(b.name))
	);
	let wantedUnit = $state('');
	let wantedDrill = $state('');
	const unit = $derived(units.find(({ id }) => id === wantedUnit) ?? units[0]);
	const drill = $derived(drills.find(({ id }) => id === wantedDrill));
	const edit = $derived(
		unit && drill ? unitBeside(evaluation, period, { drill, unit: unit.id }) : null
	);
	const value = (event: Event) => (event.target as HTMLSelectElement).value;
	function add() {
		if (edit) onapply(edit);
		wantedDrill = '';
	}
</script>

{#if unit && !period.slots}
	<details open={period.kind === 'units'}>
		<summary>{say(texts.besideIt)}</summary>
		<div class="fields">
			<Select
				id="beside-unit"
				size="sm"
				labelText={say(texts.unit)}
				selected={unit.id}
				on:change={(event) => (wantedUnit = value(event))}
			>
				{#each units as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
			</Select>
			<Select
				id="beside-drill"
				size="sm"
				labelText={say(texts.besideDrill)}
				selected={wantedDrill}
				on:change={(event) => (wantedDrill = value(event))}
			>
				<SelectItem value="" text={say(texts.chooseADrill)} />
				{#each drills as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
			</Select>
			{#if drill && !edit}<p role="status">
					{say(texts.noRoomBeside, { unitName: unit.name, name: drill.name })}
				</p>{/if}
			<Button size="small" kind="tertiary" disabled={!edit} on:click={add}
				>{say(texts.addBeside)}</Button
			>
		</div>
	</details>
{/if}

<style>
	summary {
		display: list-item;
		list-style: disclosure-closed inside;
		font-size: 13px;
		font-weight: 700;
		padding: 4px 0;
		cursor: pointer;
	}
	details[open] > summary {
		list-style-type: disclosure-open;
	}
	.fields {
		display: grid;
		gap: 8px;
	}
	p {
		font-size: 13px;
		line-height: 1.3;
	}
</style>
