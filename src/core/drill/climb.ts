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

/** Players by fewest reps, then least time at work, then given order. Indices of players. */
function leastFirst(players: number, tallies: readonly Tally[]): number[] {
	const sum = (of: (tally: Tally) => number[], player: number) =>
		tallies.reduce((total, tally) => total + of(tally)[player], 0);
	const had = Array.from({ length: players }, (_, player) => ({
		player,
		reps: sum(({ reps }) => reps, player),
		seconds: sum(({ activeSeconds }) => activeSeconds, player)
	}));
	return had
		.sort((a, b) => a.reps - b.reps || a.seconds - b.seconds || a.player - b.player)
		.map(({ player }) => player);
}

/** Those with the fewest reps first; of equal ones the given order. Indices of players. */
export function fewestFirst(reps: readonly number[]): number[] {
	return reps.map((_, player) => player).sort((a, b) => reps[a] - reps[b] || a - b);
}

/** Lines of players in an order of their own. */
function dealtIn(
	order: readonly number[],
	{ system, turns }: ReadyStep,
	runners: readonly Runner[]
): number[][] {
	const dealt = (turns === null ? deal : dealToWorkFirst)(
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
			const order =
				step.turns === null
					? fewestFirst(repsSoFar)
					: leastFirst(
							runners.length,
							own.map(({ tally }) => tally)
						);
			const lines = start ?? dealtIn(order, step, runners);
			const watcher = watch(leg, { step: at, fromSecond: second, lines });
			const { add } = own[at];
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

/** The legs of steps with their minutes or turns: one each by minutes, one for all by turns. */
export function legsOf(
	steps: readonly (ReadyStep & { runSeconds: number })[],
	runSeconds: number
): Leg[] {
	return isByTurns(steps)
		? [{ steps, runSeconds }]
		: steps.map((step) => ({ steps: [step], runSeconds: step.runSeconds }));
}
