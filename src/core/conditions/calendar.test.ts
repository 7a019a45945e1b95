import fc from 'fast-check';
import { expect, test } from 'vitest';
import { addDays, clockAt, dayAt, isTimeZone, weekdayOf } from '.';

test('the day is that of the time zone: on one instant two days can be it', () => {
	const instant = Date.parse('2027-04-06T22:30:00Z');
	expect(dayAt(instant, 'UTC')).toBe('2027-04-06');
	expect(dayAt(instant, 'Europe/London')).toBe('2027-04-06');
	expect(dayAt(instant, 'Pacific/Auckland')).toBe('2027-04-07');
	expect(dayAt(Date.parse('2027-04-06T04:00:00Z'), 'America/New_York')).toBe('2027-04-06');
	expect(dayAt(Date.parse('2027-04-06T03:59:59Z'), 'America/New_York')).toBe('2027-04-05');
});

test('days are counted over months, years and changes of the clock', () => {
	expect(addDays('2027-03-27', 2)).toBe('2027-03-29');
	expect(addDays('2028-02-28', 1)).toBe('2028-02-29');
	expect(addDays('2027-01-01', -1)).toBe('2026-12-31');
	fc.assert(
		fc.property(fc.integer({ min: -4000, max: 4000 }), (days) => {
			const day = addDays('2027-04-05', days);
			expect(addDays(day, -days)).toBe('2027-04-05');
			expect(weekdayOf(day)).toBe((((days % 7) + 7) % 7) + 1);
		}),
		{ seed: 5 }
	);
});

test('clock times go on after midnight, and names of no zone are none', () => {
	expect(clockAt('23:50', 1200)).toBe('00:10');
	expect([isTimeZone('Europe/London'), isTimeZone('Moon/Sea')]).toEqual([true, false]);
});
