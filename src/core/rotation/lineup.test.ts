import { randomInt, randomLcg } from 'd3-random';
import { describe, expect, test } from 'vitest';
import { lineup, type LineupInput, type LineupOutput } from '.';
import { placeOf } from '../../../tests/support/place';

function made(input: LineupInput): LineupOutput {
	const outcome = lineup(input);
	if (!outcome.ok) throw new Error(outcome.failure.message);
	return outcome.value;
}

/** Players who like one position and may play up to two others. */
function request(count: number, places: number, shifts: number, seed: number): LineupInput {
	const random = randomInt.source(randomLcg(seed / 313));
	const positions = Array.from({ length: places }, (_, k) => `at ${k}`);
	return {
		players: Array.from({ length: count }, (_, k) => ({
			id: `p${k}`,
			positions: [
				...new Set([positions[k % places], ...[0, 1].map(() => positions[random(places)()])])
			].slice(0, 1 + random(3)())
		})),
		positions,
		shifts
	};
}

const longest = (output: LineupOutput, id: string) =>
	Math.max(
		...output.shifts
			.map(({ sit }) => (sit.includes(id) ? '1' : '0'))
			.join('')
			.split('0')
			.map((run) => run.length)
	);

function expectSound({ players, positions, teams = 1, shifts }: LineupInput, output: LineupOutput) {
	const byId = new Map(players.map((player) => [player.id, player.positions]));
	expect(output.shifts).toHaveLength(shifts);
	let fillers = 0;
	for (const { at, sit } of output.shifts) {
		expect(Object.keys(at)).toHaveLength(positions.length * teams);
		const there = Object.values(at).filter((id) => id !== 'filler');
		fillers += Object.values(at).length - there.length;
		expect(new Set([...there, ...sit]).size).toBe(players.length);
		expect(there.length + sit.length).toBe(players.length);
		for (const [place, id] of Object.entries(at))
			if (id !== 'filler') expect(byId.get(id)).toContain(positions[Number(place.split(':')[1])]);
	}
	expect(output.fillers).toBe(fillers);
	for (const { id } of players)
		expect(output.played[id]).toBe(output.shifts.filter(({ sit }) => !sit.includes(id)).length);
	expect(output.sitRow).toBe(
		Math.max(
			...players.filter(({ positions: own }) => own.length > 0).map(({ id }) => longest(output, id))
		)
	);
}

/** The least spread, and the least sit at that spread, of all ways to fill the places. */
function bestOfAll({ players, positions, shifts }: LineupInput): {
	spread: number;
	sitRow: number;
} {
	const sets = new Set<string>();
	const fill = (place: number, used: number[]): void => {
		if (place === positions.length) {
			sets.add([...used].sort().join());
			return;
		}
		for (const [player, { positions: own }] of players.entries())
			if (!used.includes(player) && own.includes(positions[place]))
				fill(place + 1, [...used, player]);
	};
	fill(0, []);
	const all = [...sets].map((set) => set.split(',').map(Number));
	const compared = players.flatMap(({ positions: own }, k) =>
		own.some(
			(position) => players.filter((other) => other.positions.includes(position)).length === 1
		)
			? []
			: k
	);
	let best = { spread: Infinity, sitRow: Infinity };
	const go = (rows: number[][]): void => {
		if (rows.length < shifts) {
			for (const set of all) go([...rows, set]);
			return;
		}
		const played = compared.map((k) => rows.filter((row) => row.includes(k)).length);
		const spread = played.length ? Math.max(...played) - Math.min(...played) : 0;
		const sitRow = Math.max(
			...players.map((_, k) =>
				Math.max(
					...rows
						.map((row) => (row.includes(k) ? '0' : '1'))
						.join('')
						.split('0')
						.map((run) => run.length)
				)
			)
		);
		if (spread < best.spread || (spread === best.spread && sitRow < best.sitRow))
			best = { spread, sitRow };
	};
	go([]);
	return best;
}

describe('lineup', () => {
	test('finds the least spread, and with it the least sitting, of all ways', () => {
		let compared = 0;
		for (let seed = 1; seed <= 60; seed += 1) {
			const input = request(4 + (seed % 2), 2, 3 + (seed % 2), seed);
			const outcome = lineup({ ...input, maxSitRow: 0 });
			if (!outcome.ok) continue;
			compared += 1;
			expectSound(input, outcome.value);
			const { spread, sitRow } = outcome.value;
			expect({ seed, spread, sitRow }).toEqual({ seed, ...bestOfAll(input) });
		}
		expect(compared).toBeGreaterThan(40);
	});

	test('is fair within one shift and lets nobody sit twice in a row', () => {
		for (let seed = 1; seed <= 8; seed += 1) {
			const input = request(22, 11, 8, seed);
			const output = made(input);
			expectSound(input, output);
			expect([output.spread, output.sitRow]).toEqual([0, 1]);
			const uneven = request(16, 11, 7, seed);
			expect(made(uneven).sitRow).toBe(1);
		}
	});

	test('gives the least sitting where more sit than play', () => {
		const input = request(40, 18, 12, 1);
		const output = made(input);
		expectSound(input, output);
		expect([output.spread, output.sitRow]).toEqual([1, 2]);
	});

	test('leaves who is alone at a position out of the measure', () => {
		const input: LineupInput = {
			players: [
				{ id: 'keeper', positions: ['goal'] },
				...['a', 'b', 'c'].map((id) => ({ id, positions: ['field'] }))
			],
			positions: ['goal', 'field'],
			shifts: 6
		};
		const output = made(input);
		expect([output.played.keeper, output.spread]).toEqual([6, 0]);
	});

	test('calls fillers only where players lack, and names the position where they are too few', () => {
		const input: LineupInput = {
			players: [
				{ id: 'a', positions: ['x'] },
				{ id: 'b', positions: ['x'] },
				{ id: 'c', positions: [] }
			],
			positions: ['x', 'y'],
			shifts: 4,
			fillers: 2
		};
		const output = made(input);
		expectSound(input, output);
		expect(output.fillers).toBe(4);
		expect(lineup({ ...input, fillers: 0 })).toMatchObject({
			failure: { code: 'infeasible', position: 'y' }
		});
	});

	test('keeps players of two teams on their side', () => {
		const input = { ...request(22, 5, 6, 3), teams: 2 };
		const output = made(input);
		expectSound(input, output);
		const sides = new Map<string, Set<string>>();
		for (const { at } of output.shifts)
			for (const [place, id] of Object.entries(at))
				sides.set(id, (sides.get(id) ?? new Set()).add(place[0]));
		const both = [...sides.values()].filter((own) => own.size > 1).length;
		expect(both).toBeLessThanOrEqual(6);
	});

	test('puts players where they like it best', () => {
		const input: LineupInput = {
			players: ['a', 'b', 'c', 'd'].map((id, k) => ({
				id,
				positions: k < 2 ? ['x', 'y'] : ['y', 'x']
			})),
			positions: ['x', 'y'],
			shifts: 4
		};
		expect(made(input).preferred).toBe(8);
	});

	test.each<[string, Partial<LineupInput>]>([
		['players', { players: [] }],
		[
			'players[1].id',
			{
				players: [
					{ id: 'a', positions: [] },
					{ id: 'a', positions: [] }
				]
			}
		],
		['players[0].id', { players: [{ id: 'filler', positions: [] }] }],
		['players[0].positions', { players: [{ id: 'a', positions: ['x', 'x'] }] }],
		['positions', { positions: [] }],
		['shifts', { shifts: 0 }],
		['teams', { teams: 3 }],
		['maxSitRow', { maxSitRow: -1 }]
	])('input that is wrong is refused at %s', (path, change) => {
		expect(placeOf(lineup({ ...request(4, 2, 3, 1), ...change }))).toBe(path);
	});
});
