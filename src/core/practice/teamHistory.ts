import { addDays } from '../conditions';
import type { Surroundings } from '../model/bundle';
import type { Drill } from '../model/drill';
import type { ExportPerson } from '../model/exportFiles';
import type { Season } from '../model/season';
import type { Adult, Player } from '../model/team';
import { usableKit } from '../model/teamFile';
import type { Dated, TeamHistory } from '../model/teamHistory';
import { type Context, toContext } from './context';

/** A day of a team, and what is asked about it. */
export interface DayAsked {
	day: string;
	/** The ground; the team's first where it names none, or one that is gone. */
	groundId?: string;
	/** Drills that may be used. */
	drills?: readonly Drill[];
}

/** The last of a list in order of time that holds on a day. */
const onDay = <Item extends { since: string }>(items: readonly Item[], day: string) =>
	items.findLast(({ since }) => since <= day);

/** What holds on a day; undefined where nothing does yet. */
export const heldOn = <Value>(list: readonly Dated<Value>[], day: string): Value | undefined =>
	onDay(list, day)?.value;

/** Takes undefined fields away: optional fields are not there at all. */
const present = <Item extends object>(item: Item): Item =>
	Object.fromEntries(Object.entries(item).filter(([, value]) => value !== undefined)) as Item;

/** Ratings as they stood on a day; undefined where there are none. */
function ratingsOn(
	ratings: ExportPerson['ratings'],
	day: string
): Record<string, number> | undefined {
	const now = new Map<string, number>();
	for (const { since, skill, rating } of ratings) {
		if (since > day) continue;
		if (rating === null) now.delete(skill);
		else now.set(skill, rating);
	}
	const sorted = [...now].sort(([a], [b]) => (a < b ? -1 : 1));
	return now.size > 0 ? Object.fromEntries(sorted) : undefined;
}

function playerOn(person: ExportPerson, day: string): Player {
	const { id, name, number, positions, restrictions, usuallyLate, birthYear, note } = person;
	return present({
		id,
		name,
		number,
		unit: onDay(person.units, day)?.unit ?? undefined,
		ratings: ratingsOn(person.ratings, day),
		positions,
		restrictions,
		usuallyLate: usuallyLate || undefined,
		birthYear,
		leads: person.leadsWell || undefined,
		note
	}) as Player;
}

const adultOf = ({ id, name, role = '', leads, days, skills, ages }: ExportPerson) =>
	present({ id, name, role, units: leads, days, skills, ages }) as Adult;

/** The season that holds a day; between seasons the one that comes next, else the last. Undefined where there is none. */
export function seasonOn(seasons: readonly Season[], day: string): Season | undefined {
	const sorted = seasons.toSorted((a, b) => (a.firstDay < b.firstDay ? -1 : 1));
	const notOver = ({ firstDay, weeks }: Season) => addDays(firstDay, 7 * weeks) > day;
	const holding = sorted.findLast((season) => season.firstDay <= day && notOver(season));
	return holding ?? sorted.find(notOver) ?? sorted.at(-1);
}

/** A season as a practice needs it: without opponents, scenes and what coaches alone know of them. */
function withoutOpponents({
	games: _games,
	seeds: _seeds,
	fixes: _fixes,
	prepares: _prepares,
	...season
}: Season): Season {
	return season;
}

/** What a practice of a day is built from: people, units, ratings, limits and kit as they stood then. Undefined without a season. */
export function surroundingsOn(
	history: TeamHistory,
	{ day, groundId, drills = [] }: DayAsked
): Surroundings | undefined {
	const { team, seasons, people, grounds, archived } = history;
	const season = seasonOn(seasons, day);
	if (!season) return undefined;
	const limits = heldOn(history.limits, day);
	return {
		team,
		season: withoutOpponents(season),
		players: people.filter(({ kind }) => kind === 'player').map((each) => playerOn(each, day)),
		adults: people.filter(({ kind }) => kind === 'adult').map(adultOf),
		ground: grounds.find(({ id }) => id === groundId) ?? grounds[0],
		kit: usableKit(heldOn(history.kit, day) ?? []),
		drills: [...drills],
		...(archived.length > 0 && { archived: [...archived] }),
		...(limits && { limits })
	};
}

/** The same with look-ups: every evaluation of a practice uses the context of its own day and ground. */
export function contextOn(history: TeamHistory, asked: DayAsked): Context | undefined {
	const surroundings = surroundingsOn(history, asked);
	return surroundings && toContext(surroundings);
}
