import { addDays, daysBetween } from '../conditions';
import type { Phase, Season, Target } from '../model/season';

/** What the next season is called, and when it is. */
export type NextSeason = Pick<Season, 'id' | 'name' | 'firstDay' | 'weeks'>;

/** The usual days of a season, without days of their own. */
export const usualDays = ({ patterns = [] }: Season): NonNullable<Season['patterns']> =>
	patterns.map(({ firstDay: _firstDay, lastDay: _lastDay, ...pattern }) => pattern);

const daysOf = ({ weeks }: Pick<Season, 'weeks'>) => 7 * weeks;

/** Phases stretched to another season: none where no day is left of one. */
function stretched(season: Season, next: NextSeason): Phase[] {
	const share = daysOf(next) / daysOf(season);
	/** Where a day of one season is in the other, in whole days from its first. */
	const at = (day: string) => Math.round(daysBetween(season.firstDay, day) * share);
	return (season.phases ?? []).flatMap((phase) => {
		const [from, until] = [at(phase.firstDay), at(addDays(phase.lastDay, 1))];
		if (until <= from) return [];
		return [
			{
				...phase,
				firstDay: addDays(next.firstDay, from),
				lastDay: addDays(next.firstDay, until - 1)
			}
		];
	});
}

const lengthOf = ({ firstDay, lastDay }: Phase) => daysBetween(firstDay, lastDay) + 1;

/** Targets as dense as before: longer phases ask for more minutes. */
function scaled(targets: readonly Target[], before: readonly Phase[], after: readonly Phase[]) {
	return targets.flatMap((target): Target[] => {
		const [was, is] = [before, after].map((phases) => phases.find(({ id }) => id === target.phase));
		if (!was || !is) return [];
		const minutes = Math.round((target.minutes * lengthOf(is)) / lengthOf(was));
		return [{ ...target, minutes: Math.max(1, Math.min(10_000, minutes)) }];
	});
}

/**
 * The season that goes on from another: its usual days, its phases and targets stretched to the new weeks, its
 * floors and courses, how it gets ready for opponents, and what is open on its fix list. Ladders stand where they
 * stood, as it follows that season. Games, days off and how opponents begin are its own.
 */
export function rolledOn(season: Season, next: NextSeason): Season {
	const { floors, courses, prepares, fixes = [] } = season;
	const phases = stretched(season, next);
	const open = fixes
		.filter(({ closed }) => closed === undefined)
		.map(({ game: _game, ...fix }) => fix);
	return {
		...next,
		patterns: usualDays(season),
		phases,
		targets: scaled(season.targets ?? [], season.phases ?? [], phases),
		...(floors && { floors }),
		...(courses && { courses }),
		...(prepares && { prepares }),
		...(open.length > 0 && { fixes: open }),
		follows: season.id
	};
}

/** The seasons that one goes on from, the nearest first; one that goes round in a circle ends there. */
export function followedBy(season: Season, seasons: readonly Season[]): Season[] {
	const chain: Season[] = [];
	for (
		let at = seasons.find(({ id }) => id === season.follows);
		at && at.id !== season.id && !chain.includes(at);
		at = seasons.find(({ id }) => id === at?.follows)
	)
		chain.push(at);
	return chain;
}
