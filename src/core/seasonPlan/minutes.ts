import type { Item, Task } from './task';

/** A game has no more minutes than this in a practice. */
export const MOST_GAME = 20;
/** A drill has no less than this, and a daily one as little as this. */
export const LEAST_MINUTES = 6;
export const DAILY_MINUTES = 5;

/** The fewest minutes of a drill where it is run. */
export const leastOf = ({ ladders }: Task, drill: number): number =>
	ladders[drill].isDaily ? DAILY_MINUTES : LEAST_MINUTES;

/** The most minutes of a drill in a practice. */
export const mostOf = ({ ladders }: Task, drill: number): number => ladders[drill].most;

/** Minutes of a brief. */
export const minutesIn = (brief: readonly Item[]): number => {
	let minutes = 0;
	for (const item of brief) minutes += item.minutes;
	return minutes;
};
