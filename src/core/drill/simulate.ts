import { mean } from 'd3-array';
import { badInput, fail, ok, type Failure, type Outcome, type Path } from '../base';
import type { Drill } from '../model/drill';
import type { ClimbStep } from '../model/practice';
import { isByTurns, legsOf, playClimb, TOO_MANY_PASSES, type Leg, type ReadyStep } from './climb';
import { dealInOrder, type Runner } from './deal';
import { checkMinutes, checkPlayerCount, checkRanges, firstFailure } from './ranges';
import { resolveDrill } from './resolve';
import { checkPlayers, playerSystems, type System } from './system';
import { addLoads, type Tally } from './tally';
import type { PlayerSums, SimulateInput, SimulateOutput, Spread } from './simulateShapes';

/** A step as it was asked for, with the place of its fields. */
interface AskedStep {
	rung?: string;
	side?: string;
	minutes?: number;
	turns?: number;
	at: Path;
}

/** The most turns of a step. */
const MOST_TURNS = 500;

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

/** The steps of a climb, all of one kind; a failure where they contradict each other or the input. */
function climbSteps(input: SimulateInput, climb: readonly ClimbStep[]): Outcome<AskedStep[]> {
	const [first] = climb;
	const goesByTurns = first?.turns !== undefined;
	for (const key of ['rung', 'start'] as const)
		if (input[key] !== undefined) return fail(badInput([key], 'expected none beside a climb'));
	if (!first) return fail(badInput(['climb'], 'expected at least one step'));
	if (!goesByTurns && input.minutes !== undefined)
		return fail(badInput(['minutes'], 'expected none beside a climb by minutes'));
	if (goesByTurns && input.minutes === undefined)
		return fail(badInput(['minutes'], 'expected minutes beside a climb by turns'));
	for (const [index, { minutes, turns }] of climb.entries()) {
		if ((minutes === undefined) === (turns === undefined))
			return fail(badInput(['climb', index], 'expected either minutes or turns'));
		if ((turns !== undefined) !== goesByTurns)
			return fail(badInput(['climb', index], 'expected steps that all have minutes, or all turns'));
	}
	return ok(climb.map((step, index) => ({ ...step, at: ['climb', index] })));
}

/** The steps asked for; a failure where they contradict. */
function listSteps(input: SimulateInput): Outcome<AskedStep[]> {
	const { climb, rung, minutes } = input;
	if (climb) return climbSteps(input, climb);
	if (minutes === undefined) return fail(badInput(['minutes'], 'expected minutes, or a climb'));
	return ok([{ ...(rung !== undefined && { rung }), minutes, at: [] }]);
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

/** The drill of a step on its rung, and the index of its side. */
function resolveStep(
	drill: Drill,
	{ rung, side, at }: AskedStep
): Outcome<{ drill: Drill; side: number | null }> {
	const resolved = resolveDrill(drill, rung, [...at, 'rung']);
	if (!resolved.ok) return resolved;
	const names = resolved.value.sides?.names ?? [];
	const index = side === undefined ? null : names.indexOf(side);
	return index === null || index >= 0
		? ok({ drill: resolved.value, side: index })
		: fail(
				badInput(
					[...at, 'side'],
					`"${side}" is no side of "${drill.id}"; it has ${names.map((name) => `"${name}"`).join(', ') || 'none'}`
				)
			);
}

const checkTurns = ({ turns, at }: AskedStep) =>
	turns === undefined || (Number.isSafeInteger(turns) && turns >= 1 && turns <= MOST_TURNS)
		? null
		: badInput([...at, 'turns'], `expected a whole number from 1 to ${MOST_TURNS}, got ${turns}`);

/** The minutes and turns of all steps, in range. */
function* timeChecks(
	{ climb, minutes }: SimulateInput,
	asked: readonly AskedStep[]
): Generator<Failure | null> {
	if (climb && minutes !== undefined) yield checkMinutes(minutes, ['minutes']);
	for (const step of asked)
		yield step.minutes === undefined
			? checkTurns(step)
			: checkMinutes(step.minutes, [...step.at, 'minutes']);
}

/** Resolves and checks every step: each kind of check over all of them before the next kind. */
function prepare(input: SimulateInput, players: number): Outcome<Leg[]> {
	const listed = listSteps(input);
	if (!listed.ok) return listed;
	const asked = listed.value;
	const steps: { drill: Drill; side: number | null }[] = [];
	for (const each of asked) {
		const step = resolveStep(input.drill, each);
		if (!step.ok) return step;
		steps.push(step.value);
	}
	const outOfRange =
		firstFailure(timeChecks(input, asked)) ??
		firstFailure(inputChecks(input)) ??
		firstFailure(steps.map(({ drill }, k) => onRung(checkRanges(drill), asked[k].rung)));
	if (outOfRange) return fail(outOfRange);
	const systems = playerSystems(
		steps.map(({ drill }) => drill),
		() => input.adults ?? 0
	);
	if (!systems.ok) return fail(onRung(systems.failure, asked[systems.at].rung) as Failure);
	const short =
		checkStart(input, systems.value[0], players) ??
		firstFailure(
			systems.value.map((system, k) => onRung(checkPlayers(system, players), asked[k].rung))
		);
	if (short) return fail(short);
	const seconds = (minutes = 0) => minutes * 60 * (1 - (input.stopShare ?? 0));
	const ready = steps.map((step, k) => ({
		...step,
		system: systems.value[k],
		turns: asked[k].turns ?? null
	}));
	const lasting = isByTurns(ready) ? [input.minutes] : asked.map(({ minutes }) => minutes);
	return ok(legsOf(ready, lasting.map(seconds)));
}

/** Runs one stretch of a drill from given lines and sums it up by player. */
export function tallyStep(
	step: Pick<ReadyStep, 'drill' | 'system'> & { runSeconds: number },
	lines: number[][]
): Tally {
	const players = lines.reduce((sum, line) => sum + line.length, 0);
	const leg = { steps: [{ ...step, side: null, turns: null }], runSeconds: step.runSeconds };
	const runners = Array.from({ length: players }, (_, index) => ({ id: String(index) }));
	return (playClimb([leg], { runners, start: lines }) as Tally[])[0];
}

function spread(values: readonly number[]): Spread {
	return { min: Math.min(...values), mean: mean(values) ?? 0, max: Math.max(...values) };
}

/** What players had on one spot: lists by player, one of turns and one of busy seconds a step and side. */
interface SpotLists {
	id: string;
	turns: number[][];
	seconds: number[][];
}

/** The lists of every spot that players hold in any of the steps. */
function spotLists(steps: readonly ReadyStep[], tallies: readonly Tally[]): SpotLists[] {
	const lists = new Map<string, SpotLists>();
	for (const [k, { system }] of steps.entries())
		for (const [spot, { id }] of system.spots.entries()) {
			const own = lists.get(id) ?? { id, turns: [], seconds: [] };
			lists.set(id, own);
			for (const { spotTurns, spotSeconds } of tallies[k].sides) {
				own.turns.push(spotTurns[spot]);
				own.seconds.push(spotSeconds[spot]);
			}
		}
	return [...lists.values()];
}

/** The sum of what a player has in each of some lists. On the hot path: counted, not iterated. */
function had(lists: readonly (readonly number[])[], player: number): number {
	let sum = 0;
	for (let k = 0; k < lists.length; k += 1) sum += lists[k][player];
	return sum;
}

/** What one player had on every spot. On the hot path: a plain object, written key by key. */
function spotsOf(lists: readonly SpotLists[], player: number): PlayerSums['bySpot'] {
	const own: PlayerSums['bySpot'] = {};
	for (let k = 0; k < lists.length; k += 1) {
		const { id, turns, seconds } = lists[k];
		own[id] = { turns: had(turns, player), activeSeconds: had(seconds, player) };
	}
	return own;
}

/** Sums over the steps of a climb, by player. */
function sumUp(runners: readonly Runner[], legs: readonly Leg[], tallies: readonly Tally[]) {
	const steps = legs.flatMap((leg) => leg.steps);
	/** What each player had over all steps. */
	const sum = (of: (tally: Tally) => number[]): readonly number[] => {
		if (tallies.length === 1) return of(tallies[0]);
		return runners.map((_, player) =>
			tallies.reduce((total, tally) => total + of(tally)[player], 0)
		);
	};
	const [reps, help] = [sum((tally) => tally.reps), sum((tally) => tally.help)];
	const active = sum((tally) => tally.activeSeconds);
	const helping = sum((tally) => tally.helpSeconds);
	const running = legs.reduce((total, { runSeconds }) => total + runSeconds, 0);
	const names = [...new Set(steps.flatMap(({ drill }) => drill.sides?.names ?? []))];
	/** Reps on a side by player, over the steps that have it. */
	const onSide = names.map((name) =>
		steps.flatMap(({ drill }, k) => {
			const side = drill.sides?.names.indexOf(name) ?? -1;
			return side < 0 ? [] : [tallies[k].sides[side].reps];
		})
	);
	const sidesOf = (player: number) => {
		const own: Record<string, number> = {};
		for (let side = 0; side < names.length; side += 1) own[names[side]] = had(onSide[side], player);
		return own;
	};
	const hasLoads = steps.some(({ drill }) => drill.turn.loads !== undefined);
	const loadsOf = (player: number) => {
		const loads = new Map<string, number>();
		for (const [k, { drill, system }] of steps.entries())
			addLoads(loads, { drill, system, tally: tallies[k] }, player);
		return Object.fromEntries(loads);
	};
	const spots = spotLists(steps, tallies);
	const waits = tallies.map((tally) => tally.longestWaitSeconds);
	return runners.map(({ id }, player): PlayerSums => {
		const activeSeconds = active[player];
		const helpSeconds = helping[player];
		let longestWaitSeconds = 0;
		for (let k = 0; k < waits.length; k += 1)
			longestWaitSeconds = Math.max(longestWaitSeconds, waits[k][player]);
		const sums: PlayerSums = {
			id,
			reps: reps[player],
			help: help[player],
			activeSeconds,
			helpSeconds,
			waitSeconds: Math.max(0, running - activeSeconds - helpSeconds),
			longestWaitSeconds,
			bySpot: spotsOf(spots, player)
		};
		if (names.length > 0) sums.sides = sidesOf(player);
		if (hasLoads) sums.loads = loadsOf(player);
		return sums;
	});
}

/**
 * What a group of players gets from a drill: turns, and for each player (in given order) reps, help,
 * busy and waiting seconds, the longest wait, the reps by side, what it costs a body, and turns and busy
 * seconds by spot. `share` is of all players' whole time, with the coach's talk as `listen`. A `climb`
 * adds `steps`. Fails with `bad-input`, `unbalanced-rotation` or `too-few-players`; the input's schema
 * has been checked before.
 */
export function simulate(input: SimulateInput): Outcome<SimulateOutput> {
	const runners = listRunners(input.players);
	const prepared = prepare(input, runners.length);
	if (!prepared.ok) return prepared;
	const legs = prepared.value;
	const start =
		input.start && dealInOrder(legs[0].steps[0].system, new Map(Object.entries(input.start)));
	const tallies = playClimb(legs, { runners, ...(start && { start }) });
	if (!tallies) return fail(TOO_MANY_PASSES);
	const perPlayer = sumUp(runners, legs, tallies);
	const stopShare = input.stopShare ?? 0;
	const running = legs.reduce((total, { runSeconds }) => total + runSeconds, 0);
	/** Share of the whole time of all players, from what each had. */
	const shareOf = (key: 'activeSeconds' | 'helpSeconds' | 'waitSeconds') => {
		let sum = 0;
		for (const player of perPlayer) sum += player[key];
		return (sum / perPlayer.length / running) * (1 - stopShare);
	};
	return ok({
		turns: tallies.reduce((total, { turns }) => total + turns, 0),
		perPlayer,
		reps: spread(perPlayer.map(({ reps }) => reps)),
		share: {
			active: shareOf('activeSeconds'),
			help: shareOf('helpSeconds'),
			wait: shareOf('waitSeconds'),
			listen: stopShare
		},
		...(input.climb && {
			steps: tallies.map(({ turns, reps }) => ({ turns, reps: spread(reps) }))
		})
	});
}
