import fc from 'fast-check';
import { expect, test } from 'vitest';
import { pigeonhole, twoAtATime } from './bounds';

interface Session {
	present: number[];
	sizes: number[];
}

/** Every way to put players into groups of these sizes. */
function* waysOf(present: readonly number[], sizes: readonly number[]): Generator<number[][]> {
	if (sizes.length === 0) {
		yield [];
		return;
	}
	const [size, ...rest] = sizes;
	function* pick(from: number, group: number[]): Generator<number[]> {
		if (group.length === size) yield group;
		else for (let k = from; k < present.length; k += 1) yield* pick(k + 1, [...group, present[k]]);
	}
	for (const group of pick(0, []))
		for (const others of waysOf(
			present.filter((player) => !group.includes(player)),
			rest
		))
			yield [group, ...others];
}

/** The least cost of sessions, by trying all ways of all of them. */
function leastCost(players: number, sessions: readonly Session[], met: Int32Array): number {
	const times = Int32Array.from(met);
	let best = Infinity;
	function add(groups: readonly number[][], by: number) {
		for (const group of groups)
			for (const a of group) for (const b of group) if (a !== b) times[a * players + b] += by;
	}
	function take(k: number) {
		if (k === sessions.length) {
			best = Math.min(
				best,
				times.reduce((sum, t) => sum + (t * (t - 1)) / 4, 0)
			);
			return;
		}
		for (const groups of waysOf(sessions[k].present, sessions[k].sizes)) {
			add(groups, 1);
			take(k + 1);
			add(groups, -1);
		}
	}
	take(0);
	return best;
}

test('nothing costs less than the bounds, whoever is away and whoever has met', () => {
	const someSession = fc
		.record({ away: fc.subarray([0, 1, 2, 3, 4]), first: fc.integer({ min: 1, max: 3 }) })
		.map(({ away, first }): Session => {
			const present = [0, 1, 2, 3, 4].filter((player) => !away.includes(player));
			const size = Math.min(first, present.length);
			return { present, sizes: [size, present.length - size] };
		});
	fc.assert(
		fc.property(
			fc.array(someSession, { minLength: 1, maxLength: 3 }),
			fc.array(fc.tuple(fc.nat(4), fc.nat(4), fc.nat(3)), { maxLength: 3 }),
			(sessions, pairs) => {
				const met = new Int32Array(25);
				for (const [a, b, often] of pairs)
					if (a !== b) for (const at of [a * 5 + b, b * 5 + a]) met[at] = often;
				const least = leastCost(5, sessions, met);
				expect(pigeonhole(5, sessions, met)).toBeLessThanOrEqual(least);
				expect(twoAtATime(sessions)).toBeLessThanOrEqual(least);
			}
		),
		{ seed: 2, numRuns: 120 }
	);
});

test('two sessions of whole groups are bounded by how a group is spread', () => {
	const present = [0, 1, 2, 3, 4, 5];
	const one = { present, sizes: [3, 3] };
	expect(twoAtATime([one, one])).toBe(2);
	expect(leastCost(6, [one, one], new Int32Array(36))).toBe(2);
	expect(twoAtATime([one, { present, sizes: [2, 2, 2] }])).toBe(0);
});
