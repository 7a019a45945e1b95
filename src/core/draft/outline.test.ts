import { randomLcg } from 'd3-random';
import { describe, expect, test } from 'vitest';
import { outlineOf, USUAL, type OutlineAsked, type Part } from './outline';

const NONE: OutlineAsked['kept'] = { 'warm-up': [], work: [], game: [], end: [] };
const asked = (more: Partial<OutlineAsked> = {}): OutlineAsked => ({
	arc: 'build-up',
	minutes: 90,
	scrimmage: 18,
	leastScrimmage: 16,
	hasCoolDown: true,
	kept: NONE,
	pattern: { rounds: 1, isRoundFirst: false, rest: 'together' },
	roundMinutes: 13,
	hasUnits: false,
	limits: { warmUpMinutes: 8, waterMinutes: 20, talkMinutes: 3 },
	...more
});
const minutesIn = (parts: readonly Part[]) => parts.reduce((sum, { minutes }) => sum + minutes, 0);

/** Stretches between two drinks, without the end, which needs none before it. */
function stretches(parts: readonly Part[]): Part[][] {
	const found: Part[][] = [[]];
	for (const part of parts)
		if (part.kind === 'water') found.push([]);
		else if (part.kind !== 'cool-down') found[found.length - 1].push(part);
	return found;
}

const drinksIn = (parts: readonly Part[]) => parts.filter(({ kind }) => kind === 'water').length;

test.each(['build-up', 'play-first'] as const)(
	'90 minutes of %s are filled in few drinks',
	(arc) => {
		const parts = outlineOf(asked({ arc }));
		expect(minutesIn(parts)).toBe(90);
		// The sum of all that is no drink, each stretch full, takes so many.
		expect(drinksIn(parts)).toBe(4);
		expect(parts[0].kind).toBe('warm-up');
		expect(parts.at(-1)).toEqual({ kind: 'cool-down', minutes: USUAL.coolDown });
	}
);

describe('any minutes, rounds and limits', () => {
	test.each(Array.from({ length: 200 }, (_, seed) => seed))('are cut soundly: %i', (seed) => {
		const random = randomLcg((seed + 0.5) / 200);
		const upTo = (most: number) => Math.floor(random() * most);
		const waterMinutes = 12 + upTo(20);
		const request = asked({
			arc: random() < 0.5 ? 'build-up' : 'play-first',
			minutes: 30 + upTo(150),
			scrimmage: upTo(waterMinutes),
			leastScrimmage: 0,
			hasCoolDown: random() < 0.7,
			roundMinutes: random() < 0.7 ? 6 + upTo(8) : 0,
			hasUnits: random() < 0.3,
			limits: { warmUpMinutes: 8, waterMinutes, talkMinutes: 3 },
			pattern: {
				rounds: upTo(3),
				isRoundFirst: random() < 0.5,
				rest: random() < 0.5 ? 'together' : 'pair'
			}
		});
		const parts = outlineOf(request);
		expect(minutesIn(parts)).toBeLessThanOrEqual(request.minutes);
		for (const stretch of stretches(parts)) {
			expect(stretch.length).toBeGreaterThan(0);
			if (stretch.length > 1) expect(minutesIn(stretch)).toBeLessThanOrEqual(waterMinutes);
		}
		// No drink can be left out: what lies on both sides of it is longer than the limit, unless the minutes
		// that it would save cannot be filled with the pieces that there are.
		const kinds = parts.map((part) => (part.kind === 'work' ? part.form : part.kind));
		expect(kinds.filter((kind) => kind === 'stations').length).toBeLessThanOrEqual(
			request.pattern.rounds
		);
		const works = parts.filter(({ kind }) => kind === 'work');
		for (const { minutes } of works) expect(minutes).toBeGreaterThanOrEqual(6);
		const fewest = Math.ceil(minutesIn(stretches(parts).flat()) / waterMinutes) - 1;
		expect(drinksIn(parts)).toBeGreaterThanOrEqual(fewest);
	});
});

test('the fewest drinks: no way to cut the same parts takes fewer and fills all minutes', () => {
	for (let minutes = 60; minutes <= 120; minutes += 5) {
		const request = asked({
			minutes,
			pattern: { rounds: 1, isRoundFirst: true, rest: 'together' }
		});
		const parts = outlineOf(request);
		expect(minutesIn(parts), `${minutes} min`).toBe(minutes);
		// By hand: a warm-up of 10 and a round of 13 to 18, then pieces of 6 to 20, then a game of 16 to 18.
		const work = minutes - USUAL.coolDown;
		let fewest = Infinity;
		for (let drinks = 1; drinks <= 8 && fewest === Infinity; drinks += 1) {
			const left = work - USUAL.water * drinks;
			for (let pieces = 0; pieces <= 6; pieces += 1)
				if (isCut([[10, 10], [13, 18], ...Array(pieces).fill([6, 20]), [16, 18]], drinks, left))
					fewest = drinks;
		}
		expect(drinksIn(parts), `${minutes} min`).toBe(fewest);
	}
});

/** Whether parts of so many minutes at least and at most can fill `left` with so many drinks, tried one by one. */
function isCut(parts: [number, number][], drinks: number, left: number): boolean {
	const joints = parts.length - 1;
	for (let mask = 0; mask < 2 ** joints; mask += 1) {
		const cut = Array.from({ length: joints }, (_, k) => (mask >> k) & 1);
		if (cut.reduce((sum, one) => sum + one, 0) !== drinks) continue;
		const runs: [number, number][] = [[0, 0]];
		for (const [k, [least, most]] of parts.entries()) {
			const [low, high] = runs[runs.length - 1];
			runs[runs.length - 1] = [low + least, high + most];
			if (cut[k]) runs.push([0, 0]);
		}
		if (runs.some(([low]) => low > 20)) continue;
		const low = runs.reduce((sum, run) => sum + run[0], 0);
		const high = runs.reduce((sum, run) => sum + Math.min(20, run[1]), 0);
		if (low <= left && left <= high) return true;
	}
	return false;
}
