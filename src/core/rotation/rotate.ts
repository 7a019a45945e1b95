import { fail, ok, type Outcome } from '../base';
import { pairSquare } from './pairings';
import { readRotation, type RotationTask } from './readRotation';
import { bestRound, isShorter, type RoundCost } from './round';
import type { RotateInput, RotateOutput } from './rotateShapes';

/** By slot and group: the index of the station, or -1 for rest. */
type Places = number[][];

/** Where the stations of a round lie among its places, spread evenly; the others are rests. */
function spreadOver(stations: number, places: number): number[] {
	return Array.from({ length: stations }, (_, k) => Math.floor((k * places) / stations));
}

/** The places that groups start from: evenly, and where all are walked, so that the worst ways are nobody's. */
function startsOf(
	{ groups, slots, legs, stations }: RotationTask,
	round: readonly number[]
): number[] {
	const places = round.length;
	if (groups.length >= places) return groups.map((_, group) => group % places);
	if (slots < places) return groups.map((_, group) => Math.floor((group * places) / groups.length));
	// A group that starts at a place never walks into it.
	const legInto = (place: number) => {
		const to = round[place];
		for (let back = 1; back < places; back += 1) {
			const from = round[(place - back + places) % places];
			if (from >= 0) return to < 0 ? -1 : legs[from * stations.length + to];
		}
		return 0;
	};
	return round
		.map((_, place) => place)
		.sort((a, b) => legInto(b) - legInto(a) || a - b)
		.slice(0, groups.length)
		.sort((a, b) => a - b);
}

/** All groups one behind the other through one round of stations and rests. */
function throughRound(task: RotationTask): Places {
	const { groups, stations, holds, slots, legs, isHard, avoidsHard } = task;
	const places = Math.max(stations.length, Math.ceil(groups.length / holds), slots);
	const at = spreadOver(stations.length, places);
	const isClose = at.map((place, k) => (at[k + 1] ?? places + at[0]) - place === 1);
	const order = bestRound({ legs, isHard: avoidsHard ? isHard : isHard.map(() => false), isClose });
	const round = new Array<number>(places).fill(-1);
	for (const [k, place] of at.entries()) round[place] = order[k];
	const starts = startsOf(task, round);
	return Array.from({ length: slots }, (_, slot) =>
		groups.map((_, group) => round[(starts[group] + slot) % places])
	);
}

/** The least number of places with a square of pairs that has room for all. */
function squareFor(least: number) {
	for (let size = least; size <= least + 2; size += 1) {
		const square = pairSquare(size);
		if (square) return { size, square };
	}
	return null;
}

/** Groups two by two, no two together twice; null where that cannot be. */
function inPairs(task: RotationTask): Places | null {
	const { groups, stations, holds, slots } = task;
	const isAlone = holds === 1 || groups.length <= stations.length;
	const meetsOnce = slots === 1 || stations.length === 1;
	if (isAlone || meetsOnce) return throughRound(isAlone ? { ...task, holds: 1 } : task);
	const least = Math.max(stations.length, Math.ceil(groups.length / 2), slots);
	if (least === 2) return null;
	const found = squareFor(least);
	if (!found) return null;
	const { size, square } = found;
	const columns = new Array<number>(size).fill(-1);
	for (const [station, place] of spreadOver(stations.length, size).entries())
		columns[place] = station;
	const placed = Array.from({ length: slots }, (_, round) => {
		const at = new Array<number>(groups.length).fill(-1);
		for (let place = 0; place < size; place += 1)
			for (const symbol of square(round, place)) if (symbol < groups.length) at[symbol] = place;
		return at;
	});
	return withShortWays(task, placed, columns);
}

const placesOf = (placed: readonly (readonly number[])[], columns: readonly number[]): Places =>
	placed.map((at) => at.map((place) => columns[place]));

/** Rounds of swaps of stations: what more would bring is not worth the wait. */
const MOST_PASSES = 2;

/** Swaps stations between the places of a square while that spares hard neighbours and ways. */
function withShortWays(
	task: RotationTask,
	placed: readonly number[][],
	columns: readonly number[]
): Places {
	let best = [...columns];
	let cost = costOf(task, placesOf(placed, best));
	for (let pass = 0, improved = true; improved && pass < MOST_PASSES; pass += 1) {
		improved = false;
		for (let i = 0; i < best.length; i += 1)
			for (let j = i + 1; j < best.length; j += 1) {
				const tried = best.with(i, best[j]).with(j, best[i]);
				const now = costOf(task, placesOf(placed, tried));
				if (!isShorter(now, cost)) continue;
				best = tried;
				cost = now;
				improved = true;
			}
	}
	return placesOf(placed, best);
}

/** What groups walk, and how often they go from hard to hard. */
function costOf({ legs, stations, isHard, avoidsHard }: RotationTask, places: Places): RoundCost {
	const cost = { hard: 0, longestLeg: 0, total: 0 };
	const last = new Array<number>(places[0].length).fill(-1);
	for (const [slot, at] of places.entries())
		for (const [group, station] of at.entries()) {
			if (station < 0) continue;
			const from = last[group];
			last[group] = station;
			if (from < 0) continue;
			const leg = legs[from * stations.length + station];
			cost.total += leg;
			cost.longestLeg = Math.max(cost.longestLeg, leg);
			if (avoidsHard && isHard[from] && isHard[station] && places[slot - 1][group] === from)
				cost.hard += 1;
		}
	return cost;
}

function restRowOf(places: Places): number {
	let most = 0;
	for (let group = 0; group < places[0].length; group += 1) {
		let row = 0;
		for (const at of places) {
			row = at[group] < 0 ? row + 1 : 0;
			most = Math.max(most, row);
		}
	}
	return most;
}

function repeatMeetingsOf(places: Places): number {
	const met = new Map<string, number>();
	for (const at of places)
		for (const [a, station] of at.entries())
			for (let b = a + 1; station >= 0 && b < at.length; b += 1)
				if (at[b] === station) met.set(`${a} ${b}`, (met.get(`${a} ${b}`) ?? 0) + 1);
	return [...met.values()].reduce((sum, times) => sum + times - 1, 0);
}

function outputOf(task: RotationTask, places: Places): RotateOutput {
	const { groups, stations } = task;
	const { hard, longestLeg, total } = costOf({ ...task, avoidsHard: true }, places);
	return {
		slots: places.map((at) => {
			const slot = new Map<string, string[]>(
				[...stations.map(({ id }) => id), 'rest'].map((id) => [id, []])
			);
			for (const [group, station] of at.entries())
				slot.get(station < 0 ? 'rest' : stations[station].id)?.push(groups[group]);
			return Object.fromEntries(slot);
		}),
		walk: { longestLeg, total },
		hardAfterHard: hard,
		repeatMeetings: repeatMeetingsOf(places),
		restRow: restRowOf(places)
	};
}

/**
 * Groups through stations: each at every station once where the slots allow, rests shared evenly.
 * Without `meet` all follow the one round of the stations that is best (`bestRound`); with it no two
 * groups are together twice. Fails with `bad-input`, or `infeasible` where two must meet again.
 */
export function rotate(input: RotateInput): Outcome<RotateOutput> {
	const read = readRotation(input);
	if (!read.ok) return read;
	const task = read.value;
	const places = task.meets ? inPairs(task) : throughRound(task);
	if (places) return ok(outputOf(task, places));
	const { groups, stations, slots } = task;
	return fail({
		code: 'infeasible',
		message: `${groups.length} groups at ${stations.length} stations in ${slots} rounds: two groups must meet again`
	});
}
