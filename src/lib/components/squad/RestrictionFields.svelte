<script lang="ts">
	import { Checkbox, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import type { Restriction } from '$core/model/team';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/squad';

	interface Named {
		id: string;
		name: string;
	}

	/** A restriction of a player as it is typed in. */
	let {
		restriction,
		index,
		today,
		areas,
		drills,
		fault,
		onchange,
		onremove
	}: {
		restriction: Restriction;
		index: number;
		today: string;
		areas: readonly Named[];
		drills: readonly Named[];
		/** What is wrong with a field of it; empty where nothing is. */
		fault: (field: string) => string;
		onchange: (restriction: Restriction) => void;
		onremove: () => void;
	} = $props();

	const say = useWords();
	const isCoachs = $derived(restriction.by === 'coach');
	const chosen = $derived(
		(restriction.drills ?? []).map(
			(id) => drills.find((drill) => drill.id === id) ?? { id, name: id }
		)
	);
	const DAYS = [
		['since', say(texts.firstDay)],
		['until', say(texts.lastDayIncludedOpenIfEmpty)]
	] as const;

	/** Sets fields; those that come to nothing are taken away. */
	function change(set: Partial<Record<keyof Restriction, unknown>>) {
		const isSaid = (value: unknown) =>
			value !== '' && !(Array.isArray(value) && value.length === 0);
		onchange(
			Object.fromEntries(
				Object.entries({ ...restriction, ...set }).filter(([, value]) => isSaid(value))
			) as Restriction
		);
	}
	function chooseFrom(from: string) {
		if (from === 'drills') change({ from });
		else change({ from, drills: [], skills: [] });
	}
	/** Lifted where a name or a day is said. */
	function clear(set: { by?: string; on?: string }) {
		const { by, on } = { by: '', on: today, ...restriction.cleared, ...set };
		change({ cleared: by === '' ? '' : { by, on } });
	}
	function trains(id: string, isOut: boolean) {
		const rest = (restriction.skills ?? []).filter((each) => each !== id);
		change({ skills: isOut ? [...rest, id] : rest });
	}
</script>

<fieldset>
	<legend>{say(texts.restriction, { index: index + 1 })}</legend>
	<Select
		id="said-by-{index}"
		labelText={say(texts.saidBy)}
		size="sm"
		selected={restriction.by ?? 'practitioner'}
		on:update={(event) =>
			change({
				by: event.detail === 'coach' ? 'coach' : '',
				cleared: event.detail === 'coach' ? '' : (restriction.cleared ?? '')
			})}
	>
		<SelectItem value="practitioner" text={say(texts.aPractitioner)} />
		<SelectItem value="coach" text={say(texts.aCoach)} />
	</Select>
	<Select
		id="from-{index}"
		labelText={say(texts.keptOutOf)}
		size="sm"
		selected={restriction.from}
		on:update={(event) => chooseFrom(String(event.detail))}
	>
		<SelectItem value="all" text={say(texts.allTraining)} />
		<SelectItem value="contact" text={say(texts.contact)} />
		<SelectItem value="running" text={say(texts.running)} />
		<SelectItem value="drills" text={say(texts.someDrills)} />
	</Select>
	<TextInput
		id="reason-{index}"
		size="sm"
		maxlength={200}
		labelText={say(texts.reason)}
		placeholder={say(texts.reasonHint)}
		value={restriction.reason ?? ''}
		on:input={(event) => change({ reason: event.detail ?? '' })}
	/>
	{#each DAYS as [field, label] (field)}
		<TextInput
			id="{field}-{index}"
			type="date"
			size="sm"
			labelText={label}
			value={restriction[field] ?? ''}
			on:input={(event) => change({ [field]: event.detail ?? '' })}
			invalid={!!fault(field)}
			invalidText={fault(field)}
		/>
	{/each}
	<TextInput
		id="by-{index}"
		size="sm"
		labelText={say(texts.setBy)}
		value={restriction.setBy ?? ''}
		on:input={(event) => change({ setBy: event.detail ?? '' })}
		invalid={!!fault('setBy')}
		invalidText={say(texts.whoSetIt)}
	/>
	{#if restriction.from === 'drills'}
		<div class="what" class:wrong={fault('drills')}>
			<span class="heading">{say(texts.skillAreas)}</span>
			<div class="areas">
				{#each areas as { id, name } (id)}
					<Checkbox
						labelText={name}
						checked={restriction.skills?.includes(id) ?? false}
						on:check={(event) => trains(id, event.detail)}
					/>
				{/each}
			</div>
			<Select
				id="drill-{index}"
				size="sm"
				labelText={say(texts.addADrill)}
				selected=""
				on:update={(event) => {
					const id = String(event.detail);
					if (id !== '' && !restriction.drills?.includes(id))
						change({ drills: [...(restriction.drills ?? []), id] });
				}}
			>
				<SelectItem value="" text={say(texts.choose)} />
				{#each drills as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
			</Select>
			{#each chosen as { id, name } (id)}
				<button
					type="button"
					class="link"
					aria-label={say(texts.leaveOut, { name })}
					onclick={() => change({ drills: restriction.drills?.filter((each) => each !== id) })}
					>{name} ×</button
				>
			{/each}
		</div>
	{/if}
	{#if !isCoachs}
		<TextInput
			id="cleared-{index}"
			size="sm"
			labelText={say(texts.liftedBy)}
			value={restriction.cleared?.by ?? ''}
			on:input={(event) => clear({ by: String(event.detail ?? '') })}
		/>
		<TextInput
			id="cleared-on-{index}"
			type="date"
			size="sm"
			labelText={say(texts.liftedFrom)}
			disabled={!restriction.cleared}
			value={restriction.cleared?.on ?? ''}
			on:input={(event) => clear({ on: String(event.detail ?? '') })}
		/>
	{/if}
	<button
		type="button"
		class="link"
		aria-label={say(texts.removeRestriction, { index: index + 1 })}
		onclick={onremove}>{say(texts.remove)}</button
	>
</fieldset>

<style>
	fieldset {
		border: 0;
		border-top: 1px solid var(--rule);
		padding: 10px 0 14px;
		display: grid;
		grid-template-columns: 1fr 1fr 1.3fr;
		gap: 10px 16px;
		align-items: end;
	}
	legend {
		float: left;
		grid-column: 1 / -1;
		font-weight: 650;
		padding: 0;
	}
	.what {
		grid-column: 1 / -1;
		display: grid;
		gap: 6px;
		justify-items: start;
	}
	.wrong {
		outline: 2px solid var(--stop);
		outline-offset: 4px;
	}
	.heading {
		font-size: 12px;
	}
	.areas {
		display: flex;
		flex-wrap: wrap;
		gap: 0 18px;
	}
	.areas :global(.bx--checkbox-wrapper) {
		margin: 0;
	}
	.link {
		justify-self: start;
	}
	@media (max-width: 672px) {
		fieldset {
			grid-template-columns: 1fr 1fr;
		}
	}
</style>
