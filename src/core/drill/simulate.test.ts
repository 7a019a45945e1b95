import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { anyDrill, simpleDrill } from '../../../tests/support/drills';
import { simulateSlowly } from '../../../tests/support/slowSimulator';
import { simulate, type SimulateInput } from '.';
import { isSpecial } from './run';
import type { Drill } from '../model/drill';
import { placeOf } from '../../../tests/support/place';

function value(input: SimulateInput) {
	const outcome = simulate(input);
	if (!outcome.ok) throw new Error(outcome.failure.message);
	return outcome.value;
}
function failure(input: SimulateInput) {
	const outcome = simulate(input);
	if (outcome.ok) throw new Error('expected a failure');
	return outcome.failure;
}

const runs = fc
	.tuple(
		anyDrill,
		fc.integer({ min: 0, max: 9 }),
		fc.integer({ min: 1, max: 6 }),
		fc.array(fc.constantFrom('a', 'b', undefined), { minLength: 24, maxLength: 24 })
	)
	.map(([drill, more, minutes, units]) => ({
		drill,
		minutes,
		players: Array.from({ length: drill.group.min + more }, (_, k) => ({
			id: `p${k}`,
			...(units[k] && { unit: units[k] })
		}))
	}));

describe('simulate', () => {
	test('agrees with a simulator that walks half a second at a time', () => {
		fc.assert(
			fc.property(runs, ({ drill, minutes, players }) => {
				const fast = value({ drill, minutes, players });
				const slow = simulateSlowly(drill, players, minutes * 60);
				expect(fast.turns).toBe(slow.turns);
				fast.perPlayer.forEach((player, k) => {
					const { sides, loads, ...sums } = slow.sums[k];
					expect(player).toMatchObject(sums);
					expect(player.loads ?? {}).toEqual(loads);
					if (drill.sides) expect(Object.values(player.sides ?? {})).toEqual(sides);
				});
			}),
			{ seed: 20270406, numRuns: 300 }
		);
	});

	test('agrees with it on climbs by turns, of two drills in one, on any side', () => {
		const climbs = fc.record({
			first: anyDrill,
			second: anyDrill,
			more: fc.integer({ min: 0, max: 6 }),
			minutes: fc.integer({ min: 1, max: 6 }),
			turns: fc.array(fc.integer({ min: 1, max: 5 }), { minLength: 1, maxLength: 4 }),
			sides: fc.array(fc.constantFrom('left', 'right', undefined), { minLength: 4, maxLength: 4 })
		});
		fc.assert(
			fc.property(climbs, ({ first, second, more, minutes, turns, sides }) => {
				const { spots, group, turn, rotation } = second;
				const set = { spots, group, turn, rotation, ...(second.sides && { sides: second.sides }) };
				const change = { id: 'b', name: 'B', change: 'b', lever: 'pace' as const, set };
				const drill = { ...first, rungs: [change] };
				const resolved = { ...drill, ...set };
				const steps = turns.map((count, k) => {
					const each = k % 2 === 0 ? drill : resolved;
					const side = each.sides ? sides[k] : undefined;
					return { drill: each, turns: count, ...(side && { side }) };
				});
				const players = Array.from(
					{ length: Math.max(first.group.min, group.min) + more },
					(_, k) => ({ id: `p${k}` })
				);
				const climb = steps.map(({ drill: _drill, ...step }, k) => ({
					...step,
					...(k % 2 === 1 && { rung: 'b' })
				}));
				const fast = value({ drill, players, minutes, climb });
				const slow = simulateSlowly(steps, players, minutes * 60);
				expect(fast.steps?.map((step) => step.turns)).toEqual(slow.turnsOf);
				fast.perPlayer.forEach((player, k) => {
					const { sides: slowSides, loads, ...sums } = slow.sums[k];
					expect(player).toMatchObject(sums);
					expect(player.loads ?? {}).toEqual(loads);
					if (player.sides) expect(Object.values(player.sides)).toEqual(slowSides);
				});
			}),
			{ seed: 1604, numRuns: 300 }
		);
	});

	test('spreads the turns that go the other way evenly, and starves nobody', () => {
		for (let tenths = 1; tenths <= 9; tenths += 1) {
			const share = tenths / 10;
			const special = Array.from({ length: 1000 }, (_, k) => Number(isSpecial(k + 1, share)));
			for (let from = 0; from + 50 <= special.length; from += 50) {
				const some = special.slice(from, from + 50).reduce((sum, one) => sum + one, 0);
				expect(Math.abs(some - 50 * share)).toBeLessThan(3);
			}
		}
		const stays = simpleDrill({
			spots: [
				{ id: 'holder', role: 'worker', count: 1 },
				{ id: 'challenger', role: 'opponent', count: 1, line: true }
			],
			rotation: {
				moves: { holder: 'challenger', challenger: 'holder' },
				result: { share: 0.4, moves: { challenger: 'challenger' } }
			}
		});
		for (let players = 3; players <= 9; players += 1) {
			const { reps } = value({ drill: stays, players, minutes: 20 });
			expect(reps.min).toBeGreaterThan(reps.mean / 2);
		}
	});

	test('gives every second of every player to one thing, and shares that add up to one', () => {
		fc.assert(
			fc.property(runs, fc.integer({ min: 0, max: 9 }), ({ drill, minutes, players }, tenths) => {
				const stopShare = tenths / 10;
				const { perPlayer, share } = value({ drill, minutes, players, stopShare });
				const run = minutes * 60 * (1 - stopShare);
				for (const { activeSeconds, helpSeconds, waitSeconds } of perPlayer)
					expect(activeSeconds + helpSeconds + waitSeconds).toBeCloseTo(run, 6);
				expect(share.active + share.help + share.wait + share.listen).toBeCloseTo(1, 9);
			}),
			{ seed: 7, numRuns: 100 }
		);
	});

	test('does not depend on how players are called', () => {
		fc.assert(
			fc.property(runs, ({ drill, minutes, players }) => {
				const renamed = players.map((player, k) => ({ ...player, id: `沙-${k}-é` }));
				const bare = (input: SimulateInput) =>
					value(input).perPlayer.map(({ id: _id, ...rest }) => rest);
				expect(bare({ drill, minutes, players: renamed })).toEqual(
					bare({ drill, minutes, players })
				);
			}),
			{ seed: 3, numRuns: 60 }
		);
	});

	test('passes through spots that adults hold', () => {
		const drill = simpleDrill({
			spots: [
				{ id: 'go', role: 'worker', count: 1, line: true },
				{ id: 'feed', role: 'feeder', count: 1, by: 'either' },
				{ id: 'wall', role: 'helper', count: 1, by: 'adult' }
			],
			rotation: { moves: { go: 'wall', wall: 'feed', feed: 'go' } }
		});
		expect(value({ drill, players: 3, minutes: 2 }).perPlayer.map(({ help }) => help)).toEqual([
			4, 4, 4
		]);
		expect(
			value({ drill, players: 3, minutes: 2, adults: 1 }).perPlayer.every(({ help }) => help === 0)
		).toBe(true);
	});

	test('takes an instant a hair early for the same instant', () => {
		const drill = simpleDrill({ turn: { workSeconds: 0.7, headwaySeconds: 0.7 } });
		expect(value({ drill, players: 2, minutes: 7 }).turns).toBe(600);
	});

	describe('refuses, with the place,', () => {
		const cases: [string, Partial<Drill>, Partial<SimulateInput>, string][] = [
			['no minutes', {}, { minutes: 0 }, 'minutes'],
			[
				'a count of half a player',
				{ spots: [{ id: 'a', role: 'worker', count: 0.5 }] },
				{},
				'drill.spots[0].count'
			],
			[
				'joining after the work',
				{ spots: [{ id: 'a', role: 'worker', count: 1, joinsAtSeconds: 8 }] },
				{},
				'drill.spots[0].joinsAtSeconds'
			],
			[
				'a headway too short',
				{ turn: { workSeconds: 8, headwaySeconds: 0.4 } },
				{},
				'drill.turn.headwaySeconds'
			],
			[
				'a move to nowhere',
				{ rotation: { moves: { pass: 'moon' } } },
				{},
				'drill.rotation.moves.pass'
			],
			[
				'a group smaller than its spots',
				{ group: { min: 1, ideal: 4, max: 8 } },
				{},
				'drill.group.min'
			],
			[
				'turns kept while they overlap',
				{ turn: { workSeconds: 12, headwaySeconds: 10 }, rotation: { moves: {}, everyTurns: 2 } },
				{},
				'drill.rotation.everyTurns'
			],
			['a side named twice', { sides: { names: ['left', 'left'] } }, {}, 'drill.sides.names'],
			['a rung that is not there', {}, { rung: 'sky' }, 'rung'],
			['a player twice', {}, { players: ['x', 'y', 'x'] }, 'players[2]'],
			['a start that leaves somebody out', {}, { start: { pass: 1, take: 1 } }, 'start'],
			[
				'a start beside a climb',
				{},
				{ climb: [{ minutes: 2 }], minutes: undefined, start: {} },
				'start'
			],
			['a climb without steps', {}, { climb: [], minutes: undefined }, 'climb'],
			[
				'a step without time',
				{},
				{ climb: [{ minutes: 2 }, { minutes: -1 }], minutes: undefined },
				'climb[1].minutes'
			],
			['talk all the time', {}, { stopShare: 1 }, 'stopShare']
		];
		for (const [name, fields, input, path] of cases)
			test(name, () => {
				const drill = simpleDrill(fields);
				const refusal = failure({ drill, players: 4, minutes: 5, ...input });
				expect(placeOf({ ok: false, failure: refusal })).toBe(path);
			});

		test('a move into a spot that keeps its own line', () => {
			const spots = [
				{ id: 'pass', role: 'worker' as const, count: 1 },
				{ id: 'take', role: 'worker' as const, count: 1, upTo: 3 }
			];
			const drill = simpleDrill({ spots });
			expect(failure({ drill, players: 4, minutes: 5 })).toMatchObject({
				path: ['drill', 'rotation', 'moves', 'pass']
			});
		});

		test('what a rung breaks only when that rung is run', () => {
			const set = { group: { min: 1, ideal: 1, max: 1 } };
			const rungs = [{ id: 'odd', name: 'Odd', change: '', lever: 'pace' as const, set }];
			const drill = simpleDrill({ rungs });
			expect(simulate({ drill, players: 4, minutes: 5 }).ok).toBe(true);
			expect(failure({ drill, rung: 'odd', players: 4, minutes: 5 })).toMatchObject({
				path: ['drill', 'group', 'min'],
				rung: 'odd'
			});
		});
	});
});
