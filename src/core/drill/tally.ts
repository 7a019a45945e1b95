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
	/** Reps by side, then by player. */
	sides: number[][];
}

/** Says of each spot of a system whether being on it is work (worker, opponent) or help. */
export function isWork({ role }: { role: string }): boolean {
	return role === 'worker' || role === 'opponent';
}

/** Counts turns as a run shows them; `finish` closes the waits and gives the sums. */
export function tallyTurns(
	system: System,
	{ players, sides, runSeconds }: { players: number; sides: number; runSeconds: number }
) {
	const zeros = () => new Array<number>(players).fill(0);
	const tally: Tally = {
		turns: 0,
		reps: zeros(),
		help: zeros(),
		activeSeconds: zeros(),
		helpSeconds: zeros(),
		longestWaitSeconds: zeros(),
		sides: Array.from({ length: sides }, zeros)
	};
	const busyUntil = zeros();
	const works = system.spots.map(isWork);
	const joins = system.spots.map(({ joinsAtSeconds }) => joinsAtSeconds ?? 0);
	const repsPerTurn = system.spots.map(({ repsPerTurn: reps }) => reps ?? 1);

	function waitUntil(player: number, second: number): void {
		const wait = second - busyUntil[player];
		if (wait > tally.longestWaitSeconds[player]) tally.longestWaitSeconds[player] = wait;
	}

	function add({ startSecond, endSecond, complete, side, players: on, spots }: TurnOnGround): void {
		const until = Math.min(endSecond, runSeconds);
		if (complete) tally.turns += 1;
		for (let k = 0; k < on.length; k += 1) {
			const player = on[k];
			const spot = spots[k];
			const from = startSecond + joins[spot];
			if (complete && works[spot]) {
				tally.reps[player] += repsPerTurn[spot];
				tally.sides[side][player] += repsPerTurn[spot];
			} else if (complete) tally.help[player] += 1;
			if (until <= from) continue;
			waitUntil(player, from);
			busyUntil[player] = until;
			(works[spot] ? tally.activeSeconds : tally.helpSeconds)[player] += until - from;
		}
	}

	function finish(): Tally {
		for (let player = 0; player < players; player += 1) waitUntil(player, runSeconds);
		return tally;
	}

	return { add, finish };
}
