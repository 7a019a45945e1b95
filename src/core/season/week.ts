import { UTCDate } from '@date-fns/utc';
import { differenceInCalendarDays } from 'date-fns';
import type { Season } from '../model/team';

/** The week of a season that a day lies in, counted from 1. */
export function weekOf({ firstDay }: Pick<Season, 'firstDay'>, day: string): number {
	return Math.floor(differenceInCalendarDays(new UTCDate(day), new UTCDate(firstDay)) / 7) + 1;
}
