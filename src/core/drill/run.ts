import { SAME_INSTANT } from '../base';
import type { Drill } from '../model/drill';
import { Lines } from './lines';
import type { System } from './system';

/** One turn: who is on it, spot by spot, and when. */
export interface TurnOnGround {
	/** Counted from 0 over the turns that started. */
	readonly number: number;
	readonly startSecond: number;
	/** Start plus work; may lie after the end of the run. */
	readonly endSecond: number;
	/** False where the run ended first: such a turn gives no turn, rep, help or side. */
	readonly complete: boolean;
	/** Index of the side it was started on, 0 where the drill has none. */
	readonly side: number;
	/** Whether its players move on; otherwise they go back to the front of their own line. */
	readonly movesOn: boolean;
	/** Players by index, those of the first spot first. */
	readonly players: readonly number[];
	/** For each of `players`, the index of the spot in the system. */
	readonly spots: readonly number[];
}

/** What a run needs to know of a drill, apart from who stands where. */
export interface RunPlan {
	readonly drill: Pick<Drill, 'turn' | 'rotation' | 'sides'>;
	readonly system: System;
	/** Seconds that the drill runs, talk not counted. */
	readonly runSeconds: number;
}

/** A turn while the run still writes it. */
type OpenTurn = { -readonly [Key in keyof TurnOnGround]: TurnOnGround[Key] } & {
	players: number[];
	spots: number[];
};

/** Says when the players of an ended turn move on; the others go back to the front of their line. */
function rotationClock({ everyTurns = 1, everySeconds }: Drill['rotation']) {
	let ended = 0;
	let mark = everySeconds ?? 0;
	return (endSecond: number): boolean => {
		ended += 1;
		if (everySeconds === undefined) return ended % everyTurns === 0;
		if (endSecond < mark - SAME_INSTANT) return false;
		mark = (Math.floor((endSecond + SAME_INSTANT) / everySeconds) + 1) * everySeconds;
		return true;
	};
}

/** Gives the side of a turn by its number, or by its start where the run is cut into equal stretches. */
function sideClock(sides: Drill['sides'], runSeconds: number) {
	const count = sides?.names.length ?? 1;
	const everyTurns = sides?.everyTurns;
	return (turn: number, startSecond: number): number =>
		everyTurns !== undefined
			? Math.floor(turn / everyTurns) % count
			: Math.min(count - 1, Math.floor((startSecond + SAME_INSTANT) / (runSeconds / count)));
}

/** A run while it goes on: who stands in which line, and which turns are under way. */
class Run {
	readonly #lines: Lines;
	/** Turns under way, in order of their starts and so of their ends. */
	readonly #open: OpenTurn[] = [];
	readonly #counts: number[];
	readonly #mosts: number[];
	readonly #movesOn: (endSecond: number) => boolean;
	readonly #sideOf: (turn: number, startSecond: number) => number;

	constructor(
		private readonly plan: RunPlan,
		dealt: readonly (readonly number[])[],
		private readonly show: (turn: TurnOnGround) => void
	) {
		const { drill, system, runSeconds } = plan;
		this.#lines = new Lines(
			dealt,
			dealt.reduce((sum, line) => sum + line.length, 0)
		);
		this.#counts = system.spots.map(({ count }) => count);
		this.#mosts = system.spots.map(({ count, upTo }) => upTo ?? count);
		this.#movesOn = rotationClock(drill.rotation);
		this.#sideOf = sideClock(drill.sides, runSeconds);
	}

	/** Turn after turn until the time is over. */
	toEnd(): void {
		const { drill, runSeconds } = this.plan;
		let started = 0;
		let second = 0;
		while (second < runSeconds - SAME_INSTANT) {
			while (this.#open.length > 0 && this.#open[0].endSecond <= second + SAME_INSTANT)
				this.#end(this.#open.shift() as OpenTurn);
			if (this.#canStart()) {
				this.#start(started, second);
				started += 1;
				second += drill.turn.headwaySeconds;
			} else if (this.#open.length > 0) second = this.#open[0].endSecond;
			else throw new Error('A balanced drill stood still: its lines never fill again');
		}
		for (const turn of this.#open) {
			turn.complete = turn.endSecond <= runSeconds + SAME_INSTANT;
			this.show(turn);
		}
	}

	#canStart(): boolean {
		for (let spot = 0; spot < this.#counts.length; spot += 1)
			if (this.#lines.length(spot) < this.#counts[spot]) return false;
		return true;
	}

	#start(number: number, startSecond: number): void {
		this.#open.push({
			number,
			startSecond,
			endSecond: startSecond + this.plan.drill.turn.workSeconds,
			side: this.#sideOf(number, startSecond),
			complete: false,
			movesOn: false,
			...this.#takeOn()
		});
	}

	/** Takes those who go on from the fronts of their lines. */
	#takeOn(): Pick<OpenTurn, 'players' | 'spots'> {
		const lines = this.#lines;
		// On the hot path: arrays of their length from the start, so that they do not grow.
		let count = 0;
		for (let spot = 0; spot < this.#mosts.length; spot += 1)
			count += Math.min(this.#mosts[spot], lines.length(spot));
		const players = new Array<number>(count);
		const spots = new Array<number>(count);
		for (let spot = 0, next = 0; spot < this.#mosts.length; spot += 1)
			for (
				let left = Math.min(this.#mosts[spot], lines.length(spot));
				left > 0;
				left -= 1, next += 1
			) {
				players[next] = lines.takeFront(spot);
				spots[next] = spot;
			}
		return { players, spots };
	}

	/** Shows a turn that is over; its players go where the drill sends them, or back to the front. */
	#end(turn: OpenTurn): void {
		const { players, spots } = turn;
		const { leadsTo } = this.plan.system;
		turn.complete = true;
		turn.movesOn = this.#movesOn(turn.endSecond);
		this.show(turn);
		if (turn.movesOn)
			for (let k = 0; k < players.length; k += 1)
				this.#lines.joinBack(leadsTo[spots[k]], players[k]);
		else
			for (let k = players.length - 1; k >= 0; k -= 1) this.#lines.joinFront(spots[k], players[k]);
	}
}

/**
 * Runs a drill from dealt lines until `runSeconds` and shows every turn, in order of their starts,
 * once it has ended or the run is over. A turn starts at the earliest time, a headway after the
 * one before, at which every line holds its count; at one instant ends come before starts.
 */
export function runTurns(
	plan: RunPlan,
	dealt: readonly (readonly number[])[],
	show: (turn: TurnOnGround) => void
): void {
	new Run(plan, dealt, show).toEnd();
}
