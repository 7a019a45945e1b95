/** Talk is spread over about this many seconds of a block at a time. */
const STOP_EVERY_SECONDS = 240;

/** A stretch of a climb on the clock: running time with talk spread over it. */
export interface Stretch {
	fromSecond: number;
	runSeconds: number;
	/** Running seconds between two stops. */
	partSeconds: number;
	stops: number;
	stopSeconds: number;
}

/** The stretch of `seconds` from a second of the practice on, `stopShare` of it talk. */
export function cutStretch(fromSecond: number, seconds: number, stopShare: number): Stretch {
	const runSeconds = seconds * (1 - stopShare);
	const stops = stopShare > 0 ? Math.max(1, Math.round(seconds / STOP_EVERY_SECONDS)) : 0;
	return {
		fromSecond,
		runSeconds,
		partSeconds: runSeconds / (stops + 1),
		stops,
		stopSeconds: stops > 0 ? (seconds * stopShare) / stops : 0
	};
}

/** How many times the coach has stopped the drill by a second of running time. */
export function stopsBefore({ partSeconds, stops }: Stretch, second: number): number {
	return stops === 0 ? 0 : Math.min(stops, Math.floor((second + 1e-9) / partSeconds));
}

/** The second of the practice at which a second of running time begins. */
export function onClock(stretch: Stretch, second: number): number {
	return stretch.fromSecond + stopsBefore(stretch, second) * stretch.stopSeconds + second;
}
