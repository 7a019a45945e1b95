import type { System } from './system';
import { isWork } from './tally';

/** A player as the lines see one: who, and of which unit. */
export interface Runner {
	readonly id: string;
	readonly unit?: string;
}

/** Takes up to `count` of the first waiting players that `suits` accepts, in order. */
function take(waiting: number[], count: number, suits: (player: number) => boolean): number[] {
	const taken: number[] = [];
	for (let at = 0; at < waiting.length && taken.length < count;)
		if (suits(waiting[at])) taken.push(...waiting.splice(at, 1));
		else at += 1;
	return taken;
}

/** The spots whose lines a spare player of `unit` may join. */
function linesFor({ spots }: System, unit: string | undefined): number[] {
	const indices = spots.map((_, index) => index);
	const flagged = indices.filter((index) => spots[index].line);
	if (flagged.length === 0) return [0];
	const own = flagged.filter((index) => unit !== undefined && spots[index].unit === unit);
	if (own.length > 0) return own;
	const open = flagged.filter((index) => spots[index].unit === undefined);
	return open.length > 0 ? open : flagged;
}

/**
 * Deals players to the lines of the spots: first each spot with a unit takes its own, then each
 * spot fills up with the first left, then the rest join the flagged lines in turn.
 * Gives the players' indices by spot, front of the line first. Needs `players.length >= needed`.
 */
export function deal(system: System, players: readonly Runner[]): number[][] {
	const { spots } = system;
	const waiting = players.map((_, index) => index);
	const lines = spots.map(({ unit, count }) =>
		unit === undefined ? [] : take(waiting, count, (player) => players[player].unit === unit)
	);
	for (const [index, { count }] of spots.entries())
		lines[index].push(...waiting.splice(0, count - lines[index].length));
	/** Lines to choose from with the next turn of each, shared by units that have the same choice. */
	const rounds = new Map<string, { choices: number[]; turn: number }>();
	const byUnit = new Map<string | undefined, { choices: number[]; turn: number }>();
	const roundOf = (unit: string | undefined) => {
		const choices = linesFor(system, unit);
		const round = rounds.get(choices.join()) ?? { choices, turn: 0 };
		rounds.set(choices.join(), round);
		byUnit.set(unit, round);
		return round;
	};
	for (const player of waiting) {
		const { unit } = players[player];
		const round = byUnit.get(unit) ?? roundOf(unit);
		lines[round.choices[round.turn % round.choices.length]].push(player);
		round.turn += 1;
	}
	return lines;
}

/** Fills the lines with given numbers of players each, in the spots' and the players' order. */
export function dealInOrder(system: System, start: ReadonlyMap<string, number>): number[][] {
	let next = 0;
	return system.spots.map(({ id }) => Array.from({ length: start.get(id) ?? 0 }, () => next++));
}

/** Deals players to the worker and opponent spots first, and only then to those that serve. */
export function dealToWorkFirst(system: System, players: readonly Runner[]): number[][] {
	const indices = system.spots.map((_, index) => index);
	const order = [
		...indices.filter((index) => isWork(system.spots[index])),
		...indices.filter((index) => !isWork(system.spots[index]))
	];
	const dealt = deal({ ...system, spots: order.map((index) => system.spots[index]) }, players);
	return indices.map((index) => dealt[order.indexOf(index)]);
}

/**
 * How many players are at each spot and in its line when a run starts, by the spot's id, in their order;
 * a climb by turns fills the spots that work first.
 */
export function startingLines(
	system: System,
	players: readonly Runner[],
	isByTurns = false
): [string, number][] {
	const lines = isByTurns ? dealToWorkFirst(system, players) : deal(system, players);
	return lines.map((line, index) => [system.spots[index].id, line.length]);
}
