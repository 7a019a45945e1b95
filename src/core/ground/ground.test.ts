import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { Ground, Zone } from '../model/team';
import {
	CORNERS,
	dividedZones,
	freeName,
	guidesOf,
	halfOverlaps,
	LEAST_SIDE,
	movedZone,
	resizedZone,
	smallestZones,
	snapped,
	zonesBeside
} from '.';

const zone = (id: string, [x, y, length, width]: number[]): Zone => ({
	id,
	name: id.toUpperCase(),
	x,
	y,
	length,
	width
});
const groundOf = (...zones: Zone[]): Ground => ({
	id: 'g',
	name: 'Ground',
	length: 55,
	width: 45.7,
	markings: [
		{
			line: [
				[0, 22.9],
				[55, 22.9]
			]
		},
		{ centre: [10, 10], radius: 3, from: 0, to: 360 }
	],
	zones
});

describe('snapping', () => {
	test('takes markings, outline and other zones before whole metres', () => {
		const ground = groundOf(zone('a', [0, 0, 18.33, 22.85]), zone('b', [30, 30, 5, 5]));
		const { x, y } = guidesOf(ground, 'b');
		expect(x).toEqual([0, 18.33, 27.5, 55]);
		expect(y).toContain(22.9);
		expect(snapped(18.7, x)).toBe(18.33);
		expect(snapped(19.2, x)).toBe(19);
		expect(movedZone(ground, ground.zones[1], { x: -11.8, y: 0 })).toMatchObject({
			x: 18.33,
			y: 30
		});
		// Its far edge comes to the outline.
		expect(movedZone(ground, ground.zones[1], { x: 19.6, y: 10.5 })).toMatchObject({
			x: 50,
			y: 40.7
		});
	});

	test('keeps the opposite corner where it is, and a side of a metre at least', () => {
		const whole = (most: number) => fc.integer({ min: 0, max: most });
		fc.assert(
			fc.property(
				fc.tuple(whole(40), whole(30), fc.integer({ min: 1, max: 14 }), whole(13)),
				fc.constantFrom(...CORNERS),
				fc.tuple(fc.double({ min: -60, max: 60 }), fc.double({ min: -60, max: 60 })),
				([x, y, length, more], corner, [dx, dy]) => {
					const own = zone('a', [x, y, length, more + 1]);
					const next = resizedZone(groundOf(own), own, corner, {
						x: Number.isNaN(dx) ? 0 : dx,
						y: Number.isNaN(dy) ? 0 : dy
					});
					const fixed = (each: Zone) => [
						corner.along === 'far' ? each.x : each.x + each.length,
						corner.across === 'far' ? each.y : each.y + each.width
					];
					for (const [k, value] of fixed(next).entries())
						expect(value).toBeCloseTo(fixed(own)[k], 1);
					expect(Math.min(next.length, next.width)).toBeGreaterThanOrEqual(LEAST_SIDE - 0.011);
				}
			),
			{ seed: 5 }
		);
	});
});

test('a division covers its rectangle without gaps or overlaps, with new names', () => {
	const ground = groundOf(zone('a', [0, 0, 5, 5]));
	let made = 0;
	const zones = dividedZones(
		ground,
		{ x: 0, y: 0, length: 55, width: 45.7 },
		{ along: 3, across: 2, makeId: () => `z${(made += 1)}` }
	);
	expect(zones.map(({ name }) => name)).toEqual(['B', 'C', 'D', 'E', 'F', 'G']);
	const area = zones.reduce((sum, { length, width }) => sum + length * width, 0);
	expect(area).toBeCloseTo(55 * 45.7, 0);
	const shared = halfOverlaps({ ...ground, zones }).reduce((sum, [, , both]) => sum + both, 0);
	expect(shared).toBeLessThan(0.5);
	expect(freeName(groundOf())).toBe('A');
});

test('zones beside one are told by how they lie to it', () => {
	const ground = groundOf(
		zone('a', [0, 0, 10, 10]),
		zone('half', [0, 0, 20, 10]),
		zone('part', [2, 2, 3, 3]),
		zone('slip', [9, 5, 4, 20]),
		zone('next', [10, 0, 4, 4]),
		zone('close', [13, 13, 4, 4]),
		zone('far', [40, 0, 5, 5])
	);
	const beside = zonesBeside(ground, ground.zones[0], 4.5);
	expect(beside.map(({ zone: { id }, how }) => [id, how])).toEqual([
		['half', 'around'],
		['part', 'within'],
		['slip', 'overlaps'],
		['next', 'near'],
		['close', 'near']
	]);
	expect(beside[2].shared).toBeCloseTo(5, 6);
	expect(beside[4].gap).toBeCloseTo(Math.hypot(3, 3), 6);
	expect(smallestZones(ground).map(({ id }) => id)).toEqual([
		'part',
		'slip',
		'next',
		'close',
		'far'
	]);
	expect(halfOverlaps(ground).map(([one, other]) => `${one.id} ${other.id}`)).toEqual([]);
	const moved = { zones: [...ground.zones, zone('odd', [41, 2, 9, 9])] };
	expect(halfOverlaps(moved).map(([one, other]) => `${one.id} ${other.id}`)).toEqual(['far odd']);
});
