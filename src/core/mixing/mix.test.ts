import { randomLcg } from 'd3-random';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { bestWithin } from '../base';
import { mixSearch, type MixInput, type MixOutput } from '.';
import { fromLines } from './lines';

/** A clock that stands: a search of no seconds ends after its first reports. */
function mixed(input: MixInput, reports: number): MixOutput {
	const search = mixSearch(input);
	if (!search.ok) throw new Error(search.failure.message);
	let second = 0;
	return bestWithin(search.value, { now: () => (second += 1), seconds: reports / 1000 });
}

/** Times of every pair that is ever together, from groups alone. */
function timesIn(sessions: MixOutput['sessions'], met: MixInput['met'] = []): number[] {
	const times = new Map<string, number>();
	const count = (a: string, b: string, by: number) => {
		const key = [a, b].sort().join(' ');
		times.set(key, (times.get(key) ?? 0) + by);
	};
	for (const [a, b, often] of met) count(String(a), String(b), Number(often));
	for (const groups of sessions)
		for (const group of groups)
			for (const [k, a] of group.entries()) for (const b of group.slice(k + 1)) count(a, b, 1);
	return [...times.values()];
}

const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0);

const someRequest = fc
	.record({
		sizes: fc.array(fc.integer({ min: 2, max: 6 }), { minLength: 2, maxLength: 4 }),
		sessions: fc.integer({ min: 1, max: 6 }),
		away: fc.double({ min: 0, max: 0.4, noNaN: true }),
		hasMet: fc.boolean(),
		hasRules: fc.boolean(),
		seed: fc.integer({ min: 1, max: 1000 })
	})
	.map(({ sizes, sessions, away, hasMet, hasRules, seed }): MixInput & { players: string[] } => {
		const random = randomLcg(seed / 1001);
		const players = Array.from({ length: sum(sizes) }, (_, k) => `p${k}`);
		return {
			...{ players, sizes, sessions, seed },
			absent: Array.from({ length: sessions }, () => players.filter(() => random() < away)),
			...(hasMet && { met: [['p0', 'p1', 3] as [string, string, number], ['p1', 'p2', 1]] }),
			...(hasRules && { together: [['p0', 'p2']], apart: [['p0', 'p3']] })
		};
	});

describe('mix', () => {
	test('seats everybody who is there once, keeps the rules, and counts what it costs', () => {
		fc.assert(
			fc.property(someRequest, (request) => {
				const { sessions, cost, bound, repeats, optimal } = mixed(request, 12);
				expect(sessions).toHaveLength(request.sessions);
				for (const [k, groups] of sessions.entries()) {
					const gone = request.absent?.[k] ?? [];
					const there = request.players.filter((id) => !gone.includes(id));
					expect(groups.flat().sort()).toEqual(there.sort());
					expect(groups).toHaveLength(request.sizes?.length ?? 0);
					for (const [a, b] of request.together ?? [])
						if (there.includes(a) && there.includes(b))
							expect(groups.some((group) => group.includes(a) && group.includes(b))).toBe(true);
					for (const [a, b] of request.apart ?? [])
						expect(groups.some((group) => group.includes(a) && group.includes(b))).toBe(false);
				}
				const times = timesIn(sessions, request.met);
				expect(cost).toBe(sum(times.map((t) => (t * (t - 1)) / 2)));
				expect(repeats).toBe(sum(times.map((t) => Math.max(0, t - 1))));
				expect(cost).toBeGreaterThanOrEqual(bound);
				expect(optimal).toBe(cost === bound);
			}),
			{ seed: 3, numRuns: 60 }
		);
	});

	test('the bound is the one that is worked out by hand', () => {
		// 6 players in 3s: two sessions of 6 meetings over 15 pairs, and each three is spread over two groups.
		expect(mixed({ players: 6, groupSize: 3, sessions: 2 }, 5).bound).toBe(2);
		// 4 players in pairs, 4 sessions: 8 meetings over 6 pairs.
		expect(mixed({ players: 4, groupSize: 2, sessions: 4 }, 5)).toMatchObject({
			bound: 2,
			cost: 2
		});
		// A pair that has met five times costs ten whatever is done.
		const met = [['0', '1', 5]] as [string, string, number][];
		expect(mixed({ players: 4, groupSize: 2, sessions: 1, met }, 5)).toMatchObject({
			...{ bound: 10, cost: 10, repeats: 4, optimal: true }
		});
	});

	test.each([
		[3, 3, 4],
		[4, 4, 5],
		[5, 5, 6],
		[7, 7, 8],
		[5, 4, 5],
		[8, 4, 9],
		[8, 5, 8],
		[9, 3, 13],
		[10, 2, 19]
	])('lines give %i groups of %i for %i sessions, and no pair twice', (groups, size, sessions) => {
		const made = fromLines(groups, size);
		expect(made).toHaveLength(sessions);
		const named = made.map((session) => session.map((group) => group.map(String)));
		for (const session of named) expect(new Set(session.flat()).size).toBe(groups * size);
		expect(new Set(timesIn(named))).toEqual(new Set([1]));
	});

	test.each([
		[5, 3, 7],
		[6, 3, 8],
		[8, 3, 11],
		[6, 4, 7]
	])('base sessions give %i groups of %i for %i sessions, and no pair twice', (...asked) => {
		const [groups, groupSize, sessions] = asked;
		const made = mixed({ players: groups * groupSize, groupSize, sessions }, 4000);
		expect(made).toMatchObject({ cost: 0, repeats: 0, optimal: true });
		expect(new Set(timesIn(made.sessions))).toEqual(new Set([1]));
	});

	test('uneven groups over a season come within a hundredth of the bound', () => {
		const { cost, bound } = mixed({ players: 22, sizes: [6, 6, 5, 5], sessions: 28 }, 400);
		expect(cost / bound).toBeLessThan(1.01);
	});

	test('places of those who are away go one at a time from the largest group, of equal ones the last', () => {
		const absent = [['0', '1', '2']];
		const { sessions } = mixed({ players: 11, sizes: [4, 4, 3], sessions: 2, absent }, 5);
		expect(sessions.map((groups) => groups.map(({ length }) => length))).toEqual([
			[3, 3, 2],
			[4, 4, 3]
		]);
	});

	test.each([
		[{ players: 1, groupSize: 1, sessions: 1 }, ['players']],
		[{ players: ['a', 'a'], groupSize: 1, sessions: 1 }, ['players', 1]],
		[{ players: 4, sessions: 1 }, []],
		[{ players: 4, sizes: [3], sessions: 1 }, ['sizes']],
		[{ players: 4, groupSize: 2, sessions: 0 }, ['sessions']],
		[{ players: 4, groupSize: 2, sessions: 1, absent: [['9']] }, ['absent', 0, 0]],
		[{ players: 4, groupSize: 2, sessions: 1, apart: [['0']] }, ['apart', 0]],
		[{ players: 4, groupSize: 2, sessions: 1, met: [['0', '1', -1]] }, ['met', 0]]
	] as [MixInput, (string | number)[]][])('bad input %j is named with its place', (input, path) => {
		const outcome = mixSearch(input);
		expect(outcome.ok ? null : outcome.failure).toMatchObject({ code: 'bad-input', path });
	});

	test('rules that clash are named', () => {
		const rules = [
			{ together: [['0', '1', '2']] },
			{ together: [['0', '1']], apart: [['1', '0']] },
			{ apart: ['01', '02', '12'].map((pair) => [...pair]) }
		];
		for (const rule of rules) {
			const outcome = mixSearch({ players: 4, groupSize: 2, sessions: 1, ...rule });
			expect(outcome.ok ? null : outcome.failure.code).toBe('infeasible');
		}
	});
});
