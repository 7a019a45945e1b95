<script lang="ts">
	import type { Snippet } from 'svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/drafting';
	import type { DrillDraft } from './draft.svelte';
	import FieldInputs from './FieldInputs.svelte';
	import { FIELD_GROUPS, groupOf, SECTIONS, type FieldGroup } from './fields';
	import PartsField from './PartsField.svelte';
	import { PART_TABLES } from './partRows';
	import SkillsField from './SkillsField.svelte';
	import SpotsField from './SpotsField.svelte';
	import TapHelper from './TapHelper.svelte';
	import type { Timing } from '$core/drill';

	/** All fields of the drill in their sections; of a rung only those that it changes, and a way to change more. */
	let {
		draft,
		skills,
		units,
		loads,
		run
	}: {
		draft: DrillDraft;
		skills: readonly { id: string; name: string }[];
		units: readonly { id: string; name: string }[];
		/** What turns cost a body in the team's sport. */
		loads: readonly string[];
		/** The drill as it runs: beside the map, or beside what a rung changes. */
		run: Snippet;
	} = $props();

	const say = useWords();
	const offered = $derived({ units: units.map(({ id }) => id), loads });
	/** Groups that are to be changed on the rung, and are as yet the drill's. */
	let opened: string[] = $state.raw([]);
	const shown = $derived(
		new Set([...opened, ...draft.changed.flatMap((field) => groupOf(field)?.id ?? [])])
	);
	const onRung = $derived(FIELD_GROUPS.filter(({ id }) => shown.has(id)));
	const others = $derived(FIELD_GROUPS.filter(({ id }) => !shown.has(id)));

	function giveBack(group: FieldGroup) {
		opened = opened.filter((id) => id !== group.id);
		draft.giveBack(group.fields);
	}
	function useTiming({ workSeconds, headwaySeconds, shortSeconds, longSeconds }: Timing) {
		const { turn } = draft.typed;
		draft.set({
			turn: {
				workSeconds: workSeconds ?? turn.workSeconds,
				headwaySeconds: headwaySeconds ?? turn.headwaySeconds,
				...(shortSeconds !== null && { shortSeconds }),
				...(longSeconds !== null && { longSeconds }),
				...(turn.loads && { loads: turn.loads })
			}
		});
	}
</script>

{#snippet fieldset(group: FieldGroup)}
	<fieldset class:whole={group.id === 'spots'} class={group.id}>
		<legend>
			{say(group.name)}
			{#if draft.rung}
				<button type="button" class="link" onclick={() => giveBack(group)}
					>{say(texts.asTheDrill)}<span class="unseen">
						{say(texts.hasIt, { name: say(group.name) })}</span
					></button
				>
			{/if}
		</legend>
		{#if group.id === 'spots'}<SpotsField {draft} {units} beside={run} />
		{:else if group.id === 'skills'}<SkillsField {draft} {skills} />
		{:else if PART_TABLES[group.id]}<PartsField
				{draft}
				table={PART_TABLES[group.id]}
				{offered}
			/>{/if}
		<FieldInputs {draft} {group} />
		{#if group.id === 'turn'}<TapHelper onuse={useTiming} />{/if}
	</fieldset>
{/snippet}

{#if draft.rung}
	<div class:halves={!shown.has('spots')}>
		<div class="groups">
			{#each onRung as group (group.id)}{@render fieldset(group)}
			{:else}
				<p>{say(texts.asYetItIsTheDrill)}</p>
			{/each}
		</div>
		{#if !shown.has('spots')}{@render run()}{/if}
	</div>
	<label class="caption more">
		{say(texts.changeSomethingElseOnThisRung)}
		<select
			class="typed"
			value=""
			onchange={(event) => {
				opened = [...opened, event.currentTarget.value];
				event.currentTarget.value = '';
			}}
		>
			<option value="">{say(texts.chooseWhat)}</option>
			{#each others as { id, name } (id)}<option value={id}>{say(name)}</option>{/each}
		</select>
	</label>
{:else}
	{#each SECTIONS as { name, groups } (name)}
		<h2>{say(name)}</h2>
		<div class="groups">
			{#each groups as group (group.id)}{@render fieldset(group)}{/each}
		</div>
	{/each}
{/if}

<style>
	h2 {
		font-size: 16px;
		font-weight: 750;
		border-bottom: 1px solid var(--ink);
		padding: 10px 0 4px;
	}
	p {
		font-size: 14px;
	}
	.groups {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(min(100%, 250px), 1fr));
		gap: 14px 28px;
		align-items: start;
	}
	fieldset {
		border: 0;
		padding: 0;
		margin: 0;
		min-width: 0;
		display: grid;
		grid-template-columns: minmax(0, 1fr);
		gap: 6px;
	}
	.whole {
		grid-column: 1 / -1;
	}
	@media (min-width: 700px) {
		.cues,
		.faults,
		.kit,
		.questions,
		.sides,
		.turn,
		.skills {
			grid-column: span 2;
		}
	}
	legend {
		font-size: 13px;
		font-weight: 700;
		padding: 0 0 4px;
	}
	legend .link {
		font-size: 13px;
		margin-left: 10px;
	}
	.more {
		justify-self: start;
		font-size: 13px;
	}
</style>
