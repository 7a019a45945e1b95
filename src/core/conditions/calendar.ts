import { UTCDate } from '@date-fns/utc';
import { TZDate } from '@date-fns/tz';
import {
	addDays as daysLater,
	addSeconds,
	differenceInCalendarDays,
	format,
	formatISO,
	getISODay
} from 'date-fns';

const asDay = (date: Date) => formatISO(date, { representation: 'date' });

/** The day of the calendar in an IANA time zone at an instant, in milliseconds since 1970. */
export const dayAt = (instant: number, timeZone: string): string =>
	asDay(new TZDate(instant, timeZone));

/** The day so many days after another, before it where negative. */
export const addDays = (day: string, days: number): string =>
	asDay(daysLater(new UTCDate(day), days));

/** How many days one day is after another; below 0 where it is before. */
export const daysBetween = (from: string, to: string): number =>
	differenceInCalendarDays(new UTCDate(to), new UTCDate(from));

/** The weekday of a day, Monday 1 to Sunday 7. */
export const weekdayOf = (day: string): number => getISODay(new UTCDate(day));

/** Whether there is a time zone of this IANA name. */
export const isTimeZone = (name: string): boolean =>
	!Number.isNaN(new TZDate(0, name).getTimezoneOffset());

/** Clock time of a second of the practice, `18:45`. */
export const clockAt = (start: string, second: number): string =>
	format(addSeconds(new UTCDate(`1970-01-01T${start}:00Z`), second), 'HH:mm');

/** A day as it is said, `14 April 2027`. */
export const dayName = (day: string): string => format(new UTCDate(day), 'd MMMM yyyy');
