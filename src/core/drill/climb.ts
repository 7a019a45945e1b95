import { badInput, SAME_INSTANT } from '../base';
import type { Drill } from '../model/drill';
import { deal, dealToWorkFirst, type Runner } from './deal';
import { runTurns, type TurnOnGround } from './run';
import type { System } from './system';
import { tallyTurns, Waits, type Tally } from './tally';

/** A step of a climb, resolved and checked. */
export interface ReadyStep {
	drill: Drill;
	system: System;
	/** Index of the side that all its turns are on; null where they change as the drill says. */
	side: number | null;
	/** Turns until the next step; null where it lasts for the whole of its leg. */
	turns: number | null;
}

/**
 * A stretch of running time that is played in one go: one step of a climb by minutes, or all steps of a
 * climb by turns, which run in order, again from the first, until the time is over.
 */
export interface Leg {
	steps: readonly ReadyStep[];
	runSeconds: number;
}

/** One step of a leg that begins: who stands in which line. Seconds of the leg. */
export interface Pass {
	/** Index of the step in its leg. */
	step: number;
	fromSecond: number;
	lines: number[][];
}

/** Who watches a leg is told of each pass, and then of each of its turns; `over` comes when the next begins. */
export interface PassWatcher {
	turn: (turn: TurnOnGround) => void;
	over: (second: number) => void;
}

/** The most passes of a climb by turns. */
const MOST_PASSES = 10_000;

/** Why a climb by turns of more passes than that is not played. */
export const TOO_MANY_PASSES = badInput(
	['climb'],
	`expected at most ${MOST_PASSES} passes in the time there is`
);

/** Players by how little they had, the first count before the next; of equal ones the given order. Indices. */
function leastFirst(players: number, counts: readonly (readonly number[])[]): number[] {
	return Array.from({ length: players }, (_, player) => player).sort((a, b) => {
		for (const count of counts) if (count[a] !== count[b]) return count[a] - count[b];
		return a - b;
	});
}

/** What every player had over all tallies. */
const summed = (players: number, tallies: readonly Tally[], of: (tally: Tally) => number[]) =>
	Array.from({ length: players }, (_, player) =>
		tallies.reduce((sum, tally) => sum + of(tally)[player], 0)
	);

/** Lines of players in an order of their own; in the given one before anybody has had anything. */
function dealtIn(
	order: readonly number[] | null,
	{ system, turns }: ReadyStep,
	runners: readonly Runner[]
): number[][] {
	const dealing = turns === null ? deal : dealToWorkFirst;
	if (!order) return dealing(system, runners);
	const dealt = dealing(
		system,
		order.map((player) => runners[player])
	);
	return dealt.map((line) => line.map((place) => order[place]));
}

/**
 * Plays a climb leg by leg and gives what each player had, a tally a step. Each step, and each pass of one
 * by turns, is dealt anew: those who had least so far come first. `start` deals the first step instead.
 * Gives null for a climb by turns of too many passes.
 */
export function playClimb(
	legs: readonly Leg[],
	{ runners, start }: { runners: readonly Runner[]; start?: number[][] },
	watch: (leg: number, pass: Pass) => PassWatcher | null = () => null
): Tally[] | null {
	const tallies: Tally[] = [];
	const repsSoFar = runners.map(() => 0);
	for (const [leg, { steps, runSeconds }] of legs.entries()) {
		const waits = new Waits(runners.length);
		const own = steps.map(({ drill, system }) =>
			tallyTurns(
				system,
				{ players: runners.length, sides: drill.sides?.names.length ?? 1, runSeconds },
				waits
			)
		);
		const counts = steps.map(() => ({ started: 0, ended: 0 }));
		let second = 0;
		for (let passes = 0; second < runSeconds - SAME_INSTANT; passes += 1) {
			if (passes === MOST_PASSES) return null;
			const at = passes % steps.length;
			const step = steps[at];
			const had = (of: (tally: Tally) => number[]) =>
				summed(
					runners.length,
					own.map(({ tally }) => tally),
					of
				);
			const counted = () =>
				step.turns === null
					? [repsSoFar]
					: [had(({ reps }) => reps), had(({ activeSeconds }) => activeSeconds)];
			const isFirst = passes === 0 && (leg === 0 || step.turns !== null);
			const order = isFirst ? null : leastFirst(runners.length, counted());
			const lines = start ?? dealtIn(order, step, runners);
			const watcher = watch(leg, { step: at, fromSecond: second, lines });
			const { add, settle } = own[at];
			second = runTurns(
				{
					drill: step.drill,
					system: step.system,
					fromSecond: second,
					runSeconds,
					counts: counts[at],
					...(step.turns !== null && { mostTurns: step.turns }),
					...(step.side !== null && { side: step.side })
				},
				lines,
				watcher
					? (turn) => {
							add(turn);
							watcher.turn(turn);
						}
					: add
			);
			settle();
			watcher?.over(Math.min(second, runSeconds));
		}
		waits.close(runSeconds);
		for (const { tally } of own) {
			tally.reps.forEach((reps, player) => (repsSoFar[player] += reps));
			tallies.push(tally);
		}
	}
	return tallies;
}

/** Whether the steps of a climb end after turns, and not after minutes. */
export const isByTurns = (steps: readonly Pick<ReadyStep, 'turns'>[]): boolean =>
	steps.some(({ turns }) => turns !== null);

/**
 * The legs of a climb's steps with the seconds that each runs: one for all steps by turns, one a step by
 * minutes.
 */
export const legsOf = (steps: readonly ReadyStep[], seconds: readonly number[]): Leg[] =>
	seconds.map((runSeconds, index) => ({
		steps: isByTurns(steps) ? steps : [steps[index]],
		runSeconds
	}));
