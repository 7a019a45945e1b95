import { fail, ok, type Outcome } from '../base';
import { spreadBreaks } from './breaks';
import type { LineupInput, LineupOutput } from './lineupShapes';
import { FILLER, readLineup, type LineupTask } from './readLineup';
import { fairestRanges, fillersNeeded, sharesWithin } from './shares';
import { dealShares, longestSit, type Shifts } from './shifts';
import { shiftsByWindow } from './windows';

/** A search for a line-up: the best so far, and whether it is over. */
export interface LineupProgress {
	best: LineupOutput;
	cost: readonly number[];
	bound: readonly number[];
	done: boolean;
}

/** Searches for breaks from so many orders of the same shares. */
const ROUNDS = 4;

const playsOf = (at: Shifts, player: number) => at.map((places) => places.includes(player));

/** Spread, longest sit, and wishes not met, in the order in which they count. */
function costOf(
	{ players, places, rank, isFree }: LineupTask,
	at: Shifts
): [number, number, number] {
	const played = players.map((_, player) => playsOf(at, player).filter(Boolean).length);
	const compared = played.filter((_, player) => !isFree[player]);
	const spread = compared.length > 0 ? Math.max(...compared) - Math.min(...compared) : 0;
	const sits = players.map((_, player) =>
		rank[player].some((wish) => wish >= 0) ? longestSit(playsOf(at, player)) : 0
	);
	let wishes = 0;
	for (const shift of at)
		for (const [place, player] of shift.entries())
			if (player < players.length) wishes += rank[player][places[place]];
	return [spread, Math.max(...sits), wishes];
}

/** The least that anybody must sit in a row, from the numbers alone. */
function leastSit({ players, places, rank, shifts }: LineupTask, fillers: number): number {
	const able = players.filter((_, player) => rank[player].some((wish) => wish >= 0)).length;
	const window = Math.ceil(able / (places.length - fillers || 1));
	return Math.min(shifts, Math.max(0, window - 1));
}

/** Players at places of the same position change teams so that each stays on one side. */
function keepSides({ players, places, teams, kinds }: LineupTask, at: Shifts): Shifts {
	if (teams === 1) return at;
	const side = new Map<number, number>();
	const half = places.length / 2;
	return at.map((shift) => {
		const next = [...shift];
		for (let kind = 0; kind < kinds.length; kind += 1) {
			const own = places.flatMap((each, place) => (each === kind ? place : []));
			// Those of the first side come first, then who has none, then those of the second.
			const wish = (player: number) => side.get(player) ?? 0.5;
			const order = own.map((place) => shift[place]).sort((a, b) => wish(a) - wish(b) || a - b);
			for (const [k, place] of own.entries()) {
				next[place] = order[k];
				if (order[k] < players.length && !side.has(order[k]))
					side.set(order[k], place < half ? 0 : 1);
			}
		}
		return next;
	});
}

function outputOf(task: LineupTask, at: Shifts, cost: readonly number[]): LineupOutput {
	const { players, places, teams, rank } = task;
	const perTeam = places.length / teams;
	const name = (player: number) => (player < players.length ? players[player] : FILLER);
	let preferred = 0;
	let fillers = 0;
	const shifts = keepSides(task, at).map((shift) => {
		for (const [place, player] of shift.entries())
			if (player >= players.length) fillers += 1;
			else if (rank[player][places[place]] === 0) preferred += 1;
		return {
			at: Object.fromEntries(
				shift.map((player, place) => [
					`${Math.floor(place / perTeam)}:${place % perTeam}`,
					name(player)
				])
			),
			sit: players.filter((_, player) => !shift.includes(player))
		};
	});
	const played = Object.fromEntries(
		players.map((id, player) => [id, playsOf(at, player).filter(Boolean).length])
	);
	return { shifts, played, spread: cost[0], sitRow: cost[1], preferred, fillers };
}

/** Whether cost `a` is better, a longest sit within what is allowed being as good as any other. */
function isBetter(a: readonly number[], b: readonly number[], allowed: number): boolean {
	const [sitA, sitB] = [Math.max(a[1], allowed), Math.max(b[1], allowed)];
	if (a[0] !== b[0]) return a[0] < b[0];
	if (sitA !== sitB) return sitA < sitB;
	return a[2] < b[2];
}

function* ways(task: LineupTask, fillers: number): Generator<Shifts> {
	const { players, places, shifts, maxSitRow, seed } = task;
	const count = players.length;
	const least = leastSit(task, fillers);
	const target = Math.max(maxSitRow, least);
	for (const range of fairestRanges(task, fillers)) {
		const shares = sharesWithin(task, range, { fillers, wishes: true });
		if (!shares) continue;
		const at = dealShares(shares, { players: count, places, shifts });
		yield at;
		for (let round = 0; round < ROUNDS; round += 1) {
			const tried = at.map((shift) => [...shift]);
			const isDone = spreadBreaks(tried, count, { most: target, seed: seed + round });
			yield tried;
			if (isDone) break;
		}
	}
	for (let window = least + 1; window <= Math.min(shifts, target + 3); window += 1) {
		const tried = shiftsByWindow(task, window, fillers);
		if (tried) yield tried;
	}
}

function* progress(task: LineupTask, fillers: number): Generator<LineupProgress, void> {
	const bound = [0, leastSit(task, fillers), 0];
	let best: { at: Shifts; cost: [number, number, number] } | null = null;
	let output: LineupOutput | null = null;
	for (const at of ways(task, fillers)) {
		const cost = costOf(task, at);
		if (!best || isBetter(cost, best.cost, task.maxSitRow)) {
			best = { at, cost };
			output = outputOf(task, at, cost);
		}
		if (output) yield { best: output, cost: best.cost, bound, done: false };
	}
	if (best && output) yield { best: output, cost: best.cost, bound, done: true };
}

/**
 * A search for who plays where in which shift. Reports its best after each try; ends on its own. Fails
 * with `bad-input`, or `infeasible` with a `position` that lacks players and fillers.
 */
export function lineupSearch(input: LineupInput): Outcome<Generator<LineupProgress, void>> {
	const read = readLineup(input);
	if (!read.ok) return read;
	const { needed, position } = fillersNeeded(read.value);
	if (position !== null)
		return fail({
			code: 'infeasible',
			position,
			message: `too few may play "${position}", and ${read.value.fillers} fillers do not cover it`
		});
	return ok(progress(read.value, needed));
}

/**
 * Players at positions, shift by shift: every place filled, shifts as even as they can be, nobody sitting
 * longer in a row than asked for or else as short as is found, positions that players like. Fails as
 * `lineupSearch` does.
 */
export function lineup(input: LineupInput): Outcome<LineupOutput> {
	const search = lineupSearch(input);
	if (!search.ok) return search;
	let best: LineupOutput | undefined;
	for (const state of search.value) best = state.best;
	if (!best) throw new Error('a line-up was expected, as every place can be filled');
	return ok(best);
}
