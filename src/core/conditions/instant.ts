import { TZDate } from '@date-fns/tz';
import { addMinutes, format, subHours } from 'date-fns';

/**
 * The instant, in milliseconds since 1970, at which a clock in an IANA time zone shows `clock` on `date`,
 * `minutes` later. Of an hour that comes twice the first; one that is skipped counts on from before.
 */
export function instantOf(
	{ date, clock, timeZone }: { date: string; clock: string; timeZone: string },
	minutes = 0
): number {
	const [year, month, day] = date.split('-').map(Number);
	const [hour, minute] = clock.split(':').map(Number);
	const shown = new TZDate(year, month - 1, day, hour, minute, 0, 0, timeZone);
	// Where the hour comes twice the library takes the second.
	const before = subHours(shown, 1);
	const isTwice = format(before, 'HH:mm') === format(shown, 'HH:mm');
	return addMinutes(isTwice ? before : shown, minutes).getTime();
}
