import type { Failure } from '../base';
import {
	adultPlaces,
	checkPlayers,
	checkRanges,
	isByTurns,
	legsOf,
	playClimb,
	TOO_MANY_PASSES,
	playerSystems,
	resolveDrill,
	type ReadyStep,
	type Runner,
	type Tally
} from '../drill';
import type { Drill } from '../model/drill';
import { isOpposed } from '../model/family';
import { climbOf, type Context } from '../practice';
import { Recorder, recordTurns } from './recorder';
import type { PlannedRun, Window } from './schedule';
import { cutStretch, onClock, type Stretch } from './stretch';
import type { Interval } from './timelineShapes';

/** What one player gets from one run. Seconds of the practice, talk and walking not counted. */
export interface RunSums {
	player: string;
	reps: number;
	help: number;
	activeSeconds: number;
	helpSeconds: number;
	/** Of the working and helping seconds, those of steps with opponents. */
	opposedSeconds: number;
	waitSeconds: number;
	longestWaitSeconds: number;
}

/** The start of a turn on the clock, and the side that it is on; null where the drill has no sides. */
export interface TurnStart {
	second: number;
	side: string | null;
}

/** A stretch in which one step of a climb is run; a step by turns has many. */
export interface PassWindow extends Window {
	/** Index of the step in its climb. */
	step: number;
}

/** How a run goes: sums and intervals by player, or why the drill does not run. Seconds of its own clock. */
interface Play {
	sums: RunSums[];
	/** By player, in the order of `run.players`. */
	intervals: Interval[][];
	/** Every turn that starts, in order. */
	turns: TurnStart[];
	/** The passes of its steps, one after another; none without a drill. */
	passes: PassWindow[];
	/** The second from which the drill itself runs. */
	playsFrom: number;
}

/** A run as it will go, in seconds of the practice. */
export interface PlayedRun extends Play {
	run: PlannedRun;
	/** The steps of its climb as they were run, and what each player had on each; none where nothing is simulated. */
	steps: readonly ReadyStep[];
	tallies: readonly Tally[];
	/** Set where the drill cannot run with these players. */
	fault: Failure | null;
	/** Seconds of walking in that it was played with. */
	arriveSeconds: number;
	/** The same from second 0: what the same run at another time is taken from. */
	own: Play;
}

/** A play that begins at a second. */
function at(second: number, { sums, intervals, turns, passes, playsFrom }: Play): Play {
	const shifted = <Part extends Window>(part: Part): Part => ({
		...part,
		fromSecond: part.fromSecond + second,
		toSecond: part.toSecond + second
	});
	return {
		sums,
		// On the path of every change, thousands of them: written out.
		intervals: intervals.map((track) =>
			track.map(({ fromSecond, toSecond, state, place, block, copy, spot }) => ({
				fromSecond: fromSecond + second,
				toSecond: toSecond + second,
				state,
				place,
				block,
				copy,
				spot
			}))
		),
		turns: turns.map((turn) => ({ second: turn.second + second, side: turn.side })),
		passes: passes.map(shifted),
		playsFrom: playsFrom + second
	};
}

/** A run that was played before, at the time that it has now. */
export function replayed(played: PlayedRun, run: PlannedRun): PlayedRun {
	if (run === played.run) return played;
	if (run.fromSecond === played.run.fromSecond) return { ...played, run };
	return { ...played, run, ...at(run.fromSecond, played.own) };
}

/** A step that can run, with the share of the time that it gets in a climb by minutes. */
type WeighedStep = ReadyStep & { weight: number };

/** The steps of the climb, resolved; or why one of them cannot run. */
function readySteps({ block, copy, drill, players, adults }: PlannedRun): WeighedStep[] | Failure {
	const climb = climbOf(block, copy);
	const drills: Drill[] = [];
	for (const { rung } of climb) {
		const resolved = resolveDrill(drill as Drill, rung);
		if (!resolved.ok) return resolved.failure;
		const outOfRange = checkRanges(resolved.value);
		if (outOfRange) return outOfRange;
		drills.push(resolved.value);
	}
	const systems = playerSystems(drills, (each) =>
		Math.max(0, adults.length - each.coaches.min - adultPlaces(each).always)
	);
	if (!systems.ok) return systems.failure;
	for (const system of systems.value) {
		const short = checkPlayers(system, players.length);
		if (short) return short;
	}
	return climb.map(({ minutes, turns, side = block.side }, index) => {
		// A side that the rung does not have is nobody's: its turns go as the drill says.
		const named = drills[index].sides?.names.indexOf(side ?? '') ?? -1;
		return {
			drill: drills[index],
			system: systems.value[index],
			side: named < 0 ? null : named,
			turns: turns ?? null,
			weight: minutes ?? 0
		};
	});
}

function sumUp(
	run: PlannedRun,
	{ steps, tallies }: { steps: readonly ReadyStep[]; tallies: readonly Tally[] },
	waitable: number
): RunSums[] {
	/** What each player had over some of the steps; on the hot path a run of one step is not added up. */
	const sum = (of: (tally: Tally) => number[], some = tallies): readonly number[] =>
		some.length === 1
			? of(some[0])
			: run.players.map((_, index) => some.reduce((total, tally) => total + of(tally)[index], 0));
	const opposed = tallies.filter((_, index) => isOpposed(steps[index].drill));
	const [reps, help] = [sum((tally) => tally.reps), sum((tally) => tally.help)];
	const [active, helping] = [
		sum((tally) => tally.activeSeconds),
		sum((tally) => tally.helpSeconds)
	];
	const [against, aiding] = [
		sum((tally) => tally.activeSeconds, opposed),
		sum((tally) => tally.helpSeconds, opposed)
	];
	return run.players.map((player, index) => {
		let longestWaitSeconds = 0;
		for (const tally of tallies)
			longestWaitSeconds = Math.max(longestWaitSeconds, tally.longestWaitSeconds[index]);
		return {
			player,
			reps: reps[index],
			help: help[index],
			activeSeconds: active[index],
			helpSeconds: helping[index],
			opposedSeconds: against[index] + aiding[index],
			waitSeconds: Math.max(0, waitable - active[index] - helping[index]),
			longestWaitSeconds
		};
	});
}

const lengthOf = ({ fromSecond, toSecond }: Window) => toSecond - fromSecond;

/** When the steps of a run would be run that cannot be simulated; those by turns share the time evenly. */
function passesPlanned({ block, copy, ...run }: PlannedRun, playsFrom: number): PassWindow[] {
	const weights = climbOf(block, copy).map(({ minutes }) => minutes ?? 1);
	const all = weights.reduce((sum, weight) => sum + weight, 0);
	let from = playsFrom;
	return weights.map((weight, step) => {
		const toSecond = from + ((lengthOf(run) - playsFrom) * weight) / all;
		const pass = { step, fromSecond: from, toSecond };
		from = toSecond;
		return pass;
	});
}

/** A run in which nothing can be simulated: all stand in one state. */
function standing(run: PlannedRun, arriveSeconds: number, fault: Failure | null): PlayedRun {
	const recorder = new Recorder(run);
	const seconds = lengthOf(run);
	const playsFrom = Math.min(seconds, arriveSeconds);
	recorder.everyone(0, playsFrom, 'move');
	recorder.everyone(playsFrom, seconds, fault ? 'wait' : 'listen');
	const sums = sumUp(run, { steps: [], tallies: [] }, fault ? seconds - playsFrom : 0);
	const passes = run.drill ? passesPlanned(run, playsFrom) : [];
	const own = { sums, intervals: recorder.tracks, turns: [], passes, playsFrom };
	const nothing = { steps: [], tallies: [], fault, arriveSeconds, own };
	return { run, ...nothing, ...at(run.fromSecond, own) };
}

/** The stretches of a climb from a second on: one a step by minutes, one for all steps by turns. */
function stretchesOf(
	steps: readonly WeighedStep[],
	{ from, to, stopShare }: { from: number; to: number; stopShare: number }
): Stretch[] {
	if (isByTurns(steps)) return [cutStretch(from, to - from, stopShare)];
	const weights = steps.reduce((sum, { weight }) => sum + weight, 0);
	let second = from;
	return steps.map(({ weight }) => {
		const seconds = ((to - from) * weight) / weights;
		const stretch = cutStretch(second, seconds, stopShare);
		second += seconds;
		return stretch;
	});
}

/**
 * Simulates one run: players walk in for `arriveSeconds`, hear the explanation, then climb through the
 * rungs, with the coach's stops spread over it. Steps by minutes share the time in proportion to them;
 * steps by turns go round until it is over. A block without a drill is listened to.
 */
export function playRun(run: PlannedRun, arriveSeconds: number, context: Context): PlayedRun {
	if (!run.drill) return standing(run, arriveSeconds, null);
	const steps = readySteps(run);
	if (!Array.isArray(steps)) return standing(run, arriveSeconds, steps);
	const seconds = lengthOf(run);
	const recorder = new Recorder(run);
	const arrived = Math.min(seconds, arriveSeconds);
	recorder.everyone(0, arrived, 'move');
	const playsFrom = Math.min(seconds, arrived + (run.drill.explainSeconds ?? 0));
	recorder.everyone(arrived, playsFrom, 'listen');

	const runners: Runner[] = run.players.map((id) => ({
		id,
		unit: context.playerById.get(id)?.unit
	}));
	const { stopShare } = run.block;
	const stretches = stretchesOf(steps, { from: playsFrom, to: seconds, stopShare });
	const running = stretches.reduce((sum, { runSeconds }) => sum + runSeconds, 0);
	const legs = legsOf(
		steps,
		stretches.map(({ runSeconds }) => runSeconds)
	);
	const turns: TurnStart[] = [];
	const passes: PassWindow[] = [];
	const tallies = playClimb(legs, { runners }, (leg, pass) => {
		const stretch = stretches[leg];
		const { drill, system } = legs[leg].steps[pass.step];
		const record = recordTurns(recorder, stretch, system, pass);
		return {
			turn(turn) {
				record.busy(turn);
				const side = drill.sides?.names[turn.side] ?? null;
				turns.push({ second: onClock(stretch, turn.startSecond), side });
			},
			over(second) {
				record.finish(second);
				const [from, to] = [pass.fromSecond, second].map((each) => onClock(stretch, each));
				passes.push({ step: leg + pass.step, fromSecond: from, toSecond: to });
			}
		};
	});
	if (!tallies) return standing(run, arriveSeconds, TOO_MANY_PASSES);
	const sums = sumUp(run, { steps, tallies }, running);
	const own = { sums, intervals: recorder.tracks, turns, passes, playsFrom };
	return { run, steps, tallies, fault: null, arriveSeconds, own, ...at(run.fromSecond, own) };
}
