import { badInput, SAME_INSTANT, type Failure, type Path } from '../base';
import type { Drill, Spot } from '../model/drill';

/** The most that one request may ask for. */
export const LIMITS = { minutes: 600, players: 500, spotCount: 50, seconds: 3600 };

type Check = Failure | null;

/** The first failure of a list of lazily made checks, or null when all hold. */
export function firstFailure(checks: Iterable<Check>): Check {
	for (const check of checks) if (check) return check;
	return null;
}

const need = (holds: boolean, path: Path, message: string): Check =>
	holds ? null : badInput(path, message);

const isWhole = (value: number, least: number): boolean =>
	Number.isSafeInteger(value) && value >= least;

const isSeconds = (value: number): boolean => value >= 0.5 && value <= LIMITS.seconds;

function repeated(values: readonly string[]): string | undefined {
	return values.find((value, index) => values.indexOf(value) !== index);
}

/** Checks minutes of a practice part: over 0, at most ten hours. */
export function checkMinutes(minutes: number, path: Path): Check {
	return need(
		minutes > 0 && minutes <= LIMITS.minutes,
		path,
		`expected over 0 and at most ${LIMITS.minutes} minutes, got ${minutes}`
	);
}

/** Checks a number of players that may be asked for. */
export function checkPlayerCount(count: number, path: Path = ['players']): Check {
	return need(
		isWhole(count, 0) && count <= LIMITS.players,
		path,
		`expected a whole number from 0 to ${LIMITS.players}, got ${count}`
	);
}

function* checkSpot(spot: Spot, workSeconds: number, path: Path): Generator<Check> {
	const { count, upTo, joinsAtSeconds: joins, repsPerTurn: reps } = spot;
	yield need(
		isWhole(count, 1) && count <= LIMITS.spotCount,
		[...path, 'count'],
		`expected a whole number from 1 to ${LIMITS.spotCount}, got ${count}`
	);
	yield need(
		upTo === undefined || isWhole(upTo, count),
		[...path, 'upTo'],
		`expected a whole number of at least the count, ${count}, got ${upTo}`
	);
	yield need(
		joins === undefined || (joins >= 0 && joins < workSeconds),
		[...path, 'joinsAtSeconds'],
		`expected 0 or more and under workSeconds, ${workSeconds}, got ${joins}`
	);
	yield need(
		reps === undefined || isWhole(reps, 0),
		[...path, 'repsPerTurn'],
		`expected a whole number of at least 0, got ${reps}`
	);
}

function* checkGroup({ group, spots }: Drill): Generator<Check> {
	const forPlayers = spots.filter(({ by }) => by === undefined || by === 'player');
	const held = forPlayers.reduce((sum, { count }) => sum + count, 0);
	yield need(
		forPlayers.length > 0,
		['drill', 'spots'],
		'expected at least one spot that players hold'
	);
	yield need(
		isWhole(group.min, 1),
		['drill', 'group', 'min'],
		`expected a whole number of at least 1, got ${group.min}`
	);
	yield need(
		group.min >= held,
		['drill', 'group', 'min'],
		`expected at least ${held}, the players that the spots need, got ${group.min}`
	);
	yield need(
		isWhole(group.ideal, group.min),
		['drill', 'group', 'ideal'],
		`expected a whole number of at least the least, ${group.min}, got ${group.ideal}`
	);
	yield need(
		isWhole(group.max, group.ideal),
		['drill', 'group', 'max'],
		`expected a whole number of at least the ideal, ${group.ideal}, got ${group.max}`
	);
}

/** Moves after a share of the turns: turns that end one after another, and all of them move on. */
function* checkResult(
	{ result, everyTurns, everySeconds }: Drill['rotation'],
	overlaps: boolean
): Generator<Check> {
	if (!result) return;
	const at = ['drill', 'rotation', 'result'];
	yield need(
		result.share > 0 && result.share < 1,
		[...at, 'share'],
		`expected more than 0 and less than 1, got ${result.share}`
	);
	yield need((everyTurns ?? 1) === 1, at, 'expected none beside everyTurns over 1');
	yield need(everySeconds === undefined, at, 'expected none beside everySeconds');
	yield need(!overlaps, at, 'expected none where turns overlap (headwaySeconds under workSeconds)');
}

function* checkTimes({ turn, rotation, sides }: Drill): Generator<Check> {
	for (const key of ['workSeconds', 'headwaySeconds'] as const)
		yield need(
			isSeconds(turn[key]),
			['drill', 'turn', key],
			`expected 0.5 to ${LIMITS.seconds} seconds, got ${turn[key]}`
		);
	const { everyTurns, everySeconds } = rotation;
	yield need(
		everyTurns === undefined || isWhole(everyTurns, 1),
		['drill', 'rotation', 'everyTurns'],
		`expected a whole number of at least 1, got ${everyTurns}`
	);
	yield need(
		everySeconds === undefined || everySeconds > 0,
		['drill', 'rotation', 'everySeconds'],
		`expected more than 0 seconds, got ${everySeconds}`
	);
	for (const [index, { count }] of (turn.loads ?? []).entries())
		yield need(
			count > 0,
			['drill', 'turn', 'loads', index, 'count'],
			`expected more than 0, got ${count}`
		);
	const holdsBack = (everyTurns ?? 1) > 1;
	const overlaps = turn.headwaySeconds < turn.workSeconds - SAME_INSTANT;
	yield need(
		!(holdsBack && everySeconds !== undefined),
		['drill', 'rotation', 'everyTurns'],
		'expected either everyTurns over 1 or everySeconds, not both'
	);
	yield need(
		!(overlaps && holdsBack),
		['drill', 'rotation', 'everyTurns'],
		'expected 1 where turns overlap (headwaySeconds under workSeconds)'
	);
	yield need(
		!(overlaps && everySeconds !== undefined),
		['drill', 'rotation', 'everySeconds'],
		'expected none where turns overlap (headwaySeconds under workSeconds)'
	);
	yield* checkResult(rotation, overlaps);
	if (!sides) return;
	yield need(sides.names.length > 0, ['drill', 'sides', 'names'], 'expected at least one side');
	yield need(
		repeated(sides.names) === undefined,
		['drill', 'sides', 'names'],
		`expected different names, got "${repeated(sides.names)}" twice`
	);
	yield need(
		sides.everyTurns === undefined || isWhole(sides.everyTurns, 1),
		['drill', 'sides', 'everyTurns'],
		`expected a whole number of at least 1, got ${sides.everyTurns}`
	);
}

/** Every spot that a drill's words and numbers name, with its place. */
function* namedSpots({ turn, skills, cues }: Drill): Generator<{ id: string; at: Path }> {
	for (const [index, { spots = [] }] of (turn.loads ?? []).entries())
		for (const [k, id] of spots.entries()) yield { id, at: ['turn', 'loads', index, 'spots', k] };
	for (const [index, { spots = [] }] of skills.entries())
		for (const [k, id] of spots.entries()) yield { id, at: ['skills', index, 'spots', k] };
	for (const [index, { spot }] of cues.entries())
		if (spot !== undefined) yield { id: spot, at: ['cues', index, 'spot'] };
}

function* checkNames(drill: Drill): Generator<Check> {
	const { spots, rotation, fixtures, rungs, sides } = drill;
	const spotIds = spots.map(({ id }) => id);
	yield need(
		repeated(spotIds) === undefined,
		['drill', 'spots'],
		`expected different ids, got "${repeated(spotIds)}" twice`
	);
	const moves: [Path, Readonly<Record<string, string>>][] = [
		[['moves'], rotation.moves],
		[['result', 'moves'], rotation.result?.moves ?? {}]
	];
	for (const [at, each] of moves)
		for (const [from, to] of Object.entries(each))
			for (const id of [from, to])
				yield need(
					spotIds.includes(id),
					['drill', 'rotation', ...at, from],
					`expected spots of the drill, got "${id}"`
				);
	for (const { id, at } of namedSpots(drill))
		yield need(spotIds.includes(id), ['drill', ...at], `expected a spot of the drill, got "${id}"`);
	for (const name of Object.keys(sides?.mirror ?? {}))
		yield need(
			sides?.names.includes(name) === true,
			['drill', 'sides', 'mirror', name],
			`expected a side of the drill, got "${name}"`
		);
	const rungIds = rungs.map(({ id }) => id);
	yield need(
		repeated(rungIds) === undefined,
		['drill', 'rungs'],
		`expected different ids, got "${repeated(rungIds)}" twice`
	);
	for (const [index, fixture] of (fixtures ?? []).entries())
		yield need(
			isWhole(fixture.count, 1),
			['drill', 'fixtures', index, 'count'],
			`expected a whole number of at least 1, got ${fixture.count}`
		);
}

function* drillChecks(drill: Drill): Generator<Check> {
	const shares = drill.skills.reduce((sum, { share }) => sum + share, 0);
	yield need(
		shares <= 1 + 1e-9,
		['drill', 'skills'],
		`expected shares that add up to at most 1, got ${shares}`
	);
	for (const [index, spot] of drill.spots.entries())
		yield* checkSpot(spot, drill.turn.workSeconds, ['drill', 'spots', index]);
	yield* checkTimes(drill);
	yield* checkNames(drill);
	yield* checkGroup(drill);
}

/** Drills that were looked through: a drill never changes. */
const checked = new WeakMap<Drill, Check>();

/**
 * The first value of a resolved drill that is out of range, with its path, or null.
 * A schema has seen the drill before: types, required and unknown keys are not looked at again.
 */
export function checkRanges(resolved: Drill): Check {
	const before = checked.get(resolved);
	if (before !== undefined) return before;
	const check = firstFailure(drillChecks(resolved));
	checked.set(resolved, check);
	return check;
}
