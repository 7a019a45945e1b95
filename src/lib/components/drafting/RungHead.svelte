<script lang="ts">
	import type { Rung } from '$core/model/drill';
	import { LEVERS } from '$core/model/levers';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/drafting';
	import { called } from '$words';
	import type { DrillDraft } from './draft.svelte';
	import Lines from './Lines.svelte';

	/** What the chosen rung is called, what changes on it, and which rungs come before it. */
	let { draft, rung }: { draft: DrillDraft; rung: Rung } = $props();

	const say = useWords();
	const rungs = $derived(draft.kept.rungs);
	const place = $derived(rungs.findIndex(({ id }) => id === rung.id));
	function need(id: string, isNeeded: boolean) {
		const others = (rung.needs ?? []).filter((each) => each !== id);
		draft.setRung({ needs: isNeeded ? [...others, id] : others });
	}
</script>

<div class="head">
	<Lines
		label={say(texts.nameOfTheRung)}
		value={rung.name}
		onset={(name) => draft.setRung({ name })}
	/>
	<Lines
		label={say(texts.whatChanges)}
		hint={say(texts.asPlayersHearIt)}
		value={rung.change}
		onset={(change) => draft.setRung({ change })}
	/>
	<label class="caption">
		{say(texts.itWorksOn)}
		<select
			class="typed"
			value={rung.lever}
			onchange={(event) => draft.setRung({ lever: event.currentTarget.value as Rung['lever'] })}
		>
			{#each LEVERS as lever (lever)}
				<option value={lever}>{called(lever, say)}</option>
			{/each}
		</select>
	</label>
</div>
<div class="order">
	{#if place > 0}
		<label class="caption row">
			{say(texts.buildsOn)}
			<select
				class="typed"
				value={rung.on ?? ''}
				onchange={(event) => draft.setRung({ on: event.currentTarget.value || undefined })}
			>
				<option value="">{say(texts.theDrillItself)}</option>
				{#each rungs.slice(0, place) as { id, name } (id)}<option value={id}>{name}</option>{/each}
			</select>
		</label>
	{/if}
	{#if rungs.length > 1}
		<fieldset>
			<legend>{say(texts.after)}</legend>
			{#each rungs as { id, name } (id)}
				{#if id !== rung.id}
					<label class="tickable">
						<input
							type="checkbox"
							checked={rung.needs?.includes(id) ?? false}
							onchange={(event) => need(id, event.currentTarget.checked)}
						/>
						{name}
					</label>
				{/if}
			{/each}
		</fieldset>
	{/if}
	<button type="button" class="link" onclick={draft.removeRung}>{say(texts.removeThisRung)}</button>
</div>

<style>
	.head {
		display: grid;
		grid-template-columns: 1fr 2fr auto;
		gap: 8px 14px;
		align-items: end;
	}
	.order,
	fieldset {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 18px;
		align-items: center;
		font-size: 14px;
	}
	fieldset {
		border: 0;
		padding: 0;
		margin: 0;
	}
	legend {
		float: left;
		font-size: 13px;
		color: var(--ink-soft);
		padding: 0;
	}
	@media (max-width: 700px) {
		.head {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
