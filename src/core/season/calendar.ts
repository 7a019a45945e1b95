import { addDays, weekdayOf } from '../conditions';
import type { DayOff, Pattern, Phase, Season, Target } from '../model/season';

/** The last day of a season, included. */
export const lastDayOf = ({ firstDay, weeks }: Pick<Season, 'firstDay' | 'weeks'>): string =>
	addDays(firstDay, 7 * weeks - 1);

/** The first and the last day of a week of a season, counted from 1. */
export const daysOfWeek = (
	{ firstDay }: Pick<Season, 'firstDay'>,
	week: number
): { first: string; last: string } => ({
	first: addDays(firstDay, 7 * (week - 1)),
	last: addDays(firstDay, 7 * week - 1)
});

const holds = ({ firstDay, lastDay }: { firstDay: string; lastDay: string }, day: string) =>
	firstDay <= day && day <= lastDay;

/** The phase that holds on a day; undefined where none does. */
export const phaseOn = ({ phases = [] }: Pick<Season, 'phases'>, day: string): Phase | undefined =>
	phases.find((phase) => holds(phase, day));

/** The days off that a day is one of; undefined on other days. */
export const dayOffOn = (
	{ daysOff = [] }: Pick<Season, 'daysOff'>,
	day: string
): DayOff | undefined => daysOff.find((off) => holds(off, day));

/** A practice that a pattern asks for. */
export interface PatternSlot extends Pick<Pattern, 'start' | 'minutes' | 'place' | 'groundId'> {
	/** The day and the start, which name it: `2027-04-06 18:30`. */
	slot: string;
	date: string;
}

/** Practices that the patterns of a season ask for from a day on, in order of time; none on days off. */
export function patternSlots(season: Season, from = season.firstDay): PatternSlot[] {
	const { patterns = [], firstDay } = season;
	const last = lastDayOf(season);
	const slots = new Map<string, PatternSlot>();
	const begin = from > firstDay ? from : firstDay;
	for (let date = begin; date <= last; date = addDays(date, 1)) {
		if (dayOffOn(season, date)) continue;
		for (const pattern of patterns) {
			const { weekdays, start, minutes, place, groundId } = pattern;
			const when = { firstDay: pattern.firstDay ?? firstDay, lastDay: pattern.lastDay ?? last };
			if (!weekdays.includes(weekdayOf(date)) || !holds(when, date)) continue;
			const slot = `${date} ${start}`;
			slots.set(slot, {
				slot,
				...{ date, start, minutes, place },
				...(groundId !== undefined && { groundId })
			});
		}
	}
	return [...slots.values()].sort((a, b) => (a.slot < b.slot ? -1 : 1));
}

/**
 * Slots of the patterns that no practice stands for yet: none was made for it, wherever it has moved to, and
 * none is on that day at that time.
 */
export function openSlots(
	season: Season,
	practices: readonly { date: string; start: string; slot: string | null }[],
	from: string
): PatternSlot[] {
	const taken = new Set(practices.flatMap(({ date, start, slot }) => [`${date} ${start}`, slot]));
	return patternSlots(season, from).filter(({ slot }) => !taken.has(slot));
}

/** A target as a stretch of days. */
export interface DatedTarget {
	from: string;
	to: string;
	minutes: number;
}

/** The targets of a skill, for everyone or a unit, as stretches of days; those of phases that are gone are left out. */
export const targetsOf = (
	{ targets = [], phases = [] }: Pick<Season, 'targets' | 'phases'>,
	{ skill, unit }: Pick<Target, 'skill' | 'unit'>
): DatedTarget[] =>
	targets.flatMap((target) => {
		const phase = phases.find(({ id }) => id === target.phase);
		if (!phase || target.skill !== skill || target.unit !== unit) return [];
		return [{ from: phase.firstDay, to: phase.lastDay, minutes: target.minutes }];
	});
