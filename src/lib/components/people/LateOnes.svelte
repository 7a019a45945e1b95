<script lang="ts">
	import { Button, NumberInput, Select, SelectItem } from 'carbon-components-svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/people';

	/** Who of those who come is late, and by how many minutes after the start as it was planned. */
	let {
		people,
		most,
		late = $bindable()
	}: {
		/** Everybody who comes. */
		people: readonly { id: string; name: string }[];
		/** Minutes of the practice. */
		most: number;
		late: Record<string, number>;
	} = $props();

	const say = useWords();
	let who = $state('');
	let minutes: number | null = $state(15);
	const nameOf = (id: string) => people.find((person) => person.id === id)?.name ?? id;
	const shown = $derived(
		Object.entries(late).filter(([id]) => people.some((person) => person.id === id))
	);
	const isGood = $derived(
		who !== '' && minutes !== null && Number.isInteger(minutes) && minutes > 0 && minutes < most
	);
	function add() {
		if (!isGood || minutes === null) return;
		late = { ...late, [who]: minutes };
		who = '';
	}
	function remove(id: string) {
		const { [id]: _gone, ...rest } = late;
		late = rest;
	}
</script>

<div class="add">
	<Select id="late-who" size="sm" labelText={say(texts.comesLate)} bind:selected={who}>
		<SelectItem value="" text={say(texts.nobodyMore)} />
		{#each people as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
	</Select>
	<NumberInput
		id="late-minutes"
		size="sm"
		hideSteppers
		labelText={say(texts.minutesAfterTheStart)}
		min={1}
		max={most - 1}
		allowEmpty
		bind:value={minutes}
		invalidText={say(texts.wholeMinutes, { most: most - 1 })}
	/>
	<Button kind="tertiary" size="small" disabled={!isGood} on:click={add}
		>{say(texts.addLate)}</Button
	>
</div>
<ul>
	{#each shown as [id, after] (id)}
		<li>
			{say(texts.isLateBy, { person: nameOf(id), minutes: after })}
			<button
				type="button"
				class="link"
				aria-label={say(texts.isOnTimeLabel, { person: nameOf(id) })}
				onclick={() => remove(id)}>{say(texts.isOnTime)}</button
			>
		</li>
	{/each}
</ul>

<style>
	.add {
		display: grid;
		grid-template-columns: 1fr 110px auto;
		gap: 8px;
		align-items: end;
	}
	li {
		display: flex;
		justify-content: space-between;
		gap: 8px;
		padding: 3px 0;
		font-size: 14px;
		border-bottom: 1px solid var(--rule);
	}
</style>
