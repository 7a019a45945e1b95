<script lang="ts">
	import { Modal, NumberInput, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import { Check } from 'typebox/value';
	import { Clock, Day, Minutes, Name } from '$core/model/fields';
	import type { Edit } from '$core/practice';
	import type { PracticeEditor } from '$lib/state/practiceEditor.svelte';
	import { useWording } from '../page/wording.svelte';
	import { dayWords } from '../ui/dates';

	/** When and where this practice is, as one step that can be taken back. */
	let {
		editor,
		others,
		onapply,
		onclose
	}: {
		editor: PracticeEditor;
		/** The team's other practices. */
		others: readonly { id: string; date: string }[];
		onapply: (edit: Edit) => void;
		onclose: () => void;
	} = $props();

	const w = useWording();
	const before = untrack(() => editor.practice);
	let { date, start, place } = $state({ ...before });
	let minutes: number | null = $state(before.minutes);

	const isDay = $derived(Check(Day, date));
	const isGood = $derived(
		isDay && Check(Clock, start) && Check(Minutes, minutes) && Check(Name, place.trim())
	);
	const isTaken = $derived(date !== before.date && others.some((other) => other.date === date));

	function save() {
		if (!isGood || minutes === null) return;
		const now = { date, start, minutes, place: place.trim() };
		const set = Object.fromEntries(
			Object.entries(now).filter(([key, value]) => value !== before[key as keyof typeof now])
		);
		if (Object.keys(set).length > 0) onapply({ type: 'set-practice', set });
		onclose();
	}
</script>

<Modal
	open
	size="sm"
	modalHeading={w('When and where')}
	primaryButtonText="Save"
	primaryButtonDisabled={!isGood}
	secondaryButtonText="Cancel"
	selectorPrimaryFocus="#practice-date"
	on:click:button--secondary={onclose}
	on:close={onclose}
	on:submit={save}
>
	<div class="fields">
		<TextInput
			id="practice-date"
			type="date"
			labelText="Date"
			bind:value={date}
			invalid={!isDay}
			invalidText="No day of the calendar"
		/>
		<TextInput
			id="practice-start"
			type="time"
			labelText="Starts"
			bind:value={start}
			invalid={!Check(Clock, start)}
			invalidText="No time of day"
		/>
		<NumberInput
			id="practice-minutes"
			labelText="Minutes"
			min={1}
			max={600}
			allowEmpty
			bind:value={minutes}
			invalidText="1 to 600 minutes"
		/>
		<TextInput
			id="practice-place"
			labelText="Where"
			maxlength={200}
			bind:value={place}
			invalid={place.trim() === ''}
			invalidText="Where is it?"
		/>
	</div>
	<p role="status">
		{#if isTaken}{dayWords(date)} {w('has another practice already.')}{/if}
	</p>
</Modal>

<style>
	.fields {
		display: grid;
		grid-template-columns: 1fr 1fr;
		gap: 16px;
	}
	p {
		min-height: 20px;
		padding-top: 10px;
		font-weight: 650;
		color: var(--wait-ink);
	}
</style>
