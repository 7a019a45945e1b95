<script lang="ts">
	import { Modal, NumberInput, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import { isDay } from '$core/model/day';
	import type { Edit, Plan } from '$core/practice';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/board';
	import { dayWords } from '../page/dates';

	/** When and where this practice is, as one step that can be taken back. */
	let {
		plan,
		others,
		grounds,
		onapply,
		onlate,
		onclose
	}: {
		plan: Plan;
		/** The team's other practices. */
		others: readonly { id: string; date: string }[];
		/** The team's grounds, the usual one first. */
		grounds: readonly { id: string; name: string }[];
		onapply: (edit: Edit) => void;
		/** It starts late: that is asked with who is here. */
		onlate: () => void;
		onclose: () => void;
	} = $props();

	const say = useWords();
	const before = untrack(() => plan.practice);
	let { date, start, place } = $state({ ...before });
	let ground = $state(untrack(() => before.groundId ?? grounds[0]?.id));
	let minutes: number | null = $state(before.minutes);

	const isMinutes = $derived(minutes !== null && minutes >= 1 && minutes <= 600);
	// A time that is typed in half is empty to the browser.
	const isGood = $derived(isDay(date) && start !== '' && isMinutes && place.trim() !== '');
	const isTaken = $derived(date !== before.date && others.some((other) => other.date === date));

	/** Another ground is another place, unless a coach has named one of their own. */
	function takePlace() {
		const isNamed = !grounds.some(({ name }) => name === place);
		if (!isNamed) place = grounds.find(({ id }) => id === ground)?.name ?? place;
	}

	function save() {
		if (!isGood || minutes === null) return;
		const now = { date, start, minutes, place: place.trim() };
		const other = ground === (before.groundId ?? grounds[0]?.id) ? {} : { groundId: ground };
		const set = Object.fromEntries(
			Object.entries(now).filter(([key, value]) => value !== before[key as keyof typeof now])
		);
		const all = { ...set, ...other };
		if (Object.keys(all).length > 0) onapply({ type: 'set-practice', set: all });
		onclose();
	}
</script>

<Modal
	open
	size="sm"
	modalHeading={say(texts.whenAndWhere)}
	primaryButtonText={say(texts.save)}
	primaryButtonDisabled={!isGood}
	secondaryButtonText={say(texts.cancel)}
	selectorPrimaryFocus="#practice-date"
	on:click:button--secondary={onclose}
	on:close={onclose}
	on:submit={save}
>
	<div class="fields">
		<TextInput
			id="practice-date"
			type="date"
			labelText={say(texts.date)}
			bind:value={date}
			invalid={!isDay(date)}
			invalidText={say(texts.noDayOfTheCalendar)}
		/>
		<TextInput
			id="practice-start"
			type="time"
			labelText={say(texts.starts)}
			bind:value={start}
			invalid={start === ''}
			invalidText={say(texts.noTimeOfDay)}
		/>
		<NumberInput
			id="practice-minutes"
			labelText={say(texts.minutes)}
			min={1}
			max={600}
			allowEmpty
			bind:value={minutes}
			invalidText={say(texts.minutesRange)}
		/>
		<TextInput
			id="practice-place"
			labelText={say(texts.where)}
			maxlength={200}
			bind:value={place}
			invalid={place.trim() === ''}
			invalidText={say(texts.whereIsIt)}
		/>
		{#if grounds.length > 1}
			<Select
				id="practice-ground"
				labelText={say(texts.onTheGround)}
				bind:selected={ground}
				on:change={takePlace}
			>
				{#each grounds as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
			</Select>
		{/if}
	</div>
	<button type="button" class="link" onclick={onlate}>{say(texts.startLate)}</button>
	<p role="status">
		{#if isTaken}{say(texts.hasAnotherPracticeAlready, { day: dayWords(date) })}{/if}
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
