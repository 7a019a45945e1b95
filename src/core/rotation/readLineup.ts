import { badInput, fail, ok, type Outcome } from '../base';
import type { LineupInput } from './lineupShapes';

const MOST_PLAYERS = 500;
const MOST_PLACES = 60;
const MOST_SHIFTS = 60;

/** The name of whoever fills a place and is no player. */
export const FILLER = 'filler';

/** A request that was looked through: players and kinds of positions by index. */
export interface LineupTask {
	players: readonly string[];
	/** Names of positions, each once. */
	kinds: readonly string[];
	/** The kind of each place; places of the second team come after those of the first. */
	places: readonly number[];
	teams: number;
	/** By player and kind: how much others are liked better, 0 the best; -1 where they may not play. */
	rank: readonly (readonly number[])[];
	/** Players who are the only ones at some position, or may play none: their shifts are nobody's measure. */
	isFree: readonly boolean[];
	shifts: number;
	fillers: number;
	maxSitRow: number;
	seed: number;
}

const isWhole = (value: number, least: number, most: number) =>
	Number.isSafeInteger(value) && value >= least && value <= most;

/** Reads a request; what contradicts itself is `bad-input` with its path. */
export function readLineup(input: LineupInput): Outcome<LineupTask> {
	const { players, positions, teams = 1, fillers = 0, shifts, maxSitRow = 1, seed = 1 } = input;
	if (!isWhole(players.length, 1, MOST_PLAYERS))
		return fail(
			badInput(['players'], `expected 1 to ${MOST_PLAYERS} players, got ${players.length}`)
		);
	const ids = new Set<string>();
	for (const [index, { id, positions: own }] of players.entries()) {
		if (id === FILLER)
			return fail(badInput(['players', index, 'id'], `expected another id than "${FILLER}"`));
		if (ids.has(id))
			return fail(badInput(['players', index, 'id'], `expected different ids, got "${id}" twice`));
		ids.add(id);
		if (new Set(own).size < own.length)
			return fail(badInput(['players', index, 'positions'], 'expected each position once'));
	}
	if (!isWhole(positions.length, 1, MOST_PLACES))
		return fail(
			badInput(['positions'], `expected 1 to ${MOST_PLACES} positions, got ${positions.length}`)
		);
	const bounds: [string, number, number, number][] = [
		['teams', teams, 1, 2],
		['fillers', fillers, 0, MOST_PLACES],
		['shifts', shifts, 1, MOST_SHIFTS],
		['maxSitRow', maxSitRow, 0, MOST_SHIFTS],
		['seed', seed, -(2 ** 31), 2 ** 31],
		['secondsLimit', Math.ceil(input.secondsLimit ?? 1), 1, 600]
	];
	for (const [path, value, least, most] of bounds)
		if (!isWhole(value, least, most))
			return fail(
				badInput([path], `expected a whole number from ${least} to ${most}, got ${value}`)
			);
	const kinds = [...new Set(positions)];
	const rank = players.map(({ positions: own }) => {
		const wanted = own.filter((position) => kinds.includes(position));
		return kinds.map((kind) => wanted.indexOf(kind));
	});
	const alone = kinds.map((_, kind) => rank.filter((ranks) => ranks[kind] >= 0).length === 1);
	return ok({
		players: players.map(({ id }) => id),
		kinds,
		places: Array.from({ length: teams }, () =>
			positions.map((name) => kinds.indexOf(name))
		).flat(),
		teams,
		rank,
		isFree: rank.map(
			(ranks) =>
				ranks.every((place) => place < 0) || ranks.some((place, kind) => place >= 0 && alone[kind])
		),
		shifts,
		fillers,
		maxSitRow,
		seed
	});
}
