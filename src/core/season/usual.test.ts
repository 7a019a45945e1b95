import { describe, expect, test } from 'vitest';
import { nextFreeDay, usualOn } from '.';

const at = (date: string, facts: object = {}) => ({
	date,
	start: '18:30',
	minutes: 90,
	place: 'Pitch',
	...facts
});
// Tuesdays and Thursdays of April 2027, and one Saturday.
const practices = [
	at('2027-03-30'),
	at('2027-04-01', { start: '19:00', minutes: 75 }),
	at('2027-04-03', { start: '10:00', place: 'Beach' }),
	at('2027-04-06'),
	at('2027-04-08', { start: '19:00', minutes: 75 })
];

describe('a new practice', () => {
	test('is proposed on the next usual weekday without one', () => {
		expect(nextFreeDay(practices, '2027-04-06')).toBe('2027-04-13');
		expect(nextFreeDay(practices, '2027-04-14')).toBe('2027-04-15');
		expect(nextFreeDay([...practices, at('2027-04-13')], '2027-04-06')).toBe('2027-04-15');
	});

	test('is proposed today where nothing is usual yet, tomorrow where today is taken', () => {
		expect(nextFreeDay([], '2027-04-06')).toBe('2027-04-06');
		expect(nextFreeDay([at('2027-04-06')], '2027-04-06')).toBe('2027-04-13');
	});

	test('starts and lasts as is usual on its weekday', () => {
		expect(usualOn(practices, '2027-04-15')).toEqual({
			start: '19:00',
			minutes: 75,
			place: 'Pitch'
		});
		expect(usualOn(practices, '2027-04-13')).toMatchObject({ start: '18:30', minutes: 90 });
		expect(usualOn(practices, '2027-04-12')).toMatchObject({ place: 'Pitch' });
		expect(usualOn([], '2027-04-13')).toBeUndefined();
	});
});
