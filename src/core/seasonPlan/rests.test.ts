import { expect, test } from 'vitest';
import { Rests } from './rests';

const line = { last: 0, times: 0, from: 0, ends: 100, isAsked: true };
/** What rests over what it may, and the longest rest, when one thing comes on some days of sixty. */
function restOf(thing: typeof line | null, days: readonly number[]) {
	const rests = new Rests([thing]);
	rests.restart();
	for (const day of days) rests.come(0, day);
	rests.end(60);
	return [rests.over, rests.longest];
}

test('a thing may rest 4 days at first, then half as long again each time, 28 at most', () => {
	expect(restOf(line, [4, 8, 14, 23, 36, 56])).toEqual([0, 20]);
	expect(restOf(line, [5, 9, 15, 24, 37, 57])).toEqual([1, 20]);
	expect(restOf({ ...line, times: 20 }, [28, 56])).toEqual([0, 28]);
	expect(restOf({ ...line, times: 20 }, [29, 57])).toEqual([1, 29]);
});

test('twice on a day is once', () => {
	expect(restOf(line, [4, 4, 4, 4, 4])).toEqual(restOf(line, [4]));
});

test('what is not asked for rests once it has come; what is asked for no more stops resting', () => {
	const stage = { ...line, isAsked: false };
	expect(restOf(stage, [])).toEqual([0, 0]);
	expect(restOf(stage, [10])).toEqual([46, 50]);
	expect(restOf({ ...line, ends: 30 }, [4])).toEqual([22, 26]);
	expect(restOf(null, [10])).toEqual([0, 0]);
});

test('a second plan is counted from where the first began', () => {
	const rests = new Rests([line]);
	for (const days of [[2], [2]]) {
		rests.restart();
		for (const day of days) rests.come(0, day);
		rests.end(10);
		expect(rests.over).toBe(4);
	}
});
