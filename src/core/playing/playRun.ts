import type { Failure } from '../base';
import {
	adultPlaces,
	checkPlayers,
	checkRanges,
	deal,
	fewestFirst,
	playerSystem,
	resolveDrill,
	runTurns,
	tallyTurns,
	type Runner,
	type System,
	type Tally
} from '../drill';
import type { Drill } from '../model/drill';
import type { Context } from '../practice';
import { Recorder, recordTurns } from './recorder';
import type { PlannedRun } from './schedule';
import { cutStretch, onClock } from './stretch';
import type { Interval } from './timelineShapes';

/** What one player gets from one run. Seconds of the practice, talk and walking not counted. */
export interface RunSums {
	player: string;
	reps: number;
	help: number;
	activeSeconds: number;
	helpSeconds: number;
	waitSeconds: number;
	longestWaitSeconds: number;
}

/** The start of a turn on the clock, and the side that it is on; null where the drill has no sides. */
export interface TurnStart {
	second: number;
	side: string | null;
}

/** A run as it will go: sums and intervals by player, or why the drill does not run. */
export interface PlayedRun {
	run: PlannedRun;
	sums: RunSums[];
	/** By player, in the order of `run.players`. */
	intervals: Interval[][];
	/** Every turn that starts, in order. */
	turns: TurnStart[];
	/** Set where the drill cannot run with these players. */
	fault: Failure | null;
	/** Seconds of walking in that it was played with. */
	arriveSeconds: number;
	/** The second from which the drill itself runs. */
	playsFrom: number;
}

interface ReadyStep {
	drill: Drill;
	system: System;
	weight: number;
}

/** The steps of the climb, resolved; or why one of them cannot run. */
function readySteps({ block, drill, players, adults }: PlannedRun): ReadyStep[] | Failure {
	const steps: ReadyStep[] = [];
	for (const { rung, minutes } of block.climb) {
		const resolved = resolveDrill(drill as Drill, rung);
		if (!resolved.ok) return resolved.failure;
		const outOfRange = checkRanges(resolved.value);
		if (outOfRange) return outOfRange;
		const spare = adults.length - resolved.value.coaches.min - adultPlaces(resolved.value).always;
		const system = playerSystem(resolved.value, Math.max(0, spare));
		if (!system.ok) return system.failure;
		const short = checkPlayers(system.value, players.length);
		if (short) return short;
		steps.push({ drill: resolved.value, system: system.value, weight: minutes });
	}
	return steps;
}

function sumUp(run: PlannedRun, tallies: readonly Tally[], waitable: number): RunSums[] {
	return run.players.map((player, index) => {
		const sum = (of: (tally: Tally) => number[]) =>
			tallies.reduce((total, tally) => total + of(tally)[index], 0);
		const activeSeconds = sum((tally) => tally.activeSeconds);
		const helpSeconds = sum((tally) => tally.helpSeconds);
		return {
			player,
			reps: sum((tally) => tally.reps),
			help: sum((tally) => tally.help),
			activeSeconds,
			helpSeconds,
			waitSeconds: Math.max(0, waitable - activeSeconds - helpSeconds),
			longestWaitSeconds: Math.max(0, ...tallies.map((tally) => tally.longestWaitSeconds[index]))
		};
	});
}

/** A run in which nothing can be simulated: all stand in one state. */
function standing(run: PlannedRun, arriveSeconds: number, fault: Failure | null): PlayedRun {
	const recorder = new Recorder(run);
	const playsFrom = Math.min(run.toSecond, run.fromSecond + arriveSeconds);
	recorder.everyone(run.fromSecond, playsFrom, 'move');
	recorder.everyone(playsFrom, run.toSecond, fault ? 'wait' : 'listen');
	const waitSeconds = fault ? run.toSecond - playsFrom : 0;
	const sums = sumUp(run, [], waitSeconds);
	return { run, sums, intervals: recorder.tracks, turns: [], fault, arriveSeconds, playsFrom };
}

/**
 * Simulates one run on the clock: players walk in for `arriveSeconds`, hear the explanation, then
 * climb through the rungs, the time shared by the steps' minutes, with the coach's stops spread
 * over it. A block without a drill is listened to.
 */
export function playRun(run: PlannedRun, arriveSeconds: number, context: Context): PlayedRun {
	if (!run.drill) return standing(run, arriveSeconds, null);
	const steps = readySteps(run);
	if (!Array.isArray(steps)) return standing(run, arriveSeconds, steps);
	const { fromSecond, toSecond, block } = run;
	const recorder = new Recorder(run);
	const arrived = Math.min(toSecond, fromSecond + arriveSeconds);
	recorder.everyone(fromSecond, arrived, 'move');
	const playsFrom = Math.min(toSecond, arrived + (run.drill.explainSeconds ?? 0));
	recorder.everyone(arrived, playsFrom, 'listen');

	const runners: Runner[] = run.players.map((id) => ({
		id,
		unit: context.playerById.get(id)?.unit
	}));
	const weights = steps.reduce((sum, { weight }) => sum + weight, 0);
	const repsSoFar = runners.map(() => 0);
	const tallies: Tally[] = [];
	const turns: TurnStart[] = [];
	let second = playsFrom;
	let running = 0;
	for (const { drill, system, weight } of steps) {
		const seconds = ((toSecond - playsFrom) * weight) / weights;
		const stretch = cutStretch(second, seconds, block.stopShare);
		const order = fewestFirst(repsSoFar);
		const dealt = deal(
			system,
			order.map((player) => runners[player])
		);
		const lines = dealt.map((line) => line.map((place) => order[place]));
		const tally = tallyTurns(system, {
			players: runners.length,
			sides: drill.sides?.names.length ?? 1,
			runSeconds: stretch.runSeconds
		});
		const record = recordTurns(recorder, stretch, system, lines);
		runTurns({ drill, system, runSeconds: stretch.runSeconds }, lines, (turn) => {
			tally.add(turn);
			record.busy(turn);
			const side = drill.sides?.names[turn.side] ?? null;
			turns.push({ second: onClock(stretch, turn.startSecond), side });
		});
		record.finish();
		const sums = tally.finish();
		sums.reps.forEach((reps, player) => (repsSoFar[player] += reps));
		tallies.push(sums);
		second += seconds;
		running += stretch.runSeconds;
	}
	const sums = sumUp(run, tallies, running);
	const intervals = recorder.tracks;
	return { run, sums, intervals, turns, fault: null, arriveSeconds, playsFrom };
}
