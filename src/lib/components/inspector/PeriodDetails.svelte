<script lang="ts">
	import { NumberInput, Select, SelectItem } from 'carbon-components-svelte';
	import type { Evaluation } from '$core/playing';
	import type { Period, PeriodKind, Rank } from '$core/model/practice';
	import type { Edit, EditOf } from '$core/practice';
	import { useWords } from '$lib/components/page/words.svelte';
	import { DIRECTIONS, PERIOD_KINDS, RANKS } from './periodWords';
	import texts from '$texts/inspector';

	/** What a period is for, what becomes of it when time is short, and where a talk is held and faces. */
	let {
		evaluation,
		period,
		onapply
	}: { evaluation: Evaluation; period: Period; onapply: (edit: Edit) => void } = $props();

	const say = useWords();
	const zones = $derived(evaluation.context.ground.zones);
	const value = (event: Event) => (event.target as HTMLSelectElement).value;
	const set = (change: EditOf<'set-period'>['set']) =>
		onapply({ type: 'set-period', period: period.id, set: change });

	/** The three bounds stay in order: one that is passed by another goes with it. */
	function bound(key: 'min' | 'ideal' | 'max', minutes: number | null) {
		if (minutes === null || !Number.isInteger(minutes) || minutes < 0 || minutes > 600) return;
		const next = { min: period.min, ideal: period.ideal, max: period.max, [key]: minutes };
		if (key !== 'max') next.max = Math.max(next.max, minutes);
		if (key !== 'min') next.min = Math.min(next.min, minutes);
		next.ideal = Math.min(next.max, Math.max(next.min, next.ideal));
		if (minutes !== period[key]) set(next);
	}
	const BOUNDS = [
		['min', texts.least],
		['ideal', texts.best],
		['max', texts.most]
	] as const;
</script>

{#if period.kind === 'talk'}
	<Select
		id="talk-zone"
		size="sm"
		labelText={say(texts.talkZone)}
		selected={period.zoneId ?? ''}
		on:change={(event) => set({ zoneId: value(event) || null })}
	>
		<SelectItem value="" text={say(texts.nowhere)} />
		{#each zones as zone (zone.id)}<SelectItem value={zone.id} text={zone.name} />{/each}
	</Select>
	<Select
		id="talk-facing"
		size="sm"
		labelText={say(texts.facing)}
		selected={period.facing === undefined ? '' : String(period.facing)}
		on:change={(event) => set({ facing: value(event) === '' ? null : Number(value(event)) })}
	>
		<SelectItem value="" text={say(texts.facingNotSaid)} />
		{#each DIRECTIONS as { degrees, word } (degrees)}
			<SelectItem value={String(degrees)} text={say(word)} />
		{/each}
	</Select>
{/if}
<details>
	<summary>{say(texts.whenTimeIsShort)}</summary>
	<div class="fields">
		<Select
			id="period-kind"
			size="sm"
			labelText={say(texts.kind)}
			selected={period.kind}
			on:change={(event) => set({ kind: value(event) as PeriodKind })}
		>
			{#each PERIOD_KINDS as { kind, word } (kind)}
				<SelectItem value={kind} text={say(word)} />
			{/each}
		</Select>
		<Select
			id="period-rank"
			size="sm"
			labelText={say(texts.rank)}
			selected={period.rank}
			on:change={(event) => set({ rank: value(event) as Rank })}
		>
			{#each RANKS as { rank, word } (rank)}<SelectItem value={rank} text={say(word)} />{/each}
		</Select>
		<div class="bounds">
			{#each BOUNDS as [key, label] (key)}
				<NumberInput
					id="period-{key}"
					size="sm"
					hideSteppers
					min={0}
					max={600}
					labelText={say(label)}
					value={period[key]}
					on:change={(event) => bound(key, event.detail)}
				/>
			{/each}
		</div>
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
	.fields {
		display: grid;
		gap: 8px;
	}
	.bounds {
		display: grid;
		grid-template-columns: repeat(3, minmax(0, 1fr));
		gap: 6px;
	}
	.bounds :global(.bx--number input) {
		min-width: 0;
		padding-right: 6px;
	}
</style>
