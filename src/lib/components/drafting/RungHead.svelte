<script lang="ts">
	import type { Rung } from '$core/model/drill';
	import { useWording } from '../page/wording.svelte';
	import type { DrillDraft } from './draft.svelte';
	import Lines from './Lines.svelte';

	/** What the chosen rung is called, what changes on it, and which rungs come before it. */
	let { draft, rung }: { draft: DrillDraft; rung: Rung } = $props();

	const w = useWording();
	const LEVERS: Readonly<Record<Rung['lever'], string>> = {
		opponents: 'opponents',
		ground: 'ground',
		pace: 'pace',
		distance: 'distance',
		side: 'side of the body',
		touches: 'touches',
		target: 'target',
		implement: 'ball or stick',
		fatigue: 'tired players',
		start: 'how it starts',
		score: 'score',
		form: 'form'
	};
	const rungs = $derived(draft.kept.rungs);
	const place = $derived(rungs.findIndex(({ id }) => id === rung.id));
	function need(id: string, isNeeded: boolean) {
		const others = (rung.needs ?? []).filter((each) => each !== id);
		draft.setRung({ needs: isNeeded ? [...others, id] : others });
	}
</script>

<div class="head">
	<Lines label="Name of the rung" value={rung.name} onset={(name) => draft.setRung({ name })} />
	<Lines
		label="What changes"
		hint="as players hear it"
		value={rung.change}
		onset={(change) => draft.setRung({ change })}
	/>
	<label class="caption">
		{w('It works on')}
		<select
			class="typed"
			value={rung.lever}
			onchange={(event) => draft.setRung({ lever: event.currentTarget.value as Rung['lever'] })}
		>
			{#each Object.entries(LEVERS) as [lever, name] (lever)}
				<option value={lever}>{w(name)}</option>
			{/each}
		</select>
	</label>
</div>
<div class="order">
	{#if rungs.length > 1}
		<fieldset>
			<legend>{w('After')}</legend>
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
	<button type="button" class="link" disabled={place <= 0} onclick={() => draft.moveRung(-1)}
		>{w('Lower on the ladder')}</button
	>
	<button
		type="button"
		class="link"
		disabled={place >= rungs.length - 1}
		onclick={() => draft.moveRung(1)}>{w('Higher')}</button
	>
	<button type="button" class="link" onclick={draft.removeRung}>{w('Remove this rung')}</button>
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
