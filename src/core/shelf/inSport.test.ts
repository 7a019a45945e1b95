import { describe, expect, test } from 'vitest';
import { demoContext } from '../../../tests/support/demo';
import type { Drill } from '../model/drill';
import { DEFAULT_LIMITS } from '../practice';
import { inSport, type SportFacts } from '.';

const drillOf = (id: string) => demoContext().shelf.find((each) => each.id === id) as Drill;
const game: Drill = { ...drillOf('eight-a-side'), contact: 0, rungs: [], cautions: [] };
const pairs: Drill = {
	...drillOf('two-touch-squares'),
	turn: {
		...{ workSeconds: 10, headwaySeconds: 10 },
		loads: [
			{ kind: 'sends', count: 2 },
			{ kind: 'jumps', count: 1 }
		]
	}
};
const hard: SportFacts = {
	...{ contact: { game: 4, small: 2 }, hazards: { swing: 3, flight: 5 } },
	...{ softBall: { item: 'soft ball', under: 12 }, sends: 'throws', loads: ['throws'] }
};
const at = (age: number, drill: Drill, sport = hard) =>
	inSport(drill, sport, { age, limits: DEFAULT_LIMITS });

describe('a drill for any sport in one', () => {
	test('has the contact of its games, no more than suits the age, and says so', () => {
		expect(at(20, game)).toMatchObject({ contact: 4, cautions: [] });
		expect(at(10, game).contact).toBe(2);
		expect(at(10, game).cautions).toHaveLength(1);
		expect(at(20, { ...game, live: false }).contact).toBe(0);
		expect(at(20, game, {}).contact).toBe(2);
		const guarded: Drill = { ...pairs, rungs: [{ ...drillOf('mooring-line').rungs[1] }] };
		expect(at(20, guarded)).toMatchObject({ contact: 0, rungs: [{ set: { contact: 2 } }] });
	});

	test('keeps clear what swings and flies where a ball is played, and nowhere else', () => {
		expect(at(20, pairs).hazards).toEqual({ swing: 3, flight: 5 });
		expect(at(20, { ...pairs, kit: [] }).hazards).toBeUndefined();
		const own = { ...pairs, hazards: { flight: 9 } };
		expect(at(20, own).hazards).toEqual({ swing: 3, flight: 9 });
	});

	test('is played with a soft ball by the young', () => {
		const ball = (age: number) => at(age, pairs).kit.map(({ item }) => item);
		expect(ball(11)).toContain('soft ball');
		expect(ball(12)).toContain('ball');
	});

	test('costs what the sport counts, under its own name', () => {
		expect(at(20, pairs).turn.loads).toEqual([{ kind: 'throws', count: 2 }]);
		expect(at(20, pairs, {}).turn).not.toHaveProperty('loads');
	});

	test('is a game of the sides of the sport, on a share of its ground for each, less for the young', () => {
		const fleet: Drill = {
			...game,
			group: { min: 8, ideal: 12, max: 24 },
			spots: game.spots.map((spot) => ({
				...spot,
				role: 'worker',
				count: 4,
				upTo: 10,
				line: true
			})),
			ground: { length: 12, width: 9 }
		};
		const sides = fleet.spots.length;
		const court: SportFacts = {
			team: ['a', 'b', 'c', 'd', 'e'],
			ground: { ...demoContext().ground, length: 28, width: 15 }
		};
		const small = at(20, fleet, court);
		expect(small.spots.every(({ upTo }) => upTo === 5)).toBe(true);
		// Those who play and four who wait to come on; 0.4 of the 42 square metres that each of ten has.
		expect(small.group).toEqual({ min: 8, ideal: 12, max: Math.min(24, 5 * sides + 4) });
		expect(small.ground.perPlayer).toBe(17);
		expect(at(11, fleet, court).ground.perPlayer).toBe(10);
		const wide = { ...court, ground: { ...demoContext().ground, length: 150, width: 100 } };
		expect(at(20, fleet, wide).ground.perPlayer).toBe(100);
		expect(at(20, { ...fleet, family: 'small-games' }, court).group.max).toBe(24);
		expect(at(20, fleet, {}).ground).toEqual(fleet.ground);
	});
});
