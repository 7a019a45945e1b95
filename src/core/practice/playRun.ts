import type { Failure } from '../base';
import {
	adultPlaces,
	checkPlayers,
	checkRanges,
	deal,
	fewestFirst,
	isWork,
	playerSystem,
	resolveDrill,
	runTurns,
	tallyTurns,
	type Runner,
	type System,
	type Tally,
	type TurnOnGround
} from '../drill';
import type { Drill } from '../model/drill';
import type { Context } from './context';
import type { PlannedRun } from './schedule';
import type { Interval, State } from './timelineShapes';

/** Talk is spread over about this many seconds of a block at a time. */
const STOP_EVERY_SECONDS = 240;

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

/** A run as it will go: sums and intervals by player, or why the drill does not run. */
export interface PlayedRun {
	run: PlannedRun;
	sums: RunSums[];
	/** By player, in the order of `run.players`. */
	intervals: Interval[][];
	/** Set where the drill cannot run with these players. */
	fault: Failure | null;
	/** Seconds of walking in that it was played with. */
	arriveSeconds: number;
	/** The second from which the drill itself runs. */
	playsFrom: number;
}

/** A stretch of a climb on the clock: running time with talk spread over it. */
interface Stretch {
	fromSecond: number;
	runSeconds: number;
	/** Running seconds between two stops. */
	partSeconds: number;
	stops: number;
	stopSeconds: number;
}

function cutStretch(fromSecond: number, seconds: number, stopShare: number): Stretch {
	const runSeconds = seconds * (1 - stopShare);
	const stops = stopShare > 0 ? Math.max(1, Math.round(seconds / STOP_EVERY_SECONDS)) : 0;
	return {
		fromSecond,
		runSeconds,
		partSeconds: runSeconds / (stops + 1),
		stops,
		stopSeconds: stops > 0 ? (seconds * stopShare) / stops : 0
	};
}

/** Writes intervals of a run onto the players' tracks. On the hot path: plain arguments, no copies. */
class Recorder {
	readonly tracks: Interval[][];
	private readonly place: string;
	private readonly block: string;
	private readonly copy: string;

	constructor(run: PlannedRun) {
		this.tracks = run.players.map(() => []);
		this.place = run.copy.zoneId;
		this.block = run.block.id;
		this.copy = run.copy.id;
	}

	/** Adds an interval; one that goes on as the last ended makes that one longer. */
	private add(
		player: number,
		fromSecond: number,
		toSecond: number,
		state: State,
		spot: string | null
	) {
		if (toSecond - fromSecond < 1e-9) return;
		const track = this.tracks[player];
		const last = track.length > 0 ? track[track.length - 1] : null;
		if (last !== null && last.state === state && last.spot === spot) last.toSecond = toSecond;
		else {
			const { place, block, copy } = this;
			track.push({ fromSecond, toSecond, state, place, block, copy, spot });
		}
	}

	/** The same stretch for everyone. */
	everyone(fromSecond: number, toSecond: number, state: State): void {
		for (let player = 0; player < this.tracks.length; player += 1)
			this.add(player, fromSecond, toSecond, state, null);
	}

	/** Running time of one player from `from` to `to`, cut where the coach stops the drill. */
	running(
		player: number,
		{ fromSecond, partSeconds, stops, stopSeconds }: Stretch,
		from: number,
		to: number,
		state: State,
		spot: string
	): void {
		let at = from;
		while (at < to - 1e-9) {
			const stop = stops === 0 ? 0 : Math.min(stops, Math.floor((at + 1e-9) / partSeconds));
			const boundary = stop < stops ? (stop + 1) * partSeconds : Infinity;
			const until = Math.min(to, boundary);
			const shift = fromSecond + stop * stopSeconds;
			this.add(player, shift + at, shift + until, state, spot);
			if (until === boundary)
				this.add(player, shift + until, shift + until + stopSeconds, 'listen', null);
			at = until;
		}
	}
}

/** Turns the turns of a stretch into busy and waiting intervals. */
function recordTurns(recorder: Recorder, stretch: Stretch, system: System, lines: number[][]) {
	const at: number[] = [];
	const line: number[] = [];
	const works = system.spots.map(isWork);
	for (const [spot, players] of lines.entries())
		for (const player of players) [at[player], line[player]] = [0, spot];

	function busy({ startSecond, endSecond, players, spots, movesOn }: TurnOnGround): void {
		const until = Math.min(endSecond, stretch.runSeconds);
		for (let k = 0; k < players.length; k += 1) {
			const spot = system.spots[spots[k]];
			const from = startSecond + (spot.joinsAtSeconds ?? 0);
			const player = players[k];
			line[player] = movesOn ? system.leadsTo[spots[k]] : spots[k];
			if (until <= from) continue;
			recorder.running(player, stretch, at[player], from, 'wait', spot.id);
			recorder.running(player, stretch, from, until, works[spots[k]] ? 'active' : 'help', spot.id);
			at[player] = until;
		}
	}

	function finish(): void {
		for (const player of line.keys()) {
			const spot = system.spots[line[player]].id;
			recorder.running(player, stretch, at[player], stretch.runSeconds, 'wait', spot);
		}
	}

	return { busy, finish };
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
	return { run, sums, intervals: recorder.tracks, fault, arriveSeconds, playsFrom };
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
		});
		record.finish();
		const sums = tally.finish();
		sums.reps.forEach((reps, player) => (repsSoFar[player] += reps));
		tallies.push(sums);
		second += seconds;
		running += stretch.runSeconds;
	}
	const sums = sumUp(run, tallies, running);
	return { run, sums, intervals: recorder.tracks, fault: null, arriveSeconds, playsFrom };
}
