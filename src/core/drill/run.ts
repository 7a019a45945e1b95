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
	/** False where the time was over first: such a turn gives no turn, rep, help or side. */
	readonly complete: boolean;
	/** Index of the side it was started on, 0 where the drill has none. */
	readonly side: number;
	/** For each spot of the system, where its players go; null for the front of their own line. */
	readonly leadsTo: readonly (number | null)[];
	/** Players by index, those of the first spot first. */
	readonly players: readonly number[];
	/** For each of `players`, the index of the spot in the system. */
	readonly spots: readonly number[];
}

/** What a run needs to know of a drill, apart from who stands where. */
export interface RunPlan {
	readonly drill: Pick<Drill, 'turn' | 'rotation' | 'sides'>;
	readonly system: System;
	/** The second at which the time is over; talk is not counted. */
	readonly runSeconds: number;
	/** The second at which it begins, 0 where it is not said. */
	readonly fromSecond?: number;
	/** The most turns that it starts; as many as there is time for where it is not said. */
	readonly mostTurns?: number;
	/** Index of the side that all turns are on; as the drill changes them where it is not said. */
	readonly side?: number;
	/** Turns that were started and that ended in earlier runs of the same step: they are counted on. */
	readonly counts?: { started: number; ended: number };
}

/** A turn while the run still writes it. */
type OpenTurn = { -readonly [Key in keyof TurnOnGround]: TurnOnGround[Key] };

/** How far the turns that go the other way are apart: even, and never in step with the length of a line. */
const GOLDEN = 0.6180339887498949;

/** Whether the k-th ended turn, from 1, is one of the share of turns whose players go the other way. */
export const isSpecial = (k: number, share: number): boolean => (k * GOLDEN) % 1 >= 1 - share;

/** Says when the players of an ended turn move on; the others go back to the front of their line. */
function rotationClock({ everyTurns = 1, everySeconds }: Drill['rotation'], fromSecond: number) {
	let ended = 0;
	let mark = fromSecond + (everySeconds ?? 0);
	return (endSecond: number): boolean => {
		ended += 1;
		if (everySeconds === undefined) return ended % everyTurns === 0;
		if (endSecond < mark - SAME_INSTANT) return false;
		const past = Math.floor((endSecond - fromSecond + SAME_INSTANT) / everySeconds);
		mark = fromSecond + (past + 1) * everySeconds;
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

/** Nobody moves on: all go back to the front of their own line. */
const STAY: readonly null[] = [];

/** A run while it goes on: who stands in which line, and which turns are under way. */
class Run {
	readonly #lines: Lines;
	/** Turns in order of their starts and so of their ends; those before `#over` have ended. */
	readonly #turns: OpenTurn[] = [];
	#over = 0;
	readonly #counts: number[];
	readonly #mosts: number[];
	/** The spots of every turn where none takes more than its count, else null. */
	readonly #fixed: readonly number[] | null;
	readonly #movesOn: (endSecond: number) => boolean;
	readonly #sideOf: (turn: number, startSecond: number) => number;
	readonly #before: { started: number; ended: number };

	constructor(
		private readonly plan: RunPlan,
		dealt: readonly (readonly number[])[],
		private readonly show: (turn: TurnOnGround) => void
	) {
		const { drill, system, runSeconds, fromSecond = 0, side, counts } = plan;
		this.#lines = new Lines(
			dealt,
			dealt.reduce((sum, line) => sum + line.length, 0)
		);
		this.#counts = system.spots.map(({ count }) => count);
		this.#mosts = system.spots.map(({ count, upTo }) => upTo ?? count);
		this.#fixed = system.spots.some(({ upTo }) => upTo !== undefined)
			? null
			: this.#counts.flatMap((count, spot) => new Array<number>(count).fill(spot));
		this.#movesOn = rotationClock(drill.rotation, fromSecond);
		this.#sideOf = side === undefined ? sideClock(drill.sides, runSeconds) : () => side;
		this.#before = counts ?? { started: 0, ended: 0 };
	}

	/** Turn after turn until the time is over, or until the last of its turns. Gives the second after it. */
	toEnd(): number {
		const { drill, runSeconds, fromSecond = 0, mostTurns = Infinity } = this.plan;
		const { headwaySeconds } = drill.turn;
		let second = fromSecond;
		for (let started = 0; started < mostTurns && second < runSeconds - SAME_INSTANT;) {
			const turns = this.#turns;
			while (this.#over < turns.length && turns[this.#over].endSecond <= second + SAME_INSTANT)
				this.#end(turns[this.#over++]);
			if (this.#canStart()) {
				this.#start(started, second);
				started += 1;
				second += headwaySeconds;
			} else if (this.#over < turns.length) second = turns[this.#over].endSecond;
			else throw new Error('A balanced drill stood still: its lines never fill again');
		}
		// The last turns end where there is time; who comes after waits for the last of them.
		for (const turn of this.#turns.slice(this.#over)) {
			second = Math.max(second, turn.endSecond);
			if (turn.endSecond <= runSeconds + SAME_INSTANT) this.#end(turn);
			else this.show(turn);
		}
		return second;
	}

	#canStart(): boolean {
		const [lines, counts] = [this.#lines, this.#counts];
		for (let spot = 0; spot < counts.length; spot += 1)
			if (lines.length(spot) < counts[spot]) return false;
		return true;
	}

	#start(number: number, startSecond: number): void {
		const lines = this.#lines;
		const spots = this.#spotsOn();
		// Those who go on come from the fronts of their lines.
		const players = new Array<number>(spots.length);
		for (let k = 0; k < spots.length; k += 1) players[k] = lines.takeFront(spots[k]);
		this.#turns.push({
			number,
			startSecond,
			endSecond: startSecond + this.plan.drill.turn.workSeconds,
			complete: false,
			side: this.#sideOf(this.#before.started, startSecond),
			leadsTo: STAY,
			players,
			spots
		});
		this.#before.started += 1;
	}

	/** The spots of the next turn, one for each player: always the same where no spot takes more as they come. */
	#spotsOn(): readonly number[] {
		if (this.#fixed) return this.#fixed;
		const spots: number[] = [];
		for (let spot = 0; spot < this.#mosts.length; spot += 1)
			for (let left = Math.min(this.#mosts[spot], this.#lines.length(spot)); left > 0; left -= 1)
				spots.push(spot);
		return spots;
	}

	/** Where the players of a turn that has just ended go. */
	#leadsOf({ endSecond }: OpenTurn): readonly (number | null)[] {
		const { leadsTo, result } = this.plan.system;
		this.#before.ended += 1;
		if (result && isSpecial(this.#before.ended, result.share)) return result.leadsTo;
		return this.#movesOn(endSecond) ? leadsTo : STAY;
	}

	/** Shows a turn that is over; its players go where the drill sends them, or back to the front. */
	#end(turn: OpenTurn): void {
		const { players, spots } = turn;
		turn.complete = true;
		const leadsTo = this.#leadsOf(turn);
		turn.leadsTo = leadsTo;
		this.show(turn);
		const lines = this.#lines;
		let stay = leadsTo === STAY ? players.length : 0;
		for (let k = stay; k < players.length; k += 1) {
			const to = leadsTo[spots[k]];
			if (to === null) stay += 1;
			else lines.joinBack(to, players[k]);
		}
		for (let k = players.length - 1; stay > 0; k -= 1) {
			if (leadsTo !== STAY && leadsTo[spots[k]] !== null) continue;
			lines.joinFront(spots[k], players[k]);
			stay -= 1;
		}
	}
}

/**
 * Runs a drill from dealt lines until `runSeconds` and shows every turn, in order of their starts,
 * once it has ended or the run is over. A turn starts at the earliest time, a headway after the
 * one before, at which every line holds its count; at one instant ends come before starts. Gives the
 * second at which the next run may begin: a headway after its last start, once its last turn has ended.
 */
export function runTurns(
	plan: RunPlan,
	dealt: readonly (readonly number[])[],
	show: (turn: TurnOnGround) => void
): number {
	return new Run(plan, dealt, show).toEnd();
}
