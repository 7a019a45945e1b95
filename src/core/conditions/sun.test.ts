import { describe, expect, test } from 'vitest';
import { demoContext } from '../../../tests/support/demo';
import { compassName, instantOf, sunOver } from '.';

const at = (date: string, clock: string, timeZone: string) =>
	new Date(instantOf({ date, clock, timeZone })).toISOString();

describe('instantOf', () => {
	test('reads a local clock, summer and winter, east and west', () => {
		expect(at('2027-03-27', '18:30', 'Europe/London')).toBe('2027-03-27T18:30:00.000Z');
		expect(at('2027-03-28', '18:30', 'Europe/London')).toBe('2027-03-28T17:30:00.000Z');
		expect(at('2027-01-01', '09:00', 'Pacific/Auckland')).toBe('2026-12-31T20:00:00.000Z');
		expect(at('2027-07-01', '20:00', 'America/St_Johns')).toBe('2027-07-01T22:30:00.000Z');
	});

	test('of an hour that comes twice takes the first, and goes on through one that is skipped', () => {
		expect(at('2027-10-31', '01:30', 'Europe/London')).toBe('2027-10-31T00:30:00.000Z');
		expect(at('2027-03-28', '01:30', 'Europe/London')).toBe('2027-03-28T01:30:00.000Z');
	});
});

describe('sunOver', () => {
	const { ground } = demoContext();
	const moment = { date: '2027-04-06', clock: '18:30', timeZone: 'Europe/London' };

	test('stands in the south at its highest, and sets in the west in April', () => {
		const noon = sunOver(ground, { ...moment, clock: '12:58' });
		expect(noon?.bearing).toBeCloseTo(180, -0.7);
		// Ninety degrees less the latitude, and the sun's declination of about six and a half.
		expect(noon?.height).toBeCloseTo(90 - 52.9 + 6.5, 0);
		const evening = sunOver(ground, moment);
		expect(evening?.height).toBeGreaterThan(0);
		expect(evening?.height).toBeLessThan(15);
		expect(compassName(evening?.bearing ?? 0)).toBe('west');
		expect(sunOver(ground, { ...moment, minutes: 90 })?.height).toBeLessThan(0);
	});

	test('turns with the ground, and says nothing under a roof or where the place is not known', () => {
		const north = sunOver({ ...ground, bearing: 0 }, moment);
		const east = sunOver({ ...ground, bearing: 90 }, moment);
		expect(((north?.angle ?? 0) - (east?.angle ?? 0) + 360) % 360).toBeCloseTo(90, 6);
		expect(sunOver({ ...ground, indoors: true }, moment)).toBeNull();
		expect(sunOver({ ...ground, place: undefined }, moment)).toBeNull();
	});
});
