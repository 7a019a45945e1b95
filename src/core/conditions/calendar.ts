import { shownAt } from './instant';

const DAY = 24 * 60 * 60 * 1000;

/** The day of the calendar in an IANA time zone at an instant, in milliseconds since 1970. */
export function dayAt(instant: number, timeZone: string): string {
	return new Date(shownAt(instant, timeZone)).toISOString().slice(0, 10);
}

/** The day so many days after another, before it where negative. */
export function addDays(day: string, days: number): string {
	return new Date(Date.parse(day) + days * DAY).toISOString().slice(0, 10);
}

/** The weekday of a day, Monday 1 to Sunday 7. */
export function weekdayOf(day: string): number {
	return new Date(Date.parse(day)).getUTCDay() || 7;
}

/** Whether there is a time zone of this IANA name. */
export function isTimeZone(name: string): boolean {
	try {
		new Intl.DateTimeFormat('en', { timeZone: name });
		return true;
	} catch {
		return false;
	}
}

/** Clock time of a second of the practice, `18:45`. */
export function clockAt(start: string, second: number): string {
	const [hours, minutes] = start.split(':').map(Number);
	const total = hours * 60 + minutes + Math.floor(second / 60);
	const two = (value: number) => String(value).padStart(2, '0');
	return `${two(Math.floor(total / 60) % 24)}:${two(total % 60)}`;
}

/** A day as it is said, `14 April 2027`. */
export const dayName = (day: string): string =>
	new Intl.DateTimeFormat('en-GB', { dateStyle: 'long', timeZone: 'UTC' }).format(Date.parse(day));
