import { group } from 'd3-array';
import { addDays } from '$core/conditions';
import type { Game, Season } from '$core/model/season';
import { dayOffOn, daysOfWeek, phaseOn } from '$core/season';
import type { ShownPractice } from './view';

/** A practice in the calendar, with what is shown of its plan. */
export type CalendarPractice = Omit<ShownPractice, 'summary'> & {
	summary: { plannedMinutes: number; busyShare: number; stops: number } | null;
};

/** Something on a day of the calendar. */
export type Item = { id: string; date: string } & (
	{ kind: 'practice'; practice: CalendarPractice } | { kind: 'game'; game: Game }
);

/** A day of the calendar. */
export interface CalendarDay {
	date: string;
	items: Item[];
	/** Why there is no practice; undefined on other days. */
	off?: string;
}

/** A week of the calendar, with the phase that it begins in. */
export interface CalendarWeek {
	week: number;
	phase?: string;
	days: CalendarDay[];
}

const startOf = (item: Item) =>
	item.kind === 'practice' ? item.practice.start : (item.game.start ?? '');

/** The weeks of a season with what is on each day, in order of time. */
export function calendarWeeks(
	season: Season,
	practices: readonly CalendarPractice[]
): CalendarWeek[] {
	const items: Item[] = [
		...practices.map(
			(practice) => ({ kind: 'practice', id: practice.id, date: practice.date, practice }) as const
		),
		...(season.games ?? []).map(
			(game) => ({ kind: 'game', id: game.id, date: game.date, game }) as const
		)
	];
	const byDay = group(items, ({ date }) => date);
	return Array.from({ length: season.weeks }, (_, index): CalendarWeek => {
		const { first } = daysOfWeek(season, index + 1);
		const phase = phaseOn(season, first)?.name;
		return {
			week: index + 1,
			...(phase !== undefined && { phase }),
			days: Array.from({ length: 7 }, (_day, k): CalendarDay => {
				const date = addDays(first, k);
				const off = dayOffOn(season, date)?.name;
				const own = (byDay.get(date) ?? []).toSorted((a, b) => (startOf(a) < startOf(b) ? -1 : 1));
				return { date, items: own, ...(off !== undefined && { off }) };
			})
		};
	});
}
