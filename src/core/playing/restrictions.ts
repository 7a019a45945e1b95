import type { Drill } from '../model/drill';
import type { Block, Lane, Period } from '../model/practice';
import { areaOf } from '../model/skill';
import type { Player, Restriction } from '../model/team';
import type { Limits } from '../model/limits';
import { drillOf, type Plan } from '../practice';
import { isStation, playersOfLane } from './schedule';
import { rungsRun } from './steps';

/** Whether a restriction holds on a day: its first and its last day count, and the day it is cleared on does not. */
export const holdsOn = (
	{ since, until, cleared }: Pick<Restriction, 'since' | 'until' | 'cleared'>,
	date: string
): boolean =>
	(since === undefined || date >= since) &&
	(until === undefined || date <= until) &&
	(!cleared || date < cleared.on);

/**
 * Whether a drill is one that a restriction keeps players out of: contact, a live opponent, running, or what
 * it names itself.
 */
function isRuledOut(
	{ from, drills = [], skills = [] }: Restriction,
	{ id, contact, live, spots, effort, skills: trained }: Drill,
	{ restrictedContact, restrictedEffort }: Limits
): boolean {
	if (from === 'drills')
		return drills.includes(id) || trained.some(({ skill }) => skills.includes(areaOf(skill)));
	if (from === 'running') return effort >= restrictedEffort;
	const meetsOpponents = live === true && spots.some(({ role }) => role === 'opponent');
	return contact >= restrictedContact || meetsOpponents;
}

/** The restriction that keeps a player out of a drill on a day, or undefined. */
export const keptOutOfDrill = (
	player: Player | undefined,
	drill: Drill,
	{ practice, context }: Plan
): Restriction | undefined =>
	player?.restrictions?.find(
		(each) => holdsOn(each, practice.date) && isRuledOut(each, drill, context.limits)
	);

/** The restriction that keeps a player out of a block on whatever rung of its climb, or undefined. */
export function keptOutOf(
	player: Player | undefined,
	block: Block,
	{ practice, context }: Plan
): Restriction | undefined {
	const drill = drillOf(context, block.drill);
	if (!drill || !player?.restrictions) return undefined;
	for (const rung of rungsRun(block, drill)) {
		const restriction = keptOutOfDrill(player, rung, { practice, context });
		if (restriction) return restriction;
	}
	return undefined;
}

/**
 * Whether a player has no place to be put into in a period: a station that they are kept out of keeps
 * them out of the whole round.
 */
export function isKeptOutOfPeriod(player: Player | undefined, period: Period, plan: Plan) {
	const isShut = ({ blocks }: Lane) => blocks.some((block) => keptOutOf(player, block, plan));
	const stations = period.lanes.filter((lane) => isStation(period, lane));
	const others = period.lanes.filter((lane) => !stations.includes(lane));
	const isRoundShut = stations.length === 0 || stations.some(isShut);
	return period.lanes.length > 0 && isRoundShut && others.every(isShut);
}

/** Players of a period's groups and lanes, whether they come or not. */
export const placedIn = (period: Period): Set<string> =>
	new Set([
		...(period.groups ?? []).flatMap(({ players }) => players),
		...period.lanes.flatMap((lane) => playersOfLane(period, lane))
	]);

/** Those expected who have no place in a period that places others, and are not kept out of all of it. */
export function unplacedIn(period: Period, plan: Plan): string[] {
	if (period.lanes.length === 0) return [];
	const placed = placedIn(period);
	const { practice, context } = plan;
	return practice.expected.filter(
		(id) => !placed.has(id) && !isKeptOutOfPeriod(context.playerById.get(id), period, plan)
	);
}
