import type { Drill } from '../model/drill';
import type { Block, Lane, Period } from '../model/practice';
import { isTwoSided } from '../model/family';
import { areaOf } from '../model/skill';
import type { Player, Restriction } from '../model/team';
import type { Limits } from '../model/limits';
import { drillOf, type Plan } from '../practice';
import { isStation, playersOfLane } from './schedule';
import { rungsRun } from './steps';

/**
 * Whether a restriction holds on a day: its first day counts, and the day it is cleared on does not. One that a
 * coach set ends with its last day; what a practitioner set holds until one clears the player, however late.
 */
export const holdsOn = (
	{ by = 'practitioner', since, until, cleared }: Restriction,
	date: string
): boolean =>
	(since === undefined || date >= since) &&
	(by === 'practitioner' || until === undefined || date <= until) &&
	(!cleared || date < cleared.on);

/** Whether a restriction has come to its last day, and waits for who clears the player, and from when. */
export const awaitsClearing = (restriction: Restriction, date: string): boolean =>
	holdsOn(restriction, date) &&
	(restriction.by ?? 'practitioner') === 'practitioner' &&
	restriction.until !== undefined &&
	date >= restriction.until;

/**
 * Whether a drill is one that a restriction keeps players out of: all there is, contact and live play of two
 * sides, running, or what it names itself.
 */
function isRuledOut(
	{ from, drills = [], skills = [] }: Restriction,
	drill: Drill,
	{ restrictedContact, restrictedEffort }: Limits
): boolean {
	const { id, contact, effort, skills: trained } = drill;
	if (from === 'all') return true;
	if (from === 'drills')
		return drills.includes(id) || trained.some(({ skill }) => skills.includes(areaOf(skill)));
	if (from === 'running') return effort >= restrictedEffort;
	return contact >= restrictedContact || isTwoSided(drill);
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
