import { group } from 'd3-array';
import { daysBetween } from '../conditions';
import type { Attendance } from '../model/attendance';
import type { Practice } from '../model/practice';

/** How somebody comes to a practice, or came. */
export type Coming = Pick<Attendance, 'state' | 'minutes' | 'reason'>;

/** Those of a practice who come, and when. */
type Planned = Pick<Practice, 'expected' | 'adults' | 'late'>;

/**
 * How everyone of `people` comes to a practice; nobody is left out. Of one that is to come its plan says
 * it, and rows only why; of one that was held the rows say it, and its plan of whom there is no row. Who
 * was not planned with has `absent`.
 */
export function comingTo(
	people: readonly string[],
	{ practice, isHeld }: { practice: Planned; isHeld: boolean },
	rows: ReadonlyMap<string, Attendance>
): Map<string, Coming> {
	const planned = new Set([...practice.expected, ...practice.adults]);
	return new Map(
		people.map((id): [string, Coming] => {
			const row = rows.get(id);
			if (isHeld && row) return [id, without(row)];
			const reason = row?.reason !== undefined && { reason: row.reason };
			if (!planned.has(id)) return [id, { state: 'absent', ...reason }];
			const minutes = practice.late?.[id];
			return [
				id,
				minutes === undefined ? { state: 'here' } : { state: 'late', minutes, ...reason }
			];
		})
	);
}

/**
 * How many of the days on which somebody came lie behind their last stretch away of so many days or more, up to a
 * day: they build up anew after it.
 */
export function sinceAway(dates: readonly string[], day: string, awayDays: number): number {
	const sorted = dates.toSorted();
	let count = 0;
	for (const [index, date] of sorted.entries()) {
		const next = sorted[index + 1] ?? day;
		count = daysBetween(date, next) > awayDays ? 0 : count + 1;
	}
	return count;
}

const without = ({ practice: _practice, person: _person, ...coming }: Attendance): Coming => coming;

/** A practice with those who come, and when, as it is said of everyone; others are left as they are. */
export function withComing<Of extends Planned>(
	practice: Of,
	coming: ReadonlyMap<string, Coming>,
	adults: ReadonlySet<string>
): Of {
	const comes = (id: string) => (coming.get(id)?.state ?? 'here') !== 'absent';
	const others = [...coming.keys()].filter(comes);
	const join = (planned: readonly string[], isOne: (id: string) => boolean) => [
		...planned.filter(comes),
		...others.filter((id) => isOne(id) && !planned.includes(id))
	];
	const late = Object.entries(practice.late ?? {}).filter(([id]) => !coming.has(id));
	for (const [id, { state, minutes }] of coming)
		if (state === 'late' && minutes !== undefined) late.push([id, minutes]);
	const { late: _before, ...rest } = practice;
	return {
		...(rest as Of),
		expected: join(practice.expected, (id) => !adults.has(id)),
		adults: join(practice.adults, (id) => adults.has(id)),
		...(late.length > 0 && { late: Object.fromEntries(late) })
	};
}

/** How somebody has come to the practices that were held. */
export interface Habit {
	/** Practices that they were to come to. */
	asked: number;
	late: number;
	absent: number;
	/** Of the times that they were late; 0 for never. */
	meanLateMinutes: number;
	/** Late at least twice, and at a third or more of the practices that they came to. */
	isUsuallyLate: boolean;
}

const USUAL_SHARE = 1 / 3;
const USUAL_TIMES = 2;

/** Whether somebody was to come to a practice: was expected, or something was said of it. */
function isAsked(
	person: string,
	{ expected, adults }: Pick<Practice, 'expected' | 'adults'>,
	row: Attendance | undefined
): boolean {
	return row !== undefined || expected.includes(person) || adults.includes(person);
}

/** The habits of people over practices that were held, by id. */
export function habitsOf(
	people: readonly string[],
	held: readonly Pick<Practice, 'id' | 'expected' | 'adults'>[],
	rows: readonly Attendance[]
): Map<string, Habit> {
	const byPerson = group(rows, ({ person }) => person);
	return new Map(
		people.map((person) => {
			const own = new Map(byPerson.get(person)?.map((row) => [row.practice, row]));
			const said = held.flatMap((practice) => {
				const row = own.get(practice.id);
				return isAsked(person, practice, row) ? [row ?? null] : [];
			});
			const late = said.flatMap((row) => (row?.state === 'late' ? [row.minutes ?? 0] : []));
			const absent = said.filter((row) => row?.state === 'absent').length;
			const came = said.length - absent;
			return [
				person,
				{
					asked: said.length,
					late: late.length,
					absent,
					meanLateMinutes:
						late.length > 0 ? late.reduce((sum, each) => sum + each, 0) / late.length : 0,
					isUsuallyLate: late.length >= USUAL_TIMES && late.length >= came * USUAL_SHARE
				}
			];
		})
	);
}
