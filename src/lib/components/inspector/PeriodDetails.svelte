<script lang="ts">
	import { NumberInput } from 'carbon-components-svelte';
	import type { Evaluation } from '$core/playing';
	import type { Period, PeriodKind, Rank } from '$core/model/practice';
	import type { Edit, EditOf } from '$core/practice';
	import { useWords } from '$lib/components/page/words.svelte';
	import Choice from '../page/Choice.svelte';
	import Fold from '../page/Fold.svelte';
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
	<Choice
		id="talk-zone"
		label={say(texts.talkZone)}
		of={zones}
		chosen={period.zoneId ?? ''}
		none={say(texts.nowhere)}
		onchoose={(id) => set({ zoneId: id || null })}
	/>
	<Choice
		id="talk-facing"
		label={say(texts.facing)}
		of={DIRECTIONS.map(({ degrees, word }) => ({ id: String(degrees), name: say(word) }))}
		chosen={period.facing === undefined ? '' : String(period.facing)}
		none={say(texts.facingNotSaid)}
		onchoose={(id) => set({ facing: id === '' ? null : Number(id) })}
	/>
{/if}
<Fold summary={say(texts.whenTimeIsShort)}>
	<Choice
		id="period-kind"
		label={say(texts.kind)}
		of={PERIOD_KINDS.map(({ kind, word }) => ({ id: kind, name: say(word) }))}
		chosen={period.kind}
		onchoose={(id) => set({ kind: id as PeriodKind })}
	/>
	<Choice
		id="period-rank"
		label={say(texts.rank)}
		of={RANKS.map(({ rank, word }) => ({ id: rank, name: say(word) }))}
		chosen={period.rank}
		onchoose={(id) => set({ rank: id as Rank })}
	/>
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
</Fold>

<style>
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
