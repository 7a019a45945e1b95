/** How far a search is after a piece of work. */
export interface Found<Output> {
	/** The best so far. */
	best: Output;
	/** Nothing better can be found. */
	done: boolean;
}

/** A search that reports its best after each piece of work, at least once: until it is done, or for ever. */
export type Search<Output> = Iterator<Found<Output>, void>;

/** How long a search may go on, by a clock that the caller holds. */
export interface SearchTime {
	/** Milliseconds of a clock that never goes back. */
	now(): number;
	seconds: number;
	/** Milliseconds of work between two reports; the whole time at once where it is not said. */
	slice?: number;
}

/** What is told between two slices of work: the best so far, and the share of the seconds that are over. */
export interface Progress<Output> {
	best: Output;
	share: number;
}

/** Works until a moment, or until the search is over; gives its last report. */
function workUntil<Output>(
	search: Search<Output>,
	{ now }: SearchTime,
	end: number
): Found<Output> {
	for (;;) {
		const next = search.next();
		if (next.done) throw new Error('a search reports that it is done before it ends');
		if (next.value.done || now() >= end) return next.value;
	}
}

/**
 * Drives a search, in slices, until it is done or its seconds are over, and gives the best. Whoever drives
 * this hears how far it is after each slice and may end it there: the last `best` is the answer then.
 */
export function* runSearch<Output>(
	search: Search<Output>,
	time: SearchTime
): Generator<Progress<Output>, Output> {
	const start = time.now();
	const whole = time.seconds * 1000;
	for (;;) {
		const end = Math.min(start + whole, time.now() + (time.slice ?? whole));
		const { best, done } = workUntil(search, time, end);
		const share = whole > 0 ? Math.min(1, (time.now() - start) / whole) : 1;
		yield { best, share };
		if (done || share >= 1) return best;
	}
}

/** Drives a search to its end without a pause; gives the best. */
export function bestWithin<Output>(
	search: Search<Output>,
	time: Omit<SearchTime, 'slice'>
): Output {
	const run = runSearch(search, time);
	for (;;) {
		const next = run.next();
		if (next.done) return next.value;
	}
}
