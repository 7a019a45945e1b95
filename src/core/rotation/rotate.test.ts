import { describe, expect, test } from 'vitest';
import { randomInt, randomLcg } from 'd3-random';
import { rotate, type RotateInput, type RotateOutput } from '.';
import { pairSquare } from './pairings';
import { bestRound, isShorter, roundCost } from './round';
import { placeOf } from '../../../tests/support/place';

function made(input: RotateInput): RotateOutput {
	const outcome = rotate(input);
	if (!outcome.ok) throw new Error(outcome.failure.message);
	return outcome.value;
}
const names = (count: number) => Array.from({ length: count }, (_, k) => `g${k}`);
function stations(count: number, more: object = {}, seed = 1): RotateInput['stations'] {
	const random = randomInt.source(randomLcg(seed / 97))(0, 60);
	return Array.from({ length: count }, (_, k) => ({
		id: `s${k}`,
		x: random(),
		y: random(),
		...more
	}));
}
/** How often each group is at each station, `rest` among them. */
function visits({ slots }: RotateOutput, group: string): Map<string, number> {
	const counts = new Map<string, number>();
	for (const slot of slots)
		for (const [station, groups] of Object.entries(slot))
			if (groups.includes(group)) counts.set(station, (counts.get(station) ?? 0) + 1);
	return counts;
}
function* orders(rest: readonly number[]): Generator<number[]> {
	if (rest.length === 0) yield [];
	for (const first of rest)
		for (const more of orders(rest.filter((each) => each !== first))) yield [first, ...more];
}

describe('rotate', () => {
	test('takes every group to every station once, never over what a station holds, rests even', () => {
		for (let count = 1; count <= 7; count += 1)
			for (let groups = 1; groups <= 15; groups += 1)
				for (const holds of [1, 2]) {
					const output = made({ groups: names(groups), stations: stations(count, { holds }) });
					const counts = names(groups).map((group) => visits(output, group));
					for (const slot of output.slots) {
						expect(Object.values(slot).flat()).toHaveLength(groups);
						for (const [station, at] of Object.entries(slot))
							if (station !== 'rest') expect(at.length).toBeLessThanOrEqual(holds);
					}
					for (const count of counts)
						for (const [station, times] of count) if (station !== 'rest') expect(times).toBe(1);
					const stops = counts.map((each) => each.size - (each.has('rest') ? 1 : 0));
					expect(Math.min(...stops)).toBe(Math.min(count, output.slots.length));
					const rests = counts.map((each) => each.get('rest') ?? 0);
					expect(Math.max(...rests) - Math.min(...rests)).toBeLessThanOrEqual(1);
				}
	});

	test('with fewer slots than stations nobody is anywhere twice, and rests stay even', () => {
		for (const [groups, count, slots] of [
			[5, 5, 3],
			[6, 2, 3],
			[9, 4, 5],
			[3, 8, 4]
		]) {
			const output = made({ groups: names(groups), stations: stations(count), slots });
			const counts = names(groups).map((group) => visits(output, group));
			for (const each of counts)
				for (const [station, times] of each) if (station !== 'rest') expect(times).toBe(1);
			const rests = counts.map((each) => each.get('rest') ?? 0);
			expect(Math.max(...rests) - Math.min(...rests)).toBeLessThanOrEqual(1);
		}
	});

	test('nobody rests twice in a row where at most half rest', () => {
		for (const [groups, count] of [
			[5, 3],
			[6, 3],
			[7, 4],
			[8, 4],
			[3, 2]
		])
			expect(
				made({ groups: names(groups), stations: stations(count) }).restRow
			).toBeLessThanOrEqual(1);
	});

	test('goes the best round of all orders', () => {
		for (let seed = 1; seed <= 12; seed += 1) {
			const count = 3 + (seed % 5);
			const list = stations(count, {}, seed);
			const legs = Float64Array.from(
				list.flatMap((a) =>
					list.map((b) => Math.hypot((a.x ?? 0) - (b.x ?? 0), (a.y ?? 0) - (b.y ?? 0)))
				)
			);
			const isHard = list.map((_, k) => (k * seed) % 3 === 0);
			const isClose = list.map((_, k) => seed % 2 === 0 || k % 2 === 0);
			const task = { legs, isHard, isClose };
			const cost = roundCost(bestRound(task), task);
			for (const order of orders(list.map((_, k) => k)))
				expect(isShorter(roundCost(order, task), cost)).toBe(false);
		}
	});

	test('parts hard stations where that can be done, and leaves it where it is not asked for', () => {
		const list = stations(6).map((station, k) => ({ ...station, effort: k < 3 ? 9 : 3 }));
		expect(made({ groups: names(6), stations: list }).hardAfterHard).toBe(0);
		const free = made({ groups: names(6), stations: list, rules: { avoidHardAfterHard: false } });
		expect(free.walk.total).toBeLessThanOrEqual(
			made({ groups: names(6), stations: list }).walk.total
		);
	});

	test('finds a good round beyond twelve stations', () => {
		const ring = Array.from({ length: 16 }, (_, k) => ({
			id: `s${(k * 7) % 16}`,
			x: 20 * Math.cos((k * 7 * Math.PI) / 8),
			y: 20 * Math.sin((k * 7 * Math.PI) / 8)
		}));
		expect(made({ groups: names(16), stations: ring }).walk.longestLeg).toBeLessThan(8);
	});

	test('lets no two groups meet twice, for 3 to 12 stations and any number of rounds', () => {
		for (let count = 3; count <= 12; count += 1)
			for (let slots = 1; slots <= count; slots += 1) {
				const output = made({
					groups: names(2 * count),
					stations: stations(count, { holds: 2 }),
					slots,
					rules: { meet: true }
				});
				expect(output.repeatMeetings).toBe(0);
				for (const group of names(2 * count)) expect(visits(output, group).size).toBe(slots);
				for (const slot of output.slots)
					for (const at of Object.values(slot)) expect(at.length).toBeLessThanOrEqual(2);
			}
	});

	test('says that four groups cannot change partners at two stations', () => {
		const input = {
			groups: names(4),
			stations: stations(2, { holds: 2 }),
			slots: 2,
			rules: { meet: true }
		};
		expect(rotate(input)).toMatchObject({ failure: { code: 'infeasible' } });
		expect(made({ ...input, slots: 1 }).repeatMeetings).toBe(0);
		expect(made({ ...input, slots: 3 }).repeatMeetings).toBe(0);
	});

	test('meets nobody twice with groups over and stations short', () => {
		for (const [groups, count] of [
			[5, 3],
			[7, 3],
			[9, 4],
			[11, 6],
			[3, 2]
		]) {
			const output = made({
				groups: names(groups),
				stations: stations(count, { holds: 2 }),
				slots: 7,
				rules: { meet: true }
			});
			expect(output.repeatMeetings).toBe(0);
			for (const group of names(groups))
				for (const [station, times] of visits(output, group))
					if (station !== 'rest') expect(times).toBe(1);
		}
	});

	test.each<[string, Partial<RotateInput>]>([
		['groups', { groups: [] }],
		['groups[1]', { groups: ['a', 'a'] }],
		['stations', { stations: [] }],
		['stations[1]', { stations: [{ id: 'a' }, { id: 'a' }] }],
		['stations[0].id', { stations: [{ id: 'rest' }] }],
		['stations[0].x', { stations: [{ id: 'a', x: 1 }] }],
		['stations[0].holds', { stations: [{ id: 'a', holds: 3 }] }],
		['slots', { slots: 1.5 }],
		['rules.hardFrom', { rules: { hardFrom: 0 } }]
	])('input that is wrong is refused at %s', (path, change) => {
		expect(placeOf(rotate({ groups: ['a', 'b'], stations: stations(2), ...change }))).toBe(path);
	});
});

test('squares of pairs have every symbol in every round and place, and every pair once', () => {
	for (const size of [1, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 15, 16, 20]) {
		const square = pairSquare(size);
		if (!square) throw new Error(`no square of ${size}`);
		const line = Array.from({ length: size }, (_, k) => k);
		const pairs = line.flatMap((round) =>
			line.map((place) => [...square(round, place)].sort().join())
		);
		expect(new Set(pairs).size).toBe(size * size);
		for (const k of line) {
			expect(new Set(line.flatMap((place) => square(k, place))).size).toBe(2 * size);
			expect(new Set(line.flatMap((round) => square(round, k))).size).toBe(2 * size);
		}
	}
	expect(pairSquare(2)).toBeNull();
});
