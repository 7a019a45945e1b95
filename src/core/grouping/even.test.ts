import { describe, expect, test } from 'vitest';
import { demoContext } from '../../../tests/support/demo';
import { evenGroups, unevenness } from '.';

const { players } = demoContext();

/** The least unevenness over all ways to split few players in two: slow and sure. */
function bestOfAll(few: typeof players, size: number) {
	let best = Infinity;
	for (let mask = 0; mask < 2 ** few.length; mask += 1) {
		const inFirst = few.filter((_, k) => mask & (2 ** k));
		if (inFirst.length !== size) continue;
		best = Math.min(
			best,
			unevenness([inFirst, few.filter((player) => !inFirst.includes(player))]).skills
		);
	}
	return best;
}

describe('evenGroups', () => {
	test('puts everyone into one group of the sizes asked for', () => {
		const groups = evenGroups(players, [6, 6, 6, 6]);
		expect(groups.map((group) => group.length)).toEqual([6, 6, 6, 6]);
		expect(new Set(groups.flat()).size).toBe(players.length);
	});

	test('finds the most even split that there is of ten players in two', () => {
		for (const start of [0, 5, 10, 14]) {
			const few = players.slice(start, start + 10);
			expect(unevenness(evenGroups(few, [5, 5])).skills).toBeCloseTo(bestOfAll(few, 5), 9);
		}
	});

	test('gives the same groups for the same seed', () => {
		expect(evenGroups(players, [8, 8, 8], 3)).toEqual(evenGroups(players, [8, 8, 8], 3));
	});

	test('manages players without ratings and no players at all', () => {
		const bare = Array.from({ length: 5 }, (_, k) => ({ id: String(k) }));
		expect(evenGroups(bare, [3, 2]).map((group) => group.length)).toEqual([3, 2]);
		expect(evenGroups([], [])).toEqual([]);
	});
});
