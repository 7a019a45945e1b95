import { max, median, min, pairs } from 'd3-array';

/** Somebody saw a turn start or end. */
export interface Tap {
	kind: 'start' | 'end';
	/** Seconds on any clock that goes on. */
	atSeconds: number;
}

/** What real tries took, in seconds to the half; null where no try has ended, or no second has begun. */
export interface Timing {
	tries: number;
	workSeconds: number | null;
	shortSeconds: number | null;
	longSeconds: number | null;
	headwaySeconds: number | null;
}

const toHalf = (seconds: number) => Math.max(0.5, Math.round(seconds * 2) / 2);
const halved = (seconds: number | undefined) => (seconds === undefined ? null : toHalf(seconds));

/** How many turns are on at the last of the taps. */
export const turnsOn = (taps: readonly Tap[]): number =>
	taps.reduce((on, { kind }) => (kind === 'start' ? on + 1 : Math.max(0, on - 1)), 0);

/**
 * What taps at starts and ends of real tries say of a turn: a try that began first ends first, an end
 * without a start is passed over. Work and headway are medians: one stumble moves them little.
 */
export function timingOf(taps: readonly Tap[]): Timing {
	const open: number[] = [];
	const lasted: number[] = [];
	const starts: number[] = [];
	for (const { kind, atSeconds } of taps) {
		if (kind === 'start') {
			starts.push(atSeconds);
			open.push(atSeconds);
			continue;
		}
		const began = open.shift();
		if (began !== undefined) lasted.push(atSeconds - began);
	}
	return {
		tries: lasted.length,
		workSeconds: halved(median(lasted)),
		shortSeconds: halved(min(lasted)),
		longSeconds: halved(max(lasted)),
		headwaySeconds: halved(median(pairs(starts), ([one, next]) => next - one))
	};
}
