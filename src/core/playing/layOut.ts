import type { Drill } from '../model/drill';

/** Seconds in which players leave one drill and stand together for the next. */
const GATHERED = 15;

/**
 * Seconds of a drill's own time in which it can still be laid out: while players gather and listen, where one adult
 * talks and others have their hands free; 0 where nobody has.
 */
export const laidOutMeanwhile = (
	{ explainSeconds = 0, setup }: Pick<Drill, 'explainSeconds' | 'setup'>,
	adults: number
): number => (adults > (setup?.adults ?? 1) ? GATHERED + explainSeconds : 0);
