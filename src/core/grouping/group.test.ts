import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { randomRequest, randomSquad } from '../../../tests/support/squads';
import { group, groupSearch, leastSpread, weigh, type GroupInput, type GroupOutput } from '.';
import { isLess } from './score';
import { placeOf } from '../../../tests/support/place';

type Groups = readonly (readonly string[])[];

function made(input: GroupInput, reports?: number): GroupOutput {
	const outcome = group(input, reports);
	if (!outcome.ok) throw new Error(outcome.failure.message);
	return outcome.value;
}

/** The score by its definition, from the groups alone. */
function scoreOf({ players, mode, met = [], places = {} }: GroupInput, groups: Groups): number[] {
	const byId = new Map(players.map((player) => [player.id, player]));
	const of = (ids: readonly string[]) => ids.flatMap((id) => byId.get(id) ?? []);
	const range = (values: number[]) =>
		values.length ? Math.max(...values) - Math.min(...values) : 0;
	const mean = (values: number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
	const skills = [...new Set(players.flatMap(({ ratings = {} }) => Object.keys(ratings)))];
	const units = [...new Set(players.flatMap(({ unit }) => unit ?? []))];
	const spread = skills.reduce((sum, skill) => {
		const rated = groups.map((ids) => of(ids).flatMap(({ ratings = {} }) => ratings[skill] ?? []));
		return sum + range(rated.filter(({ length }) => length > 0).map(mean));
	}, 0);
	const unitSpread = units.reduce(
		(sum, unit) =>
			sum + range(groups.map((ids) => of(ids).filter((each) => each.unit === unit).length)),
		0
	);
	const repeats = met.reduce(
		(sum, [a, b, times]) =>
			sum +
			(groups.some((ids) => ids.includes(String(a)) && ids.includes(String(b)))
				? Number(times)
				: 0),
		0
	);
	const kinds = groups.reduce(
		(sum, ids) => sum + new Set(of(ids).flatMap(({ unit }) => unit ?? [])).size,
		0
	);
	const rating = (id: string) => mean(Object.values(byId.get(id)?.ratings ?? {}));
	const outranked = groups.reduce(
		(sum, low, at) =>
			sum +
			low.reduce(
				(pairs, a) =>
					pairs +
					groups
						.slice(at + 1)
						.flat()
						.filter((b) => rating(a) > rating(b)).length,
				0
			),
		0
	);
	const distance = groups
		.flatMap((ids) => ids.flatMap((a, k) => ids.slice(k + 1).map((b) => [a, b])))
		.filter((pair) => pair.every((id) => places[id]))
		.reduce((sum, [a, b]) => {
			const [dx, dy] = [places[a].x - places[b].x, places[a].y - places[b].y];
			return sum + Math.sqrt(dx * dx + dy * dy);
		}, 0);
	switch (mode) {
		case 'even':
			return [spread, unitSpread, repeats];
		case 'tiers':
			return [outranked, repeats];
		case 'unit':
			return [kinds, spread];
		case 'match':
			return [distance, repeats];
		default:
			return [repeats, spread];
	}
}

function keepsRules(
	{ sizes = [], together = [], apart = [], pins = {}, eachHas = [], players }: GroupInput,
	groups: Groups
) {
	const at = (id: string) => groups.findIndex((ids) => ids.includes(id));
	const byId = new Map(players.map((player) => [player.id, player]));
	return (
		groups.every((ids, index) => ids.length === sizes[index]) &&
		new Set(groups.flat()).size === players.length &&
		together.every((ids) => new Set(ids.map(at)).size <= 1) &&
		apart.every(([a, b]) => at(a) !== at(b)) &&
		Object.entries(pins).every(([id, index]) => at(id) === index) &&
		eachHas.every(({ role, unit, min }) =>
			groups.every(
				(ids) =>
					ids.filter((id) => {
						const player = byId.get(id);
						return (!role || player?.roles?.includes(role)) && (!unit || player?.unit === unit);
					}).length >= min
			)
		)
	);
}

/** Every way to deal players to groups of these sizes. */
function* allWays(ids: readonly string[], sizes: readonly number[]): Generator<string[][]> {
	if (ids.length === 0) {
		yield sizes.map(() => []);
		return;
	}
	const [first, ...rest] = ids;
	for (const [index, size] of sizes.entries()) {
		if (size === 0) continue;
		for (const groups of allWays(rest, sizes.with(index, size - 1))) {
			groups[index].unshift(first);
			yield groups;
		}
	}
}

describe('group', () => {
	for (const mode of ['even', 'tiers', 'unit', 'fresh', 'match'] as const)
		test(`${mode}: finds the least score of all ways that keep the rules`, () => {
			for (let seed = 1; seed <= 8; seed += 1) {
				const sizes = [
					[3, 3, 2],
					[4, 4],
					[4, 2, 2],
					[5, 3]
				][seed % 4];
				const players = randomSquad(8, sizes.length, seed);
				const input: GroupInput = {
					players,
					sizes,
					mode,
					apart: [['p4', 'p5']],
					together: [['p6', 'p7']],
					eachHas: [{ role: 'keeper', min: 1 }],
					pins: { p4: 1 },
					met: players.flatMap(({ id }, k) =>
						players.slice(k + 1).map((other, j) => [id, other.id, (k * 7 + j * 3) % 5])
					),
					places: Object.fromEntries(
						players.slice(1).map(({ id }, k) => [id, { x: (k * 31) % 17, y: (k * k * 13) % 23 }])
					),
					seed
				};
				const output = made(input, mode === 'even' ? undefined : 30);
				expect(keepsRules(input, output.groups)).toBe(true);
				const own = scoreOf(input, output.groups);
				expect(output.score.length).toBe(own.length);
				own.forEach((part, k) => expect(output.score[k]).toBeCloseTo(part, 9));
				// Two change places by hand: worth what the definition says.
				const [[a, ...first], [b, ...second], ...others] = output.groups;
				const swapped = [[b, ...first], [a, ...second], ...others];
				const worth = weigh(input, swapped);
				scoreOf(input, swapped).forEach((part, k) =>
					expect(worth.ok && worth.value.score[k]).toBeCloseTo(part, 9)
				);
				for (const groups of allWays(
					players.map(({ id }) => id),
					sizes
				))
					if (keepsRules(input, groups)) expect(isLess(scoreOf(input, groups), own)).toBe(false);
			}
		});

	test('proves the best for up to 24 players', () => {
		for (const [seed, sizes] of [
			[6, 6, 6, 6],
			[6, 6, 5, 5],
			[8, 7, 6],
			[5, 5, 5, 5, 4]
		].entries()) {
			const input = randomRequest(sizes, seed + 1);
			const search = groupSearch(input);
			if (!search.ok) throw new Error(search.failure.message);
			let state = search.value.next().value;
			for (let report = 0; report < 2000 && !state.done; report += 1)
				state = search.value.next().value;
			expect(state.done).toBe(true);
			expect(keepsRules(input, state.best.groups)).toBe(true);
			expect(made(input)).toEqual(state.best);
			// Other seeds end at the same score: it is the best there is.
			expect(made({ ...input, seed: 99 }).score).toEqual(
				state.best.score.map((part) => expect.closeTo(part, 9))
			);
		}
	});

	test('brings 48 players to the bound of whole sums', () => {
		const input = randomRequest(new Array<number>(8).fill(6), 3);
		const totals = ['pass', 'run', 'hit', 'read'].map((skill) =>
			input.players.reduce((sum, { ratings }) => sum + (ratings?.[skill] ?? 0), 0)
		);
		const bound = totals.reduce((sum, total) => sum + leastSpread(total, input.sizes ?? []), 0);
		const output = made(input);
		expect(output.score[0]).toBeCloseTo(bound, 9);
		expect(keepsRules(input, output.groups)).toBe(true);
	});

	test('gives the same for the same seed, and the same score under other names', () => {
		const input = randomRequest([6, 6, 5, 5], 8);
		expect(made(input)).toEqual(made(input));
		const renamed = JSON.stringify(input).replace(/"p(\d+)"/g, '"Ж $1"');
		expect(made(JSON.parse(renamed) as GroupInput).score).toEqual(made(input).score);
	});

	test('leaves missing ratings out of a mean', () => {
		const players = [
			{ id: 'a', ratings: { pass: 5 } },
			{ id: 'b' },
			{ id: 'c', ratings: { pass: 5 } },
			{ id: 'd' }
		];
		expect(made({ players, count: 2, mode: 'even' }).spread).toEqual({ pass: 0 });
	});
});

describe('rules that clash', () => {
	const rule = fc.oneof(
		fc.record({ kind: fc.constant('apart' as const), a: fc.nat(6), b: fc.nat(6) }),
		fc.record({ kind: fc.constant('together' as const), a: fc.nat(6), b: fc.nat(6) }),
		fc.record({ kind: fc.constant('pin' as const), a: fc.nat(6), b: fc.nat(2) }),
		fc.record({
			kind: fc.constant('has' as const),
			a: fc.nat(2),
			b: fc.integer({ min: 1, max: 3 })
		})
	);
	type Rule = { kind: 'apart' | 'together' | 'pin' | 'has'; a: number; b: number };
	const sizes = [3, 2, 2];
	function inputOf(rules: readonly Rule[]): GroupInput {
		const of = (kind: Rule['kind']) => rules.filter((each) => each.kind === kind);
		return {
			players: Array.from({ length: 7 }, (_, k) => ({ id: `p${k}`, unit: `u${k % 3}` })),
			sizes,
			mode: 'even',
			apart: of('apart').flatMap(({ a, b }) => (a === b ? [] : [[`p${a}`, `p${b}`]])),
			together: of('together').map(({ a, b }) => [`p${a}`, `p${b}`]),
			pins: Object.fromEntries(of('pin').map(({ a, b }) => [`p${a}`, b])),
			eachHas: of('has').map(({ a, b }) => ({ unit: `u${a}`, min: b }))
		};
	}
	/** The request with only some of its rules. */
	function only(
		input: GroupInput,
		kept: readonly { rule: string; index?: number; id?: string }[]
	): GroupInput {
		const has = (rule: string, key: number | string) =>
			kept.some((each) => each.rule === rule && (each.index ?? each.id) === key);
		return {
			...input,
			apart: input.apart?.filter((_, k) => has('apart', k)),
			together: input.together?.filter((_, k) => has('together', k)),
			eachHas: input.eachHas?.filter((_, k) => has('eachHas', k)),
			pins: Object.fromEntries(Object.entries(input.pins ?? {}).filter(([id]) => has('pins', id)))
		};
	}

	test('are named, none of them for nothing, exactly where there is no way', () => {
		const ids = Array.from({ length: 7 }, (_, k) => `p${k}`);
		const ways = [...allWays(ids, sizes)];
		fc.assert(
			fc.property(fc.array(rule, { minLength: 1, maxLength: 9 }), (rules) => {
				const input = inputOf(rules);
				const outcome = group(input, 2);
				const canBe = ways.some((groups) => keepsRules(input, groups));
				expect(outcome.ok).toBe(canBe);
				if (outcome.ok || outcome.failure.code !== 'infeasible') return;
				const named = outcome.failure.rules ?? [];
				expect(ways.some((groups) => keepsRules(only(input, named), groups))).toBe(false);
				for (const each of named) {
					const others = only(
						input,
						named.filter((other) => other !== each)
					);
					expect(ways.some((groups) => keepsRules(others, groups))).toBe(true);
				}
			}),
			{ seed: 4, numRuns: 150 }
		);
	});

	test.each<[string, Partial<GroupInput>]>([
		['sizes', { sizes: [4, 4] }],
		['sizes[0]', { sizes: [0, 7] }],
		['count', { sizes: undefined, count: 9 }],
		['', { count: 3 }],
		['together[0][1]', { together: [['p0', 'ghost']] }],
		['apart[0]', { apart: [['p0', 'p0']] }],
		['pins.p1', { pins: { p1: 3 } }],
		['eachHas[0].min', { eachHas: [{ min: -1 }] }],
		['met[0]', { met: [['p0', 'p1']] }],
		['players[7].id', { players: [...inputOf([]).players, { id: 'p0' }] }]
	])('input that is wrong is refused at %s', (path, change) => {
		expect(placeOf(group({ ...inputOf([]), ...change }))).toBe(path);
	});
});
