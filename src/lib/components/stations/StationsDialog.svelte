<script lang="ts">
	import { Modal, NumberInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import { splitEvenly } from '$core/base';
	import type { Drill } from '$core/model/drill';
	import type { Period } from '$core/model/practice';
	import { describeFinding, faultsIn } from '$core/checks';
	import {
		roundPlayers,
		sideLanes,
		sizeHere,
		splitIntoStations,
		stationPlayers,
		type StationWish,
		suggestStations
	} from '$core/building';
	import { evaluate, isStation, type Evaluation } from '$core/playing';
	import { applyEdit, drillOf, type Edit } from '$core/practice';
	import { mostStations, slotBounds, slotSeconds } from '$core/sizing';
	import SizeList from '../inspector/SizeList.svelte';
	import StationRow from './StationRow.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/stations';

	/** Turns a period into a round of stations: how many, which drill where, with whom. */
	let {
		evaluation,
		period,
		block,
		onapply,
		onclose
	}: {
		evaluation: Evaluation;
		period: Period;
		/** The block whose drill is the first station. */
		block: string | null;
		onapply: (edit: Edit) => void;
		onclose: () => void;
	} = $props();

	const say = useWords();
	const age = $derived(evaluation.context.team.ages.from);
	const bounds = $derived(slotBounds(age));
	const beside = $derived(sideLanes(period));
	const people = $derived(stationPlayers(evaluation, period));
	const own = $derived(
		period.lanes
			.filter((lane) => !period.slots || isStation(period, lane))
			.flatMap(({ blocks }) => blocks)
			.toSorted((a, b) => Number(b.id === block) - Number(a.id === block))
			.flatMap(({ drill }) => drillOf(evaluation.context, drill) ?? [])
	);
	const sizing = $derived.by(() => {
		if (!own[0]) return null;
		const asked = {
			period,
			drill: own[0],
			players: people.length,
			minutes: Math.max(1, period.minutes),
			beside
		};
		const sized = sizeHere(evaluation, asked);
		return sized.ok ? sized.value : null;
	});

	// The dialog starts from the period as it was when it was opened.
	let moveSeconds = $state(untrack(() => period.moveSeconds ?? 30));
	let wishes: StationWish[] = $state.raw(untrack(firstWishes));

	// Who is kept out of a station is out of the round.
	const players = $derived(
		roundPlayers(
			evaluation,
			period,
			wishes.map(({ drill }) => drill)
		).length
	);

	function firstWishes(): StationWish[] {
		if (period.slots)
			return period.lanes
				.filter((lane) => isStation(period, lane))
				.flatMap(({ blocks }) => blocks.slice(0, 1))
				.flatMap((from) => {
					const { copies } = from;
					const drill = drillOf(evaluation.context, from.drill);
					return drill ? [{ drill, zoneId: copies[0].zoneId, adults: copies[0].adults, from }] : [];
				});
		const best = sizing?.output.best;
		const copies = best == null ? 4 : (sizing?.output.options[best].copies ?? 4);
		const most = mostStations(period.minutes, { age, moveSeconds: 30 });
		return suggest(Math.min(6, most, Math.max(2, copies)), { first: own });
	}
	function suggest(
		count: number,
		{ kept = [], first = [] }: { kept?: readonly StationWish[]; first?: readonly Drill[] }
	): StationWish[] {
		const minutes = period.minutes / count;
		return suggestStations(evaluation, {
			...{ period, kept, first, beside, count },
			...{ players: people, minutes }
		});
	}

	const count = $derived(wishes.length);
	const sizes = $derived(splitEvenly(players, Math.max(1, count)));
	const seconds = $derived(slotSeconds(period.minutes, { slots: Math.max(1, count), moveSeconds }));
	const clock = $derived(`${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`);
	const canApply = $derived(count >= 2 && seconds >= 60 && players >= count);
	/** What the number of stations came to where it is not what was asked for. */
	let said = $state('');

	const edit = $derived(
		canApply ? splitIntoStations(evaluation, { period, wishes, sizes, moveSeconds }) : null
	);
	/** What each station would lack, in words, in their order: as the board would say it afterwards. */
	const lacks = $derived.by((): string[][] => {
		const applied = edit && applyEdit(evaluation.practice, edit);
		if (!edit || !applied?.ok) return wishes.map(() => []);
		const tried = evaluate(applied.value.practice, evaluation.context, evaluation);
		const parts = faultsIn(tried).flatMap((fault) => fault.parts);
		return wishes.map((_, index) => {
			const own = edit.lanes[index].blocks.map(({ id }) => id);
			return parts
				.filter(({ severity, at }) => severity !== 'hint' && own.includes(at.block ?? ''))
				.map((part) => describeFinding(part, tried, say));
		});
	});

	function change(index: number, wish: Partial<StationWish>) {
		wishes = wishes.map((each, place) => (place === index ? { ...each, ...wish } : each));
	}
	function setCount(next: number) {
		const found = suggest(next, { kept: wishes.slice(0, next) });
		said =
			found.length < next
				? say(texts.noMoreThanOfStationsCan, { foundCount: found.length, next })
				: '';
		if (found.length >= 2) wishes = found;
	}
	function apply() {
		if (!edit) return;
		onapply(edit);
		onclose();
	}
</script>

<Modal
	open
	size="lg"
	modalHeading={period.slots
		? say(texts.stationsOf, { name: period.name })
		: say(texts.splitNameIntoStations, { name: period.name })}
	primaryButtonText={period.slots
		? say(texts.useTheseStations, { count })
		: say(texts.splitIntoStations, { count })}
	primaryButtonDisabled={!canApply}
	secondaryButtonText={say(texts.cancel)}
	on:click:button--secondary={onclose}
	on:close={onclose}
	on:submit={apply}
>
	<div class="plan">
		<div>
			{#if sizing && own[0]}
				<h4>{say(texts.howManyForWith, { name: own[0].name, peopleCount: people.length })}</h4>
				<SizeList
					drill={own[0]}
					{sizing}
					copies={count}
					onpick={(option) => setCount(Math.max(2, option.copies))}
				/>
			{/if}
		</div>
		<div>
			<p class="sum">
				<strong>{say(texts.players, { playerCount: players })}</strong>
				{say(texts.inEvenGroupsOfSlotsOf, { count, sizes: [...new Set(sizes)].join(' or ') })}
				<strong>{clock}</strong>
				{say(texts.min)}
			</p>
			<div class="move">
				<NumberInput
					id="move-seconds"
					size="sm"
					labelText={say(texts.secondsToChange)}
					min={0}
					max={600}
					step={5}
					value={moveSeconds}
					on:change={(event) => (moveSeconds = Math.round(event.detail ?? 0))}
				/>
				<NumberInput
					id="station-count"
					size="sm"
					labelText={say(texts.stations)}
					min={2}
					max={8}
					value={count}
					on:change={(event) => setCount(Math.min(8, Math.max(2, event.detail ?? 2)))}
				/>
			</div>
			{#if said}<p class="fault" role="status">{said}</p>{/if}
			<ol>
				{#each wishes as wish, index (index)}
					<StationRow
						{wish}
						{index}
						plan={evaluation}
						players={sizes[0]}
						minutes={seconds / 60}
						lacks={lacks[index]}
						onchange={(next) => change(index, next)}
					/>
				{/each}
			</ol>
			{#if seconds < bounds.least * 60}
				<p class="fault">
					{say(texts.slotLastsMinToSuitThis, { clock, least: bounds.least, most: bounds.most })}
				</p>
			{/if}
		</div>
	</div>
</Modal>

<style>
	.plan {
		display: grid;
		grid-template-columns: minmax(0, 240px) minmax(0, 1fr);
		gap: 24px;
	}
	h4 {
		font-size: 13.5px;
		font-weight: 700;
		padding-bottom: 4px;
	}
	.sum {
		font-size: 14px;
		padding-bottom: 8px;
	}
	.move {
		display: grid;
		grid-template-columns: 160px 130px;
		gap: 12px;
		padding-bottom: 6px;
	}
	.fault {
		color: var(--stop);
		font-size: 13px;
	}
	@media (max-width: 672px) {
		.plan {
			grid-template-columns: 1fr;
		}
	}
</style>
