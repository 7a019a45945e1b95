import { describe, expect, test } from 'vitest';
import {
	faultIn,
	habitWords,
	ON_TIME,
	saying,
	sentOf,
	weekOfStored,
	type StoredPractice
} from './week';

const stored: StoredPractice[] = [
	{
		id: 'tue',
		said: {
			a: { state: 'late', minutes: 10 },
			b: { state: 'absent', reason: 'ill' }
		}
	},
	{ id: 'thu', said: {} }
];

describe('a week of attendance', () => {
	test('is sent as it was stored while nothing is typed', () => {
		expect(sentOf(weekOfStored(stored))).toEqual([
			{
				practice: 'tue',
				rows: [
					{ person: 'a', state: 'late', minutes: 10 },
					{ person: 'b', state: 'absent', reason: 'ill' }
				]
			},
			{ practice: 'thu', rows: [] }
		]);
	});

	test('keeps what was typed when a state is tried and taken back', () => {
		const at = { practice: 'tue', person: 'a' };
		const week = weekOfStored(stored);
		const tried = saying(week, at, { state: 'absent' });
		expect(saying(tried, at, { state: 'late' })).toEqual(week);
		expect(week.tue.a).toEqual({ ...ON_TIME, state: 'late', minutes: '10' });
		const onTime = saying(week, at, { state: 'comes' });
		expect(sentOf(onTime)).toMatchObject([{ rows: [{ person: 'b' }] }, { rows: [] }]);
	});

	test('finds who a refusal is about, those on time left out', () => {
		const week = saying(weekOfStored(stored), { practice: 'thu', person: 'c' }, { state: 'comes' });
		const late = saying(week, { practice: 'thu', person: 'd' }, { state: 'late' });
		expect(faultIn(late, '[0].rows[1].reason')).toEqual({ practice: 'tue', person: 'b' });
		expect(faultIn(late, '[1].rows[0].minutes')).toEqual({ practice: 'thu', person: 'd' });
		expect(faultIn(late, '[1].rows[7].minutes')).toBeNull();
		expect(faultIn(late, 'elsewhere')).toBeNull();
	});
});

test('habits are told with their numbers', () => {
	const habit = { asked: 10, late: 4, absent: 1, meanLateMinutes: 8.6 };
	expect(habitWords(habit)).toBe('late 4 of 10, 9 min about · absent 1');
	expect(habitWords({ ...habit, late: 0, absent: 0 })).toBe('always there, 10 of 10');
	expect(habitWords({ ...habit, asked: 0 })).toBe('');
});
