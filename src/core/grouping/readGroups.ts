import { badInput, fail, ok, splitEvenly, type Outcome, type Path } from '../base';
import type { GroupInput } from './groupShapes';

/** The most players that are grouped. */
const MOST_PLAYERS = 500;

/** A rule as it is named to the coach when rules clash: by its place in the input, or by the player. */
export type RuleName =
	{ rule: 'together' | 'apart' | 'eachHas'; index: number } | { rule: 'pins'; id: string };

/** A hard rule on players by their index. */
export type HardRule =
	| { kind: 'together'; name: RuleName; players: number[] }
	| { kind: 'apart'; name: RuleName; players: [number, number] }
	| { kind: 'has'; name: RuleName; players: number[]; min: number }
	| { kind: 'pin'; name: RuleName; player: number; group: number };

/** A request with indices in the place of ids. */
export interface GroupTask {
	input: GroupInput;
	sizes: number[];
	rules: HardRule[];
	/** Times met, by index of the lower and of the higher player. */
	met: [number, number, number][];
	seed: number;
}

const isWhole = (value: number, least: number, most: number) =>
	Number.isSafeInteger(value) && value >= least && value <= most;

function readSizes({ sizes, count, players }: GroupInput): Outcome<number[]> {
	if ((sizes === undefined) === (count === undefined))
		return fail(badInput([], 'expected either "sizes" or "count"'));
	if (count !== undefined)
		return isWhole(count, 1, players.length)
			? ok(splitEvenly(players.length, count))
			: fail(badInput(['count'], `expected 1 to ${players.length} groups, got ${count}`));
	const given = sizes ?? [];
	for (const [index, size] of given.entries())
		if (!isWhole(size, 1, MOST_PLAYERS))
			return fail(badInput(['sizes', index], `expected a whole number of at least 1, got ${size}`));
	const total = given.reduce((sum, size) => sum + size, 0);
	return total === players.length
		? ok(given)
		: fail(badInput(['sizes'], `expected sizes that add up to ${players.length}, got ${total}`));
}

/** Looks ids up; the failure names the first that is nobody. */
function indices(
	ids: readonly (string | number)[],
	path: Path,
	indexOf: ReadonlyMap<string, number>
): Outcome<number[]> {
	const found: number[] = [];
	for (const [place, id] of ids.entries()) {
		const index = typeof id === 'string' ? indexOf.get(id) : undefined;
		if (index === undefined)
			return fail(
				badInput([...path, place], `expected the id of a player, got ${JSON.stringify(id)}`)
			);
		found.push(index);
	}
	return ok(found);
}

function readPairs(
	{ together = [], apart = [] }: GroupInput,
	indexOf: ReadonlyMap<string, number>
): Outcome<HardRule[]> {
	const rules: HardRule[] = [];
	for (const [index, ids] of together.entries()) {
		const players = indices(ids, ['together', index], indexOf);
		if (!players.ok) return players;
		rules.push({ kind: 'together', name: { rule: 'together', index }, players: players.value });
	}
	for (const [index, ids] of apart.entries()) {
		const players = indices(ids, ['apart', index], indexOf);
		if (!players.ok) return players;
		const [a, b] = players.value;
		if (players.value.length !== 2 || a === b)
			return fail(badInput(['apart', index], 'expected two different players'));
		rules.push({ kind: 'apart', name: { rule: 'apart', index }, players: [a, b] });
	}
	return ok(rules);
}

function readNeeds({ eachHas = [], players }: GroupInput): Outcome<HardRule[]> {
	const rules: HardRule[] = [];
	for (const [index, { role, unit, min }] of eachHas.entries()) {
		if (!isWhole(min, 0, MOST_PLAYERS))
			return fail(
				badInput(['eachHas', index, 'min'], `expected a whole number of at least 0, got ${min}`)
			);
		const fitting = players.flatMap((player, place) =>
			(role === undefined || player.roles?.includes(role)) &&
			(unit === undefined || player.unit === unit)
				? place
				: []
		);
		rules.push({ kind: 'has', name: { rule: 'eachHas', index }, players: fitting, min });
	}
	return ok(rules);
}

function readPins(
	{ pins = {} }: GroupInput,
	indexOf: ReadonlyMap<string, number>,
	groups: number
): Outcome<HardRule[]> {
	const rules: HardRule[] = [];
	for (const [id, group] of Object.entries(pins)) {
		const player = indexOf.get(id);
		if (player === undefined) return fail(badInput(['pins', id], 'expected the id of a player'));
		if (!isWhole(group, 0, groups - 1))
			return fail(badInput(['pins', id], `expected a group from 0 to ${groups - 1}, got ${group}`));
		rules.push({ kind: 'pin', name: { rule: 'pins', id }, player, group });
	}
	return ok(rules);
}

function readMet(
	{ met = [] }: GroupInput,
	indexOf: ReadonlyMap<string, number>
): Outcome<[number, number, number][]> {
	const read: [number, number, number][] = [];
	for (const [place, entry] of met.entries()) {
		const path = ['met', place];
		const times = entry[2];
		if (entry.length !== 3 || typeof times !== 'number')
			return fail(badInput(path, 'expected two ids and how often they met'));
		const players = indices(entry.slice(0, 2), path, indexOf);
		if (!players.ok) return players;
		const [a, b] = players.value;
		if (a === b) return fail(badInput(path, 'expected two different players'));
		if (!(times >= 0 && times <= 1e6))
			return fail(badInput([...path, 2], `expected 0 to 1000000 times, got ${times}`));
		read.push([a, b, times]);
	}
	return ok(read);
}

/** Reads a request: ids become indices, and what contradicts itself is `bad-input` with its path. */
export function readGroups(input: GroupInput): Outcome<GroupTask> {
	const { players, seed = 1, secondsLimit } = input;
	if (players.length < 1 || players.length > MOST_PLAYERS)
		return fail(
			badInput(['players'], `expected 1 to ${MOST_PLAYERS} players, got ${players.length}`)
		);
	const indexOf = new Map<string, number>();
	for (const [place, { id }] of players.entries()) {
		if (indexOf.has(id))
			return fail(badInput(['players', place, 'id'], `expected different ids, got "${id}" twice`));
		indexOf.set(id, place);
	}
	if (!Number.isSafeInteger(seed)) return fail(badInput(['seed'], 'expected a whole number'));
	if (secondsLimit !== undefined && !(secondsLimit > 0 && secondsLimit <= 600))
		return fail(badInput(['secondsLimit'], 'expected more than 0 and at most 600 seconds'));
	const sizes = readSizes(input);
	if (!sizes.ok) return sizes;
	const parts = [
		readPairs(input, indexOf),
		readNeeds(input),
		readPins(input, indexOf, sizes.value.length)
	];
	const rules: HardRule[] = [];
	for (const part of parts) {
		if (!part.ok) return part;
		rules.push(...part.value);
	}
	const stranger = Object.keys(input.places ?? {}).find((id) => !indexOf.has(id));
	if (stranger !== undefined)
		return fail(badInput(['places', stranger], 'expected the id of a player'));
	const met = readMet(input, indexOf);
	if (!met.ok) return met;
	return ok({ input, sizes: sizes.value, rules, met: met.value, seed });
}
