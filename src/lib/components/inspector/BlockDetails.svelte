<script lang="ts">
	import { NumberInput, Select, SelectItem, TextArea, TextInput } from 'carbon-components-svelte';
	import type { Evaluation } from '$core/playing';
	import { playersOfLane } from '$core/playing';
	import type { Scenario } from '$core/model/practice';
	import type { Edit, EditOf, Found } from '$core/practice';
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
	const value = (event: Event) => (event.target as HTMLSelectElement).value;
	const name = (id: string) =>
		evaluation.context.adultById.get(id)?.name ?? evaluation.context.playerById.get(id)?.name ?? id;

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

<details>
	<summary>{say(texts.more)}</summary>
	<div class="fields">
		{#each [['lead', texts.lead], ['eyes', texts.eyes]] as const as [key, label] (key)}
			<Select
				id="block-{key}"
				size="sm"
				labelText={say(label)}
				selected={block[key] ?? ''}
				on:change={(event) => set({ [key]: value(event) || null })}
			>
				<SelectItem value="" text={say(texts.nobody)} />
				{#each adults as id (id)}<SelectItem value={id} text={name(id)} />{/each}
			</Select>
		{/each}
		<Select
			id="block-shows"
			size="sm"
			labelText={say(texts.shows)}
			selected={block.shows ?? ''}
			on:change={(event) => set({ shows: value(event) || null })}
		>
			<SelectItem value="" text={say(texts.nobody)} />
			{#each players as id (id)}<SelectItem value={id} text={name(id)} />{/each}
		</Select>
		<Select
			id="block-voice"
			size="sm"
			labelText={say(texts.voice)}
			selected={block.voice ?? ''}
			on:change={(event) => set({ voice: (value(event) || null) as Change['voice'] })}
		>
			<SelectItem value="" text={say(texts.voiceUsual)} />
			<SelectItem value="coach" text={say(texts.voiceCoach)} />
			<SelectItem value="players" text={say(texts.voicePlayers)} />
		</Select>
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
	</div>
</details>

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
	.fields,
	fieldset {
		display: grid;
		gap: 8px;
	}
	fieldset {
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
