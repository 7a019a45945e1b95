<script lang="ts">
	import { NumberInput, Select, SelectItem } from 'carbon-components-svelte';
	import { sum } from 'd3-array';
	import { givenOrNot, linesOf } from '$core/building';
	import { resolveDrill } from '$core/drill';
	import type { Drill } from '$core/model/drill';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/drill';
	import { percent, turnsWords } from '../tape/words';

	/** One way of running a drill, with what each player gets of it: its rung, who feeds, and its lines. */
	let {
		id,
		name,
		drill,
		players,
		minutes,
		others,
		onchoose
	}: {
		/** What the ids of its fields begin with. */
		id: string;
		/** What this way is called. */
		name: string;
		drill: Drill;
		players: number;
		minutes: number;
		/** Drills that may be run instead. */
		others: readonly { id: string; name: string }[];
		onchoose: (id: string) => void;
	} = $props();

	const say = useWords();
	let rung = $state('');
	let isFed = $state(true);
	/** Players at each spot as they were typed; none while they stand as they are dealt. */
	let typed: Record<string, number | null> | null = $state.raw(null);

	const chosen = $derived(drill.rungs.some(({ id }) => id === rung) ? rung : undefined);
	const run = $derived.by(() => {
		const resolved = resolveDrill(drill, chosen);
		return resolved.ok ? resolved.value : drill;
	});
	const either = $derived(sum(run.spots, ({ by, count }) => (by === 'either' ? count : 0)));
	const adults = $derived(isFed ? either : 0);
	const count = $derived(Math.min(run.group.max, Math.max(run.group.min, players)));
	const dealt = $derived(linesOf(drill, count, { rung: chosen, adults }));
	const lines = $derived(
		dealt.map(([id, own]): [string, number | null] => [id, typed?.[id] ?? own])
	);
	const start = $derived(
		typed === null ? undefined : Object.fromEntries(lines.map(([id, own]) => [id, own ?? 0]))
	);
	const placed = $derived(sum(lines, ([, own]) => own ?? 0));
	const given = $derived(givenOrNot(drill, count, { rung: chosen, minutes, adults, start }));
</script>

<section aria-label={name}>
	<h3>{name}</h3>
	<Select
		id="{id}-drill"
		size="sm"
		labelText={say(texts.wayDrill)}
		selected={drill.id}
		on:update={(event) => {
			typed = null;
			rung = '';
			onchoose(String(event.detail));
		}}
	>
		{#each others as other (other.id)}<SelectItem value={other.id} text={other.name} />{/each}
	</Select>
	<Select
		id="{id}-rung"
		size="sm"
		labelText={say(texts.wayRung)}
		bind:selected={rung}
		on:change={() => (typed = null)}
	>
		<SelectItem value="" text={say(texts.theDrillItself)} />
		{#each drill.rungs as step (step.id)}<SelectItem value={step.id} text={step.name} />{/each}
	</Select>
	{#if either > 0}
		<label class="tickable"
			><input type="checkbox" bind:checked={isFed} /> {say(texts.adultFeeds)}</label
		>
	{/if}
	{#if dealt.length > 1}
		<fieldset>
			<legend>{say(texts.linesAtStart)}</legend>
			{#each lines as [spot, own] (spot)}
				<NumberInput
					id="{id}-line-{spot}"
					size="sm"
					hideSteppers
					min={0}
					max={count}
					allowEmpty
					labelText={spot}
					value={own}
					on:input={(event) => (typed = { ...Object.fromEntries(lines), [spot]: event.detail })}
				/>
			{/each}
			{#if typed}
				<button type="button" class="link" onclick={() => (typed = null)}
					>{say(texts.asDealt)}</button
				>
			{/if}
		</fieldset>
	{/if}
	<p role="status">
		{#if start && placed !== count}
			{say(texts.linesHold, { placed, count })}
		{:else if given.ok}
			<strong>{turnsWords(given.value.turns, say)}</strong>
			{say(texts.wayWaits, {
				playerCount: count,
				share: percent(given.value.waitShare),
				longest: Math.round(given.value.longestWaitSeconds)
			})}
		{:else}
			{say(texts.itDoesNotRun, { message: given.failure.message })}
		{/if}
	</p>
</section>

<style>
	section {
		display: grid;
		gap: 8px;
		align-content: start;
		min-width: 0;
	}
	h3 {
		font-size: 14px;
		font-weight: 700;
	}
	fieldset {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(84px, 1fr));
		gap: 6px 10px;
		align-items: end;
		border: 0;
		padding: 0;
		min-width: 0;
	}
	legend {
		font-size: 12px;
		padding-bottom: 2px;
	}
	fieldset :global(.bx--number input[type='number']) {
		min-width: 0;
		padding-right: 8px;
	}
	p {
		font-size: 15px;
		line-height: 1.4;
		border-top: 1px solid var(--ink);
		padding-top: 6px;
	}
</style>
