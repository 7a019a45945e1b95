import { describe, expect, test } from 'vitest';
import { demoContext, demoTeams } from '../../../tests/support/demo';
import { simpleDrill } from '../../../tests/support/drills';
import type { RungChange } from '../model/drill';
import { drillHints } from '.';

const codes = (drill: Parameters<typeof drillHints>[0], age = 15) =>
	drillHints(drill, age).map((hint) => ('spot' in hint ? `${hint.code} ${hint.spot}` : hint.code));

describe('what is likely wrong with a drill', () => {
	test('is nothing of what ships with the application, on any rung, but that less effort may be harder', () => {
		for (const team of demoTeams()) {
			const { shelf, team: facts } = demoContext(team);
			for (const drill of shelf) {
				const found = codes(drill, drill.ages?.from ?? facts.ages.from);
				// A ball more or a lower net is harder for the same legs.
				expect([drill.id, found.filter((code) => code !== 'easier-than-below')]).toEqual([
					drill.id,
					[]
				]);
			}
		}
	});

	test('is a run that is too fast for the age, the late part of the turn counted', () => {
		const run = simpleDrill({
			spots: [
				{ id: 'pass', role: 'worker', count: 1, line: true, joinsAtSeconds: 3, x: 0, y: 0 },
				{ id: 'take', role: 'feeder', count: 1, x: 9, y: 12 }
			],
			paths: [
				{ from: 'pass', to: 'take', kind: 'run' },
				{ from: 'pass', to: [0, 40], kind: 'flight' }
			]
		});
		// 15 m in the five of eight seconds that are left: 3 m a second.
		expect(codes(run, 15)).toEqual([]);
		expect(drillHints(run, 9)).toMatchObject([{ code: 'too-fast', spot: 'pass', most: 2.5 }]);
		expect(drillHints(run, 9)[0]).toHaveProperty('asked', 3);
	});

	test('is a headway that no turn keeps', () => {
		const pair = (headwaySeconds: number) =>
			simpleDrill({
				group: { min: 2, ideal: 2, max: 8 },
				turn: { workSeconds: 8, headwaySeconds }
			});
		expect(codes(pair(5))).toEqual(['headway-unmet']);
		expect(codes(pair(8))).toEqual([]);
		const more = { ...pair(5), group: { min: 2, ideal: 6, max: 8 } };
		// Four spare players stand in the one line; the other is as empty as before.
		expect(codes(more)).toEqual(['headway-unmet']);
	});

	test('is a place at work that nobody leaves while others turn; named with its rung', () => {
		const held = simpleDrill({
			group: { min: 3, ideal: 5, max: 8 },
			spots: [
				{ id: 'go', role: 'worker', count: 1, line: true },
				{ id: 'back', role: 'feeder', count: 1 },
				{ id: 'guard', role: 'opponent', count: 1 }
			],
			rotation: { moves: { go: 'back', back: 'go' } }
		});
		expect(codes(held)).toEqual(['role-held guard']);
		const turns = { moves: { go: 'back', back: 'guard', guard: 'go' } };
		expect(codes({ ...held, rotation: turns })).toEqual([]);
		// Whoever wins stays, the loser goes: the place is left.
		const result = { share: 0.5, moves: { guard: 'go', go: 'guard' } };
		expect(codes({ ...held, rotation: { moves: held.rotation.moves, result } })).toEqual([]);
		const rung = { id: 'r', name: 'R', change: 'r', lever: 'opponents' as const };
		const onRung = {
			...held,
			rotation: turns,
			rungs: [{ ...rung, set: { rotation: held.rotation } }]
		};
		expect(drillHints(onRung, 15)).toEqual([{ code: 'role-held', spot: 'guard', rung: 'r' }]);
	});
});

test('a rung that asks for less than what stands right below it is worth a look; as much is not', () => {
	const rungOf = (id: string, set: RungChange) => ({
		...{ id, name: id, change: id, lever: 'pace' as const, set }
	});
	const of = (...rungs: [string, RungChange][]) =>
		drillHints(
			{
				...simpleDrill(),
				effort: 5,
				contact: 1,
				standardAt: 0,
				rungs: rungs.map(([id, set]) => rungOf(id, set))
			},
			15
		).flatMap((hint) => (hint.code === 'easier-than-below' ? [hint.rung] : []));
	expect(of(['a', { effort: 5 }], ['b', { effort: 6 }])).toEqual([]);
	expect(of(['a', { effort: 4 }], ['b', { effort: 6 }])).toEqual(['a']);
	expect(of(['a', { effort: 6 }], ['b', { effort: 6, contact: 0 }])).toEqual(['b']);
});
