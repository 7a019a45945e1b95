<script lang="ts">
	import { NumberInput } from 'carbon-components-svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/limits';

	/** A limit that goes by age: under so many years, so much. */
	let {
		legend,
		heading,
		name,
		rows,
		least = 1,
		most,
		onrows
	}: {
		legend: string;
		/** What the number beside the age is. */
		heading: string;
		/** What the fields are sent as: `under` and this, and the ids that they have. */
		name: string;
		rows: readonly AgeRow[];
		least?: number;
		most: number;
		onrows: (rows: AgeRow[]) => void;
	} = $props();

	type AgeRow = { under: number | null; value: number | null };

	const say = useWords();
	const set = (index: number, change: Partial<AgeRow>) =>
		onrows(rows.with(index, { ...rows[index], ...change }));
</script>

<fieldset>
	<legend>{legend}</legend>
	{#each rows as { under, value }, index (index)}
		<NumberInput
			id="{name}-under-{index}"
			name="{name}Under"
			size="sm"
			hideSteppers
			labelText={say(texts.under)}
			min={1}
			max={120}
			required
			value={under}
			on:input={(event) => set(index, { under: event.detail })}
		/>
		<NumberInput
			id="{name}-{index}"
			{name}
			size="sm"
			hideSteppers
			labelText={heading}
			min={least}
			max={most}
			required
			{value}
			on:input={(event) => set(index, { value: event.detail })}
		/>
	{/each}
</fieldset>

<style>
	fieldset {
		border: 0;
		padding: 0;
		display: grid;
		min-width: 0;
		grid-template-columns: repeat(2, minmax(0, 1fr));
		gap: 6px 12px;
	}
	legend {
		font-size: 12px;
		padding-bottom: 4px;
	}
	/* Two in the width of one: narrower than a number usually is. */
	fieldset :global(.bx--number input[type='number']) {
		min-width: 0;
		padding-right: 8px;
	}
</style>
