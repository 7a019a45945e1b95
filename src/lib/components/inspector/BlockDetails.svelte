<script lang="ts">
	import { NumberInput, TextArea, TextInput } from 'carbon-components-svelte';
	import type { Evaluation } from '$core/playing';
	import { playersOfLane } from '$core/playing';
	import type { Scenario } from '$core/model/practice';
	import type { Edit, EditOf, Found } from '$core/practice';
	import Choice from '../page/Choice.svelte';
	import Fold from '../page/Fold.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/inspector';

	/** Who leads, watches and shows a block, how much it is talked over, what is counted, and notes on it. */
	let {
		evaluation,
		found,
		onapply
	}: { evaluation: Evaluation; found: Found; onapply: (edit: Edit) => void } = $props();

	const say = useWords();
	const { period, lane, block } = $derived(found);
	const adults = $derived(evaluation.practice.adults);
	const players = $derived(
		playersOfLane(period, lane).filter((id) => evaluation.practice.expected.includes(id))
	);
	// What is typed stays until the block itself changes.
	let counting = $derived(block.counting ?? '');
	let note = $derived(block.note ?? '');
	let stops: number | null = $derived(Math.round(block.stopShare * 100));
	function named(id: string) {
		const { adultById, playerById } = evaluation.context;
		return { id, name: adultById.get(id)?.name ?? playerById.get(id)?.name ?? id };
	}

	type Change = EditOf<'set-block'>['set'];
	const set = (change: Change) => onapply({ type: 'set-block', block: block.id, set: change });
	function setText(key: 'counting' | 'note', typed: string) {
		const trimmed = typed.trim();
		if (trimmed !== (block[key] ?? '')) set({ [key]: trimmed || null });
	}
	function setStops(percent: number | null) {
		if (percent === null || !(percent >= 0 && percent <= 90)) return;
		if (percent / 100 !== block.stopShare) set({ stopShare: percent / 100 });
	}
	function setScenario(key: keyof Scenario, typed: string | number | undefined) {
		const { [key]: _before, ...rest } = block.scenario ?? {};
		const next = { ...rest, ...(typed !== undefined && typed !== '' && { [key]: typed }) };
		if (JSON.stringify(next) === JSON.stringify(block.scenario ?? {})) return;
		set({ scenario: Object.keys(next).length > 0 ? next : null });
	}
	const SCENARIO = [
		['score', texts.score],
		['possession', texts.possession],
		['restart', texts.restart]
	] as const;
</script>

<Fold summary={say(texts.more)}>
	{#each [['lead', texts.lead], ['eyes', texts.eyes]] as const as [key, label] (key)}
		<Choice
			id="block-{key}"
			label={say(label)}
			of={adults.map(named)}
			chosen={block[key] ?? ''}
			none={say(texts.nobody)}
			onchoose={(id) => set({ [key]: id || null })}
		/>
	{/each}
	<Choice
		id="block-shows"
		label={say(texts.shows)}
		of={players.map(named)}
		chosen={block.shows ?? ''}
		none={say(texts.nobody)}
		onchoose={(id) => set({ shows: id || null })}
	/>
	<Choice
		id="block-voice"
		label={say(texts.voice)}
		of={[
			{ id: 'coach', name: say(texts.voiceCoach) },
			{ id: 'players', name: say(texts.voicePlayers) }
		]}
		chosen={block.voice ?? ''}
		none={say(texts.voiceUsual)}
		onchoose={(id) => set({ voice: (id || null) as Change['voice'] })}
	/>
	<NumberInput
		id="block-stops"
		size="sm"
		hideSteppers
		min={0}
		max={90}
		labelText={say(texts.stopShare)}
		bind:value={stops}
		on:change={(event) => setStops(event.detail)}
	/>
	<TextInput
		id="block-counting"
		size="sm"
		maxlength={2000}
		labelText={say(texts.counting)}
		bind:value={counting}
		on:change={() => setText('counting', counting)}
	/>
	{#if period.kind === 'scrimmage'}
		<fieldset>
			<legend>{say(texts.scenario)}</legend>
			{#each SCENARIO as [key, label] (key)}
				<TextInput
					id="scenario-{key}"
					size="sm"
					maxlength={200}
					labelText={say(label)}
					value={block.scenario?.[key] ?? ''}
					on:change={(event) => setScenario(key, String(event.detail ?? '').trim())}
				/>
			{/each}
			<NumberInput
				id="scenario-seconds"
				size="sm"
				hideSteppers
				allowEmpty
				min={0}
				max={7200}
				labelText={say(texts.secondsLeft)}
				value={block.scenario?.secondsLeft ?? null}
				on:change={(event) => setScenario('secondsLeft', event.detail ?? undefined)}
			/>
		</fieldset>
	{/if}
	<TextArea
		id="block-note"
		rows={2}
		maxlength={2000}
		labelText={say(texts.blockNote)}
		bind:value={note}
		on:change={() => setText('note', note)}
	/>
</Fold>

<style>
	fieldset {
		display: grid;
		gap: 8px;
		border: 0;
		border-left: 3px solid var(--rule);
		padding: 0 0 0 8px;
		min-width: 0;
	}
	legend {
		font-size: 13px;
		font-weight: 600;
		padding: 0 0 4px;
	}
</style>
