import { rollups } from 'd3-array';
import { addDays, weekdayOf } from '../conditions';
import type { Practice } from '../model/practice';

/** What is usual of a practice: when it starts, how long it lasts, where it is. */
export type PracticeFacts = Pick<Practice, 'date' | 'start' | 'minutes' | 'place' | 'groundId'>;

/** Practices that tell what is usual: the latest ones. */
const TOLD_BY = 12;
/** Days ahead in which a free one is looked for. */
const DAYS_AHEAD = 120;

/** The value that comes most often; of equals the one that came last. Undefined for none. */
function mostOften<Value>(values: readonly Value[]): Value | undefined {
	const counts = rollups(
		values,
		(own) => own.length,
		(value) => value
	);
	let best: (typeof counts)[number] | undefined;
	for (const count of counts) if (!best || count[1] >= best[1]) best = count;
	return best?.[0];
}

/** Weekdays on which a team practises, Monday 1: those of its latest practices that came twice, or all. */
function usualWeekdays(practices: readonly PracticeFacts[]): Set<number> {
	const days = practices.slice(-TOLD_BY).map(({ date }) => weekdayOf(date));
	const twice = days.filter((day, index) => days.indexOf(day) !== index);
	return new Set(twice.length > 0 ? twice : days);
}

/**
 * The next day without a practice from `today` on, on one of the team's usual weekdays; any weekday where
 * it has no practice yet. `practices` are in order of time; days that are `off` are passed over.
 */
export function nextFreeDay(
	practices: readonly PracticeFacts[],
	today: string,
	off: (day: string) => boolean = () => false
): string {
	const taken = new Set(practices.map(({ date }) => date));
	const weekdays = usualWeekdays(practices);
	const days = Array.from({ length: DAYS_AHEAD }, (_, index) => addDays(today, index));
	const free = days.filter((day) => !taken.has(day) && !off(day));
	return free.find((day) => weekdays.has(weekdayOf(day))) ?? free[0] ?? today;
}

/**
 * What is usual for a practice on a day: of the latest practices on its weekday, or of all where there is
 * none on it. Undefined for a team without practices, which are in order of time.
 */
export function usualOn(
	practices: readonly PracticeFacts[],
	day: string
): Omit<PracticeFacts, 'date'> | undefined {
	const latest = practices.slice(-TOLD_BY);
	const same = latest.filter(({ date }) => weekdayOf(date) === weekdayOf(day));
	const own = same.length > 0 ? same : latest;
	const last = own.at(-1);
	if (!last) return undefined;
	const place = mostOften(own.map((practice) => practice.place)) ?? last.place;
	const groundId = own.findLast((practice) => practice.place === place)?.groundId;
	return {
		start: mostOften(own.map(({ start }) => start)) ?? last.start,
		minutes: mostOften(own.map(({ minutes }) => minutes)) ?? last.minutes,
		place,
		...(groundId !== undefined && { groundId })
	};
}
