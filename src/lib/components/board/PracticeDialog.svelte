<script lang="ts">
	import { Modal, NumberInput, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import { startLate } from '$core/building';
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
		onclose
	}: {
		plan: Plan;
		/** The team's other practices. */
		others: readonly { id: string; date: string }[];
		/** The team's grounds, the usual one first. */
		grounds: readonly { id: string; name: string }[];
		onapply: (edit: Edit) => void;
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

	/** Minutes that it starts late; null while that is not what is changed. */
	let late: number | null = $state(null);
	let isLate = $state(false);
	const lateStart = $derived.by(() => {
		if (!isLate || late === null || !Number.isInteger(late) || late < 1) return null;
		if (late >= before.minutes) return null;
		return startLate(before, late, plan.context.limits);
	});
	const changes = $derived.by(() => {
		if (!lateStart?.ok) return [];
		const { minutes: after, dropped } = lateStart.value.fit;
		return before.periods.flatMap(({ id, name, minutes: was }) => {
			if (dropped.includes(id)) return [say(texts.periodDrops, { name, before: was })];
			return after[id] === was
				? []
				: [say(texts.periodKeeps, { name, before: was, after: after[id] })];
		});
	});

	/** Another ground is another place, unless a coach has named one of their own. */
	function takePlace() {
		const isNamed = !grounds.some(({ name }) => name === place);
		if (!isNamed) place = grounds.find(({ id }) => id === ground)?.name ?? place;
	}

	function save() {
		if (isLate) {
			if (!lateStart?.ok) return;
			onapply(lateStart.value.edit);
			return onclose();
		}
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
	modalHeading={say(isLate ? texts.startLate : texts.whenAndWhere)}
	primaryButtonText={isLate && lateStart?.ok
		? say(texts.startThen, { start: lateStart.value.start })
		: say(texts.save)}
	primaryButtonDisabled={isLate ? !lateStart?.ok : !isGood}
	secondaryButtonText={say(texts.cancel)}
	selectorPrimaryFocus="#practice-date"
	on:click:button--secondary={onclose}
	on:close={onclose}
	on:submit={save}
>
	{#if isLate}
		<NumberInput
			id="practice-late"
			labelText={say(texts.minutesLate)}
			min={1}
			max={before.minutes - 1}
			allowEmpty
			bind:value={late}
			invalidText={say(texts.minutesRange)}
		/>
		{#if lateStart?.ok}
			<p class="says">
				{say(texts.lateFrom, {
					start: lateStart.value.start,
					minutes: lateStart.value.minutes
				})}
				{say(changes.length > 0 ? texts.startLateSays : texts.nothingShrinks)}
			</p>
			<ul>
				{#each changes as change (change)}<li>{change}</li>{/each}
			</ul>
		{:else if lateStart}
			<p role="alert">{lateStart.failure.message}</p>
		{/if}
	{:else}
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
	{/if}
	<button
		type="button"
		class="link"
		onclick={() => {
			isLate = !isLate;
			late ??= 15;
		}}>{say(isLate ? texts.notLate : texts.startLate)}</button
	>
	<p role="status">
		{#if isTaken && !isLate}{say(texts.hasAnotherPracticeAlready, { day: dayWords(date) })}{/if}
	</p>
</Modal>

<style>
	.fields {
		display: grid;
		grid-template-columns: 1fr 1fr;
		gap: 16px;
	}
	.says {
		font-weight: 450;
		color: var(--ink);
	}
	li {
		padding: 3px 0;
		font-size: 14px;
		border-bottom: 1px solid var(--rule);
	}
	p {
		min-height: 20px;
		padding-top: 10px;
		font-weight: 650;
		color: var(--wait-ink);
	}
</style>
