import { daysBetween } from '../conditions';
import type { Season } from '../model/season';

/** The week of a season that a day lies in, counted from 1. */
export const weekOf = ({ firstDay }: Pick<Season, 'firstDay'>, day: string): number =>
	Math.floor(daysBetween(firstDay, day) / 7) + 1;
