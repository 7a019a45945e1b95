import { describe, expect, test } from 'vitest';
import { playerSystem, resolveDrill, simulate } from './drill';
import { demoContext, demoPractice } from '../../tests/support/demo';

const { shelf, kit, ground, players } = demoContext();

describe('the demo', () => {
	test('has a shelf of at least 16 drills, and 24 players of whom 22 come', () => {
		expect(shelf.length).toBeGreaterThanOrEqual(16);
		expect(players).toHaveLength(24);
		expect(demoPractice().expected).toHaveLength(22);
	});

	for (const drill of shelf)
		describe(drill.id, () => {
			test('runs on every rung with its least, ideal and most players', () => {
				for (const rung of [undefined, ...drill.rungs.map(({ id }) => id)]) {
					const resolved = resolveDrill(drill, rung);
					if (!resolved.ok) throw new Error(resolved.failure.message);
					const { min, ideal, max } = resolved.value.group;
					for (const count of [min, ideal, max]) {
						const run = simulate({ drill, rung, players: count, minutes: 10, adults: 0 });
						expect(run.ok ? 'runs' : `${rung}: ${run.failure.message}`).toBe('runs');
					}
				}
			});

			test('keeps waiting within 60 % at its ideal number, unless it rests by design', () => {
				const run = simulate({ drill, players: drill.group.ideal, minutes: 12 });
				const wait = run.ok ? run.value.share.wait : 1;
				if (!drill.restByDesign) expect(wait).toBeLessThanOrEqual(0.6);
			});

			test('asks for kit and fixtures that there are, and names spots and rungs that it has', () => {
				const standing = ground.zones.map(({ fixtures }) => fixtures ?? {});
				for (const { item } of drill.kit) expect(kit).toHaveProperty([item]);
				for (const { item, count } of drill.fixtures ?? [])
					expect(standing.some((fixtures) => (fixtures[item] ?? 0) >= count)).toBe(true);
				const spots = drill.spots.map(({ id }) => id);
				for (const { spot } of drill.cues) if (spot) expect(spots).toContain(spot);
				const rungs = drill.rungs.map(({ id }) => id);
				for (const need of drill.rungs.flatMap(({ needs = [] }) => needs))
					expect(rungs).toContain(need);
				expect(playerSystem(drill, 9).ok).toBe(true);
			});
		});
});
