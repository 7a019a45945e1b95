import { describe, expect, test } from 'vitest';
import { faultIn, habitWords, saidAt, saying, sentOf, unstored, type StoredPractice } from './week';
import { speaker } from '$words';

const say = speaker(undefined);

const stored: StoredPractice[] = [
	{
		id: 'tue',
		said: {
			a: { state: 'late', minutes: 10 },
			b: { state: 'absent', reason: 'ill' },
			c: { state: 'here' }
		}
	},
	{ id: 'thu', said: { a: { state: 'here' } } }
];
const at = (practice: string, person: string) => ({ practice, person });

describe('a week of attendance', () => {
	test('sends nothing while nothing is changed, and only who was changed, with how they came before', () => {
		expect(sentOf(stored, {})).toEqual([]);
		const changes = saying(stored, {}, { at: at('tue', 'c'), set: { state: 'absent' } });
		expect(sentOf(stored, changes)).toEqual([
			{
				practice: 'tue',
				rows: [{ person: 'c', is: { state: 'absent' }, was: { state: 'here' } }]
			}
		]);
	});

	test('keeps what was typed when a state is tried and taken back, and sends none of it', () => {
		const tried = saying(stored, {}, { at: at('tue', 'a'), set: { state: 'absent' } });
		const back = saying(stored, tried, { at: at('tue', 'a'), set: { state: 'late' } });
		expect(saidAt(stored, back, at('tue', 'a'))).toEqual({
			state: 'late',
			minutes: '10',
			reason: ''
		});
		expect(sentOf(stored, back)).toEqual([]);
	});

	test('goes by what is stored now where that has changed under what is typed', () => {
		const changes = saying(stored, {}, { at: at('thu', 'a'), set: { state: 'absent' } });
		const newer = stored.with(1, { id: 'thu', said: { a: { state: 'late', minutes: 5 } } });
		expect(sentOf(newer, changes)[0].rows[0].was).toEqual({ state: 'late', minutes: 5 });
	});

	test('lets go what is stored, and keeps the rest', () => {
		const one = saying(stored, {}, { at: at('thu', 'a'), set: { state: 'absent' } });
		const two = saying(stored, one, { at: at('tue', 'c'), set: { state: 'absent' } });
		const both = { ...two, other: two.tue };
		const saved = stored.with(1, { id: 'thu', said: { a: { state: 'absent' } } });
		expect(unstored(saved, both)).toEqual({ tue: two.tue, other: two.tue });
	});

	test('finds who a refusal is about', () => {
		const one = saying(stored, {}, { at: at('thu', 'a'), set: { state: 'late' } });
		const sent = sentOf(
			stored,
			saying(stored, one, { at: at('tue', 'c'), set: { state: 'late' } })
		);
		expect(faultIn(sent, [0, 'rows', 0, 'minutes'])).toEqual(at('tue', 'c'));
		expect(faultIn(sent, [1, 'rows', 0, 'minutes'])).toEqual(at('thu', 'a'));
		expect(faultIn(sent, [1, 'rows', 7, 'minutes'])).toBeNull();
		expect(faultIn(sent, ['elsewhere'])).toBeNull();
	});
});

test('habits are told with their numbers', () => {
	const habit = { asked: 10, late: 4, absent: 1, meanLateMinutes: 8.6 };
	expect(habitWords(habit, say)).toBe('late 4 of 10, about 9 min · absent 1');
	expect(habitWords({ ...habit, late: 0, absent: 0 }, say)).toBe('always there, 10 of 10');
	expect(habitWords({ ...habit, asked: 0 }, say)).toBe('');
});
