import type { Attendance } from '../model/attendance';
import type { Practice } from '../model/practice';

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
	const byPlace = new Map(rows.map((row) => [JSON.stringify([row.practice, row.person]), row]));
	return new Map(
		people.map((person) => {
			const said = held.flatMap((practice) => {
				const row = byPlace.get(JSON.stringify([practice.id, person]));
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
