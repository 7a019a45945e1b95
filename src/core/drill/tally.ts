import type { Drill } from '../model/drill';
import type { System } from './system';
import type { TurnOnGround } from './run';

/** What each player of a run did: one entry a player in every array. Seconds of running time. */
export interface Tally {
	turns: number;
	reps: number[];
	help: number[];
	activeSeconds: number[];
	helpSeconds: number[];
	longestWaitSeconds: number[];
	/** What was had on each side of the drill; one entry where it has none. */
	sides: SideTally[];
}

/** What players had on one side. */
export interface SideTally {
	/** Turns that were complete. */
	turns: number;
	/** Reps by player. */
	reps: number[];
	/** Full turns by spot of the system, then by player. */
	spotTurns: number[][];
	/** Busy seconds by spot of the system, then by player. */
	spotSeconds: number[][];
}

/** Says of each spot of a system whether being on it is work (worker, opponent) or help. */
export function isWork({ role }: { role: string }): boolean {
	return role === 'worker' || role === 'opponent';
}

/** When each player was busy last, and the longest that each has waited since. */
export class Waits {
	readonly longest: number[];
	readonly busyUntil: number[];

	constructor(players: number) {
		this.longest = new Array<number>(players).fill(0);
		this.busyUntil = new Array<number>(players).fill(0);
	}

	/** The time is over: all who are not busy have waited until now. */
	close(second: number): void {
		const { longest, busyUntil } = this;
		for (let player = 0; player < longest.length; player += 1)
			longest[player] = Math.max(longest[player], second - busyUntil[player]);
	}
}

/**
 * Counts turns as a run shows them, up to `runSeconds`; `waits` may run on over several systems. What each
 * player had is in the tally once it is settled.
 */
export function tallyTurns(
	system: System,
	{ players, sides, runSeconds }: { players: number; sides: number; runSeconds: number },
	waits: Waits
) {
	const zeros = () => new Array<number>(players).fill(0);
	const tally: Tally = {
		turns: 0,
		reps: zeros(),
		help: zeros(),
		activeSeconds: zeros(),
		helpSeconds: zeros(),
		longestWaitSeconds: waits.longest,
		sides: Array.from({ length: sides }, () => ({
			turns: 0,
			reps: zeros(),
			spotTurns: system.spots.map(zeros),
			spotSeconds: system.spots.map(zeros)
		}))
	};
	const works = system.spots.map(isWork);
	const joins = system.spots.map(({ joinsAtSeconds }) => joinsAtSeconds ?? 0);
	const { longest, busyUntil } = waits;
	const repsPerTurn = system.spots.map(({ repsPerTurn: reps }) => reps ?? 1);

	// On the hot path: what a player had on a spot is counted, and all else follows from it at the end.
	function add({ startSecond, endSecond, complete, side, players: on, spots }: TurnOnGround): void {
		const until = endSecond < runSeconds ? endSecond : runSeconds;
		const own = tally.sides[side];
		if (complete) own.turns += 1;
		const { spotTurns, spotSeconds } = own;
		for (let k = 0; k < on.length; k += 1) {
			const player = on[k];
			const spot = spots[k];
			const from = startSecond + joins[spot];
			if (complete) spotTurns[spot][player] += 1;
			if (until <= from) continue;
			const wait = from - busyUntil[player];
			if (wait > longest[player]) longest[player] = wait;
			busyUntil[player] = until;
			spotSeconds[spot][player] += until - from;
		}
	}

	/** Sums up by player what was added so far. */
	function settle(): void {
		tally.turns = 0;
		for (const list of [tally.reps, tally.help, tally.activeSeconds, tally.helpSeconds])
			list.fill(0);
		for (const { turns, reps, spotTurns, spotSeconds } of tally.sides) {
			tally.turns += turns;
			reps.fill(0);
			for (let spot = 0; spot < works.length; spot += 1) {
				const isWorking = works[spot];
				const seconds = isWorking ? tally.activeSeconds : tally.helpSeconds;
				for (let player = 0; player < players; player += 1) {
					const count = spotTurns[spot][player];
					seconds[player] += spotSeconds[spot][player];
					if (!isWorking) tally.help[player] += count;
					else {
						tally.reps[player] += count * repsPerTurn[spot];
						reps[player] += count * repsPerTurn[spot];
					}
				}
			}
		}
	}

	return { tally, add, settle };
}

/** What a player's turns of a tally cost a body, added to what is there by kind. */
export function addLoads(
	loads: Map<string, number>,
	{ drill, system, tally }: { drill: Pick<Drill, 'turn'>; system: System; tally: Tally },
	player: number
): void {
	for (const { kind, count, spots } of drill.turn.loads ?? [])
		for (const [index, spot] of system.spots.entries()) {
			const isOn = spots ? spots.includes(spot.id) : isWork(spot);
			let turns = 0;
			for (const side of isOn ? tally.sides : []) turns += side.spotTurns[index][player];
			loads.set(kind, (loads.get(kind) ?? 0) + count * turns);
		}
}
