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
		if (mark - endSecond > SAME_INSTANT) return false;
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

/** Gives the spots of the next turn, one for each player: the same ones unless a spot takes more as they come. */
function spotsClock({ spots }: System, lines: Lines): () => readonly number[] {
	const most = spots.map(({ count, upTo }) => upTo ?? count);
	const list = (count: (spot: number) => number) =>
		most.flatMap((_, spot) => new Array<number>(count(spot)).fill(spot));
	if (spots.some(({ upTo }) => upTo !== undefined))
		return () => list((spot) => Math.min(most[spot], lines.length(spot)));
	const fixed = list((spot) => most[spot]);
	return () => fixed;
}

/** Gives where the players of the next ended turn go, spot by spot; `stay` is where nobody moves on. */
function leadsClock(
	{ drill: { rotation }, system: { leadsTo, result }, fromSecond = 0 }: RunPlan,
	counts: { ended: number },
	stay: readonly null[]
): (endSecond: number) => readonly (number | null)[] {
	const movesOn = rotationClock(rotation, fromSecond);
	return (endSecond) => {
		counts.ended += 1;
		if (result && isSpecial(counts.ended, result.share)) return result.leadsTo;
		return movesOn(endSecond) ? leadsTo : stay;
	};
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
	const { drill, system, runSeconds, fromSecond = 0, mostTurns = Infinity, side } = plan;
	const { workSeconds, headwaySeconds } = drill.turn;
	const counts = plan.counts ?? { started: 0, ended: 0 };
	const needs = system.spots.map(({ count }) => count);
	const lines = new Lines(dealt);
	const spotsOf = spotsClock(system, lines);
	/** All go back to the front of their own line. */
	const stay = system.leadsTo.map(() => null);
	const leadsOf = leadsClock(plan, counts, stay);
	const sideOf = side === undefined ? sideClock(drill.sides, runSeconds) : () => side;
	/** Turns that have not ended, in order of their starts and so of their ends; few, and none is kept for long. */
	const open: OpenTurn[] = [];
	let started = 0;

	/** Shows a turn that is over; its players go where the drill sends them, or back to the front. */
	function end(turn: OpenTurn): void {
		turn.complete = true;
		turn.leadsTo = leadsOf(turn.endSecond);
		show(turn);
		lines.rejoin(turn.players, turn.spots, turn.leadsTo);
	}

	let second = fromSecond;
	while (started < mostTurns && runSeconds - second > SAME_INSTANT) {
		while (open.length > 0 && open[0].endSecond - second <= SAME_INSTANT)
			end(open.shift() as OpenTurn);
		if (lines.hold(needs)) {
			const spots = spotsOf();
			open.push({
				number: started,
				startSecond: second,
				endSecond: second + workSeconds,
				complete: false,
				side: sideOf(counts.started, second),
				leadsTo: stay,
				players: lines.take(spots),
				spots
			});
			started += 1;
			counts.started += 1;
			second += headwaySeconds;
		} else if (open.length > 0) second = open[0].endSecond;
		else throw new Error('A balanced drill stood still: its lines never fill again');
	}
	// The last turns end where there is time; who comes after waits for the last of them.
	for (const turn of open) {
		second = Math.max(second, turn.endSecond);
		if (turn.endSecond - runSeconds <= SAME_INSTANT) end(turn);
		else show(turn);
	}
	return second;
}
