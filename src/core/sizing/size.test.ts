import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { simulate } from '../drill';
import { anyDrill, simpleDrill } from '../../../tests/support/drills';
import { copiesInZone, mostStations, size, slotSeconds, type SizeInput } from '.';

function value(input: SizeInput) {
	const outcome = size(input);
	if (!outcome.ok) throw new Error(outcome.failure.message);
	return outcome.value;
}

describe('size', () => {
	test('splits everyone as evenly as can be, and gives each size what simulate gives it', () => {
		fc.assert(
			fc.property(anyDrill, fc.integer({ min: 0, max: 16 }), (drill, more) => {
				const players = drill.group.min + more;
				for (const { sizes, copies, reps } of value({ drill, players, minutes: 5 }).options) {
					expect(sizes).toHaveLength(copies);
					expect(sizes.reduce((a, b) => a + b)).toBe(players);
					expect(sizes[0] - sizes[copies - 1]).toBeLessThanOrEqual(1);
					const smallest = sizes.map((group) => {
						const run = simulate({ drill, players: group, minutes: 5 });
						return run.ok ? run.value.reps.min : NaN;
					});
					expect(reps.min).toBe(Math.min(...smallest));
				}
			}),
			{ seed: 11, numRuns: 80 }
		);
	});

	test('takes no free option for best that another free one beats', () => {
		fc.assert(
			fc.property(
				anyDrill,
				fc.integer({ min: 4, max: 20 }),
				fc.integer({ min: 0, max: 5 }),
				(drill, more, coaches) => {
					const players = drill.group.min + more;
					const { options, best } = value({ drill, players, minutes: 6, limits: { coaches } });
					const free = options.filter(({ blockedBy }) => blockedBy.length === 0);
					if (best === null) expect(free).toEqual([]);
					else expect(options[best].reps.min).toBe(Math.max(...free.map(({ reps }) => reps.min)));
				}
			),
			{ seed: 5, numRuns: 80 }
		);
	});

	test('names every reason that blocks, in order', () => {
		const drill = simpleDrill({
			coaches: { min: 1, ideal: 1 },
			fixtures: [{ item: 'goal', count: 1 }],
			kit: [
				{ item: 'ball', count: 2, per: 'copy' },
				{ item: 'ball', count: 1, per: 'player' }
			]
		});
		const zones = [{ id: 'a', length: 20, width: 10, fixtures: { goal: 1 } }];
		const { options } = value({
			drill,
			players: 12,
			minutes: 5,
			limits: { coaches: 1, zones, kit: { ball: 16 } }
		});
		expect(options.map(({ blockedBy }) => blockedBy).slice(0, 4)).toEqual([
			['size'],
			['coaches', 'fixtures'],
			['coaches', 'zones', 'kit'],
			['coaches', 'zones', 'kit']
		]);
	});

	test('takes other zones on the same ground where those that are given hold too few copies', () => {
		const drill = simpleDrill({ ground: { length: 10, width: 10 } });
		const zones = [
			{ id: 'a', length: 15, width: 10 },
			{ id: 'b', length: 15, width: 10 }
		];
		const orZones = [{ id: 'both', length: 30, width: 10 }];
		const blocks = (limits: object) =>
			value({ drill, players: 16, minutes: 5, limits: { zones, ...limits } })
				.options.filter(({ copies }) => copies === 3 || copies === 4)
				.map(({ blockedBy }) => blockedBy.includes('zones'));
		expect(blocks({})).toEqual([true, true]);
		expect(blocks({ orZones })).toEqual([false, true]);
	});

	test('asks for more players where even one copy cannot be filled', () => {
		const outcome = size({ drill: simpleDrill(), players: 1, minutes: 5 });
		expect(outcome).toMatchObject({ ok: false, failure: { code: 'too-few-players', needed: 2 } });
	});
});

test('a copy may be turned, and grows with the room that each player needs', () => {
	const zone = { length: 20, width: 31 };
	expect(copiesInZone({ ground: { length: 15, width: 10 } }, zone, 4)).toBe(4);
	expect(copiesInZone({ ground: { length: 15, width: 10, perPlayer: 60 } }, zone, 10)).toBe(1);
});

test('copies leave clear between them how far sticks and balls go; one alone needs no more than its own ground', () => {
	const zone = { length: 40, width: 12 };
	const drill = { ground: { length: 10, width: 10 }, hazards: { swing: 3, flight: 5 } };
	expect(copiesInZone({ ground: drill.ground }, zone, 4)).toBe(4);
	expect(copiesInZone(drill, zone, 4)).toBe(2);
	expect(copiesInZone(drill, { length: 45, width: 12 }, 4)).toBe(3);
	expect(copiesInZone(drill, { length: 10, width: 10 }, 4)).toBe(1);
	expect(copiesInZone(drill, { length: 9.9, width: 10 }, 4)).toBe(0);
});

test('slots share what the moves leave, and stations are no more than the age allows', () => {
	expect(slotSeconds(30, { slots: 4, moveSeconds: 30 })).toBe(427);
	expect(slotSeconds(1, { slots: 4, moveSeconds: 60 })).toBe(0);
	expect(mostStations(30, { age: 14, moveSeconds: 30 })).toBe(4);
	expect(mostStations(5, { age: 14, moveSeconds: 30 })).toBe(2);
});
