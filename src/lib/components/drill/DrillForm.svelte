<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import { enhance } from '$app/forms';
	import { faultOf } from '$core/drill';
	import type { Drill } from '$core/model/drill';
	import Metres from '../ground/Metres.svelte';
	import { keepTyped } from '../page/keepTyped';
	import Outcome from '../page/Outcome.svelte';
	import { useWording } from '../page/wording.svelte';
	import TypedTable from '../table/TypedTable.svelte';
	import { spotColumns, spotRows, textsOf, withSpots, withTexts, type SpotRow } from './draft';
	import DrillRun from './DrillRun.svelte';
	import { givenWith } from './numbers';
	import SpotMap from './SpotMap.svelte';

	/** A drill while it is edited: spots on a grid and as rows, numbers, words; run as it stands. */
	let {
		drill,
		skills,
		misfit
	}: {
		drill: Drill;
		skills: readonly { id: string; name: string }[];
		misfit: { path: string; message: string } | null;
	} = $props();

	const w = useWording();
	let base: Drill = $state.raw(untrack(() => drill));
	let rows: SpotRow[] = $state.raw(untrack(() => spotRows(drill)));
	let texts = $state(untrack(() => textsOf(drill)));
	let made = 0;

	const draft = $derived(withTexts(withSpots(base, rows), texts));
	// Half typed numbers are none: the checks need whole ones.
	const isTyped = $derived(
		draft.spots.every(({ count, x = 0, y = 0 }) => [count, x, y].every(Number.isFinite)) &&
			new Set(draft.spots.map(({ id }) => id)).size === draft.spots.length &&
			draft.spots.every(({ id }) => id !== '')
	);
	const fault = $derived(isTyped ? faultOf(draft) : null);
	const given = $derived(
		isTyped && !fault
			? givenWith(draft, draft.group.ideal, { minutes: 12, adults: draft.coaches.ideal })
			: null
	);
	/** The last state that ran: what is drawn while something is half typed. */
	let running: Drill = $state.raw(untrack(() => drill));
	$effect(() => {
		if (isTyped && !fault) running = draft;
	});

	const set = (change: Partial<Drill>) => (base = { ...base, ...change });
	function addSpot() {
		made += 1;
		rows = [
			...rows,
			{
				key: `new-${made}`,
				id: '',
				role: 'worker',
				count: '1',
				upTo: '',
				by: 'player',
				line: false,
				goesTo: '',
				job: '',
				x: String(base.ground.length / 2),
				y: String(base.ground.width / 2)
			}
		];
	}
	const TEXTS = [
		{ key: 'cues', name: 'Cues', says: 'one a line; "spot: cue" for one spot' },
		{ key: 'faults', name: 'What goes wrong', says: 'seen > what to say' },
		{ key: 'calls', name: 'Players call', says: 'one a line' },
		{ key: 'prompts', name: 'Called at random', says: 'one a line' },
		{ key: 'praise', name: 'Praise', says: 'one a line' },
		{ key: 'cautions', name: 'Cautions', says: 'one a line' },
		{ key: 'kit', name: 'Kit', says: '2 ball a copy, 1 bib a player' },
		{ key: 'fixtures', name: 'Must stand in the zone', says: '1 goal' }
	] as const;
	const mainSkill = $derived(base.skills.find(({ focus }) => focus === 'main')?.skill ?? '');
	/** The team's skill areas, and the one that the drill has where it is another. */
	const choices = $derived(
		mainSkill === '' || skills.some(({ id }) => id === mainSkill)
			? skills
			: [...skills, { id: mainSkill, name: mainSkill }]
	);
	function setSkill(skill: string) {
		const others = base.skills.filter(({ focus }) => focus !== 'main');
		const share = Math.max(0, 1 - others.reduce((sum, each) => sum + each.share, 0));
		set({ skills: skill === '' ? others : [{ skill, share, focus: 'main' }, ...others] });
	}
</script>

<Outcome {misfit} />
<form method="POST" use:enhance={keepTyped}>
	<input type="hidden" name="drill" value={JSON.stringify(draft)} />
	<div class="top">
		<label
			>Name <input
				maxlength="200"
				value={base.name}
				oninput={(event) => set({ name: event.currentTarget.value })}
			/></label
		>
		<label
			>In a sentence <input
				maxlength="2000"
				value={base.summary}
				oninput={(event) => set({ summary: event.currentTarget.value })}
			/></label
		>
		<label
			>Main skill <select
				value={mainSkill}
				onchange={(event) => setSkill(event.currentTarget.value)}
			>
				<option value="">none</option>
				{#each choices as { id, name } (id)}<option value={id}>{name}</option>{/each}
			</select></label
		>
		<label
			>How often <select
				value={base.frequency}
				onchange={(event) => set({ frequency: event.currentTarget.value as Drill['frequency'] })}
			>
				{#each ['daily', 'regular', 'vary'] as each (each)}<option>{each}</option>{/each}
			</select></label
		>
		<Button type="submit" size="field" disabled={!isTyped || fault !== null}
			>{w('Save the drill')}</Button
		>
	</div>
	<p class="state" role="status" class:bad={fault !== null || !isTyped}>
		{#if !isTyped}
			{w('Every spot needs a name of its own and numbers.')}
		{:else if fault}
			{w('It does not run yet:')}
			{fault.message}{fault.onRung ? `, on the rung ${fault.onRung}` : ''}.
		{:else if given}
			{w(
				`It balances. With ${given.players}: ${Math.round(given.turns.mean)} turns in 12 min, waits ${Math.round(given.waitShare * 100)} %.`
			)}
		{/if}
	</p>
	<div class="columns">
		<div>
			<SpotMap
				{rows}
				length={base.ground.length}
				width={base.ground.width}
				onmove={(index, { x, y }) =>
					(rows = rows.with(index, { ...rows[index], x: String(x), y: String(y) }))}
			/>
		</div>
		<DrillRun
			drill={running}
			players={running.group.ideal}
			climb={[{ minutes: 12 }]}
			adults={running.coaches.ideal + 1}
		/>
	</div>
	<TypedTable
		{rows}
		columns={spotColumns(rows)}
		nameOf={({ id }) => id || 'a new spot'}
		onchange={(index, row) => (rows = rows.with(index, row))}
		onadd={addSpot}
		onremove={(row) => (rows = rows.filter(({ key }) => key !== row.key))}
	/>
	<button type="button" class="link" onclick={addSpot}>{w('Add a spot')}</button>
	<div class="numbers">
		{#each [['min', 'Least players'], ['ideal', 'Best'], ['max', 'Most']] as const as [key, label] (key)}
			<Metres
				id="group-{key}"
				label={w(label)}
				unit=""
				least={1}
				value={base.group[key]}
				onset={(value) => set({ group: { ...base.group, [key]: value ?? base.group[key] } })}
			/>
		{/each}
		{#each [['workSeconds', 'A turn lasts'], ['headwaySeconds', 'Next starts after']] as const as [key, label] (key)}
			<Metres
				id="turn-{key}"
				label={w(label)}
				unit="s"
				least={0.5}
				value={base.turn[key]}
				onset={(value) => set({ turn: { ...base.turn, [key]: value ?? base.turn[key] } })}
			/>
		{/each}
		{#each [['length', 'Ground, long'], ['width', 'Wide']] as const as [key, label] (key)}
			<Metres
				id="ground-{key}"
				label={w(label)}
				least={1}
				value={base.ground[key]}
				onset={(value) => set({ ground: { ...base.ground, [key]: value ?? base.ground[key] } })}
			/>
		{/each}
		{#each [['min', 'Adults, least'], ['ideal', 'Adults, best']] as const as [key, label] (key)}
			<Metres
				id="coaches-{key}"
				label={w(label)}
				unit=""
				least={0}
				value={base.coaches[key]}
				onset={(value) => set({ coaches: { ...base.coaches, [key]: value ?? base.coaches[key] } })}
			/>
		{/each}
		<Metres
			id="effort"
			label="Effort, 1 to 10"
			unit=""
			least={1}
			most={10}
			value={base.effort}
			onset={(value) => set({ effort: value ?? base.effort })}
		/>
		<Metres
			id="contact"
			label="Contact, 0 to 4"
			unit=""
			least={0}
			most={4}
			value={base.contact}
			onset={(value) => set({ contact: Math.round(value ?? base.contact) })}
		/>
		<Metres
			id="explain"
			label="To explain"
			unit="s"
			least={0}
			value={base.explainSeconds}
			onset={(value) => set({ explainSeconds: value ?? 0 })}
		/>
	</div>
	<div class="texts">
		{#each TEXTS as { key, name, says } (key)}
			<label
				>{w(name)} <span>{w(says)}</span>
				<textarea rows="3" bind:value={texts[key]}></textarea></label
			>
		{/each}
	</div>
</form>

<style>
	form {
		display: grid;
		gap: 14px;
		justify-items: stretch;
	}
	.top {
		display: grid;
		grid-template-columns: 1.2fr 2fr 0.9fr 0.7fr auto;
		gap: 8px 14px;
		align-items: end;
	}
	label {
		display: grid;
		gap: 2px;
		font-size: 12px;
		color: var(--ink-soft);
		min-width: 0;
	}
	.top input,
	.top select,
	textarea {
		min-height: 36px;
		min-width: 0;
		border: 0;
		border-bottom: 1px solid var(--ink-soft);
		background: #fff;
		font: inherit;
		font-size: 14px;
		color: var(--ink);
		padding: 3px 8px;
	}
	.state {
		font-size: 15px;
		font-weight: 650;
	}
	.bad {
		color: var(--stop);
	}
	.columns {
		display: grid;
		grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
		gap: 24px;
		align-items: start;
	}
	.link {
		justify-self: start;
	}
	.numbers {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(120px, 1fr));
		gap: 10px 16px;
	}
	.texts {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(260px, 1fr));
		gap: 12px 18px;
	}
	.texts span {
		font-size: 12px;
	}
	@media (max-width: 900px) {
		.top,
		.columns {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
