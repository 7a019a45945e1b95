import { expect, test } from 'vitest';
import { bestWithin, runSearch, type Found } from './search';

/** A search whose best is how often it has worked; every piece of work takes a millisecond of the clock. */
function counting(doneAt = Infinity) {
	let count = 0;
	const search = {
		next: () => {
			count += 1;
			return { value: { best: count, done: count >= doneAt } satisfies Found<number> };
		}
	};
	return { search, now: () => count };
}

test('works in slices until the seconds are over, and says how far it is', () => {
	const { search, now } = counting();
	const run = runSearch(search, { now, seconds: 0.1, slice: 25 });
	const reports = [...Array(4)].map(() => run.next().value);
	expect(reports).toEqual([
		{ best: 25, share: 0.25 },
		{ best: 50, share: 0.5 },
		{ best: 75, share: 0.75 },
		{ best: 100, share: 1 }
	]);
	expect(run.next()).toEqual({ done: true, value: 100 });
});

test('ends when nothing better can be found, and reports at least once', () => {
	const { search, now } = counting(7);
	expect(bestWithin(search, { now, seconds: 60 })).toBe(7);
	const hurried = counting();
	expect(bestWithin(hurried.search, { now: hurried.now, seconds: 0 })).toBe(1);
});
