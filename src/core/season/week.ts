import type { Season } from '../model/team';

const DAY = 24 * 60 * 60 * 1000;

/** The week of a season that a day lies in, counted from 1. */
export function weekOf({ firstDay }: Pick<Season, 'firstDay'>, day: string): number {
	return Math.floor((Date.parse(day) - Date.parse(firstDay)) / (7 * DAY)) + 1;
}
