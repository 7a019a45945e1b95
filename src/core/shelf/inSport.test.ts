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
});
