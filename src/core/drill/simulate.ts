import { mean } from 'd3-array';
import { badInput, fail, ok, type Failure, type Outcome, type Path } from '../base';
import type { Drill } from '../model/drill';
import { deal, dealInOrder, type Runner } from './deal';
import { checkMinutes, checkPlayerCount, checkRanges, firstFailure } from './ranges';
import { resolveDrill } from './resolve';
import { runTurns } from './run';
import { checkPlayers, playerSystem, type System } from './system';
import { tallyTurns, type Tally } from './tally';
import type { SimulateInput, SimulateOutput, Spread } from './simulateShapes';

/** One stretch of a simulation, resolved and checked. */
interface Step {
	drill: Drill;
	system: System;
	runSeconds: number;
}

/** The players of an input as a list: numbers become "1", "2", …, texts are ids. */
export function listRunners(players: SimulateInput['players']): Runner[] {
	if (typeof players === 'number')
		return Array.from({ length: players }, (_, index) => ({ id: String(index + 1) }));
	return players.map((player) => (typeof player === 'string' ? { id: player } : player));
}

function checkRunners(players: SimulateInput['players']): Failure | null {
	if (typeof players === 'number') return checkPlayerCount(players);
	const seen = new Set<string>();
	for (const [index, { id }] of listRunners(players).entries()) {
		if (seen.has(id))
			return badInput(['players', index], `expected different ids, got "${id}" twice`);
		seen.add(id);
	}
	return checkPlayerCount(players.length);
}

/** The stretches asked for, with the paths of their fields; a failure where they contradict. */
function listStretches(
	input: SimulateInput
): Outcome<{ rung?: string; minutes: number; at: Path }[]> {
	const { climb, rung, minutes } = input;
	if (!climb) {
		if (minutes === undefined) return fail(badInput(['minutes'], 'expected minutes, or a climb'));
		return ok([{ rung, minutes, at: [] }]);
	}
	for (const key of ['rung', 'minutes', 'start'] as const)
		if (input[key] !== undefined) return fail(badInput([key], `expected none beside a climb`));
	if (climb.length === 0) return fail(badInput(['climb'], 'expected at least one step'));
	return ok(climb.map((step, index) => ({ ...step, at: ['climb', index] })));
}

/** The failure, with the rung that it was found on: a rung may have replaced the field it names. */
const onRung = (failure: Failure | null, rung?: string): Failure | null =>
	failure && rung !== undefined ? { ...failure, rung } : failure;

function* inputChecks({
	adults = 0,
	stopShare = 0,
	players
}: SimulateInput): Generator<Failure | null> {
	if (!Number.isSafeInteger(adults) || adults < 0)
		yield badInput(['adults'], `expected a whole number of at least 0, got ${adults}`);
	if (!(stopShare >= 0 && stopShare <= 0.9))
		yield badInput(['stopShare'], `expected 0 to 0.9, got ${stopShare}`);
	yield checkRunners(players);
}

function checkStart({ start }: SimulateInput, system: System, players: number): Failure | null {
	if (!start) return null;
	const given = new Map(Object.entries(start));
	for (const { id, count } of system.spots) {
		const placed = given.get(id);
		if (placed === undefined || !Number.isSafeInteger(placed) || placed < count)
			return badInput(['start', id], `expected a whole number of at least ${count}, got ${placed}`);
		given.delete(id);
	}
	const [stranger] = given.keys();
	if (stranger !== undefined)
		return badInput(['start', stranger], 'expected only spots that players hold');
	const sum = Object.values(start).reduce((total, placed) => total + placed, 0);
	return sum === players
		? null
		: badInput(['start'], `expected ${players} players in all, got ${sum}`);
}

/** Resolves and checks every stretch: each kind of check over all of them before the next kind. */
function prepare(input: SimulateInput, players: number): Outcome<Step[]> {
	const stretches = listStretches(input);
	if (!stretches.ok) return stretches;
	const drills: Drill[] = [];
	for (const { rung, at } of stretches.value) {
		const drill = resolveDrill(input.drill, rung, [...at, 'rung']);
		if (!drill.ok) return drill;
		drills.push(drill.value);
	}
	const outOfRange =
		firstFailure(
			stretches.value.map(({ minutes, at }) => checkMinutes(minutes, [...at, 'minutes']))
		) ??
		firstFailure(inputChecks(input)) ??
		firstFailure(drills.map((drill, k) => onRung(checkRanges(drill), stretches.value[k].rung)));
	if (outOfRange) return fail(outOfRange);
	const steps: Step[] = [];
	for (const [k, { minutes, rung }] of stretches.value.entries()) {
		const system = playerSystem(drills[k], input.adults ?? 0);
		if (!system.ok) return fail(onRung(system.failure, rung) as Failure);
		const runSeconds = minutes * 60 * (1 - (input.stopShare ?? 0));
		steps.push({ drill: drills[k], system: system.value, runSeconds });
	}
	const short =
		checkStart(input, steps[0].system, players) ??
		firstFailure(
			steps.map(({ system }, k) => onRung(checkPlayers(system, players), stretches.value[k].rung))
		);
	return short ? fail(short) : ok(steps);
}

/** Runs one stretch from given lines and sums it up by player. */
export function tallyStep({ drill, system, runSeconds }: Step, lines: readonly number[][]): Tally {
	const players = lines.reduce((sum, line) => sum + line.length, 0);
	const sides = drill.sides?.names.length ?? 1;
	const tally = tallyTurns(system, { players, sides, runSeconds });
	runTurns({ drill, system, runSeconds }, lines, tally.add);
	return tally.finish();
}

/** Those with the fewest reps first; of equal ones the given order. Indices of players. */
export function fewestFirst(reps: readonly number[]): number[] {
	return reps.map((_, player) => player).sort((a, b) => reps[a] - reps[b] || a - b);
}

function spread(values: readonly number[]): Spread {
	return { min: Math.min(...values), mean: mean(values) ?? 0, max: Math.max(...values) };
}

/** Sums over the steps of a climb, by player. */
function sumUp(runners: readonly Runner[], steps: readonly Step[], tallies: readonly Tally[]) {
	const sum = (of: (tally: Tally) => number[], player: number) => {
		let total = 0;
		for (const tally of tallies) total += of(tally)[player];
		return total;
	};
	const running = steps.reduce((total, { runSeconds }) => total + runSeconds, 0);
	const names = [...new Set(steps.flatMap(({ drill }) => drill.sides?.names ?? []))];
	const sideReps = (name: string, player: number) =>
		steps.reduce((total, { drill }, k) => {
			const side = drill.sides?.names.indexOf(name) ?? -1;
			return side < 0 ? total : total + tallies[k].sides[side][player];
		}, 0);
	return runners.map(({ id }, player) => {
		const activeSeconds = sum((tally) => tally.activeSeconds, player);
		const helpSeconds = sum((tally) => tally.helpSeconds, player);
		return {
			id,
			reps: sum((tally) => tally.reps, player),
			help: sum((tally) => tally.help, player),
			activeSeconds,
			helpSeconds,
			waitSeconds: Math.max(0, running - activeSeconds - helpSeconds),
			longestWaitSeconds: Math.max(...tallies.map((tally) => tally.longestWaitSeconds[player])),
			...(names.length > 0 && {
				sides: Object.fromEntries(names.map((name) => [name, sideReps(name, player)]))
			})
		};
	});
}

/**
 * What a group of players gets from a drill: turns, and for each player (in given order) reps, help,
 * busy and waiting seconds, the longest wait and the reps by side. `share` is of all players' whole
 * time, with the coach's talk as `listen`. A `climb` adds `steps`. Fails with `bad-input`,
 * `unbalanced-rotation` or `too-few-players`; the input's schema has been checked before.
 */
export function simulate(input: SimulateInput): Outcome<SimulateOutput> {
	const runners = listRunners(input.players);
	const prepared = prepare(input, runners.length);
	if (!prepared.ok) return prepared;
	const steps = prepared.value;
	const tallies: Tally[] = [];
	const repsSoFar = runners.map(() => 0);
	for (const step of steps) {
		const order = fewestFirst(repsSoFar);
		const lines = input.start
			? dealInOrder(step.system, new Map(Object.entries(input.start)))
			: deal(
					step.system,
					order.map((player) => runners[player])
				);
		const tally = tallyStep(
			step,
			lines.map((line) => line.map((place) => order[place]))
		);
		tally.reps.forEach((reps, player) => (repsSoFar[player] += reps));
		tallies.push(tally);
	}
	const perPlayer = sumUp(runners, steps, tallies);
	const stopShare = input.stopShare ?? 0;
	const running = steps.reduce((total, { runSeconds }) => total + runSeconds, 0);
	const shareOf = (seconds: (player: (typeof perPlayer)[number]) => number) =>
		((mean(perPlayer, seconds) ?? 0) / running) * (1 - stopShare);
	return ok({
		turns: tallies.reduce((total, { turns }) => total + turns, 0),
		perPlayer,
		reps: spread(perPlayer.map(({ reps }) => reps)),
		share: {
			active: shareOf((player) => player.activeSeconds),
			help: shareOf((player) => player.helpSeconds),
			wait: shareOf((player) => player.waitSeconds),
			listen: stopShare
		},
		...(input.climb && {
			steps: tallies.map(({ turns, reps }) => ({ turns, reps: spread(reps) }))
		})
	});
}
