import { describe, expect, test } from 'vitest';
import type { Drill } from '../model/drill';
import type { Limits } from '../model/limits';
import type { Practice } from '../model/practice';
import type { Restriction } from '../model/team';
import { isOpposed, isTwoSided } from '../model/family';
import { evaluate, keptOutOfDrill } from '../playing';
import { unsuited, withDrills, type Context } from '../practice';
import {
	after,
	beforeIt,
	context,
	faulty,
	loaded,
	of,
	sound,
	withLimits
} from '../../../tests/support/faulty';

const of4 = (set: Partial<Drill>, id = 'shooting-arc'): Context =>
	withDrills(
		context,
		context.drills.map((each) => (each.id === id ? { ...each, ...set } : each))
	);
const found = (code: Parameters<typeof of>[1], around: Context, practice = sound()) =>
	of(practice, code, around).length > 0;

describe('who is kept out of contact', () => {
	const own: Restriction = { from: 'contact', setBy: 'Dr Ash' };
	const player = { id: 'x', name: 'X', restrictions: [own] };
	const isOut = (run: Partial<Drill>) =>
		keptOutOfDrill(
			player,
			{ ...(context.shelf.find(({ id }) => id === 'two-touch-squares') as Drill), ...run },
			{ practice: sound(), context }
		) !== undefined;
	const side = (id: string, role: 'worker' | 'opponent' | 'feeder', count: number) => ({
		...{ id, role, count }
	});

	test('is out of any live play of two sides, and in what is not', () => {
		expect(isOut({ live: true, spots: [side('a', 'worker', 4), side('b', 'worker', 4)] })).toBe(
			true
		);
		expect(isOut({ live: true, spots: [side('a', 'worker', 1), side('b', 'opponent', 1)] })).toBe(
			true
		);
		expect(isOut({ live: true, spots: [side('a', 'worker', 1), side('b', 'feeder', 2)] })).toBe(
			false
		);
		expect(isOut({ spots: [side('a', 'worker', 4), side('b', 'worker', 4)] })).toBe(false);
		expect(isOut({ contact: 1 })).toBe(true);
	});

	test('every game of the shelf is play of two sides', () => {
		const games = context.shelf.filter(({ family }) => family === 'scrimmage');
		expect(games.length).toBeGreaterThan(0);
		for (const game of games) expect([game.id, isTwoSided(game)]).toEqual([game.id, true]);
	});
});

test('contact one level below hard contact counts by its weight', () => {
	const minutes = (lightContactShare: number) =>
		of(
			sound(),
			'contact-day',
			withLimits({ contactLevel: 3, contactDayMinutes: 1, lightContactShare })
		)
			.map(({ values }) => (values as { minutes: number }).minutes)
			.at(-1);
	// Eighteen minutes of the game at level 2.
	expect(minutes(0.5)).toBe(9);
	expect(minutes(0.25)).toBe(5);
	expect(minutes(0)).toBeUndefined();
});

test('two days in a row may each hold the share of contact, and no more', () => {
	const limits = { contactLevel: 1, contactDayMinutes: 20, contactRowShare: 0.5 };
	const had = (minutes: number, date: string, set: Partial<Limits> = {}) =>
		found(
			'contact-row',
			beforeIt(withLimits({ ...limits, ...set }), { contact: { 1: minutes } }, date)
		);
	expect(had(10, '2027-04-05')).toBe(false);
	expect(had(10.1, '2027-04-05')).toBe(true);
	expect(had(15, '2027-04-04')).toBe(false);
	expect(had(15, '2027-04-05', { contactRowShare: 1, contactDayMinutes: 200 })).toBe(false);
});

describe('ages', () => {
	const aged = (from: number, run: Partial<Drill>) =>
		unsuited(
			{ effort: 5, contact: 0, ...run },
			{ team: { ...context.team, ages: { from, to: from + 1 } }, limits: context.limits }
		)?.what;

	test('ten-year-olds get neither effort 9 nor contact 3, sixteen-year-olds may', () => {
		expect(aged(10, { effort: 8 })).toBeUndefined();
		expect(aged(10, { effort: 9 })).toBe('effort');
		expect(aged(10, { contact: 2 })).toBeUndefined();
		expect(aged(10, { contact: 3 })).toBe('contact');
		expect(aged(16, { effort: 10, contact: 4 })).toBeUndefined();
	});

	test('a drill is for a team whose youngest and oldest it is meant for', () => {
		expect(aged(10, { ages: { from: 10, to: 11 } })).toBeUndefined();
		expect(aged(10, { ages: { from: 11, to: 20 } })).toBe('ages');
		expect(aged(10, { ages: { from: 6, to: 10 } })).toBe('ages');
	});
});

test('a drill keeps the days before a game that it names', () => {
	const near = (nextGame: string) =>
		found('game-near', {
			...of4({ notWithinDaysOfGame: 2 }),
			before: { attended: {}, week: [], nextGame }
		});
	expect(near('2027-04-08')).toBe(true);
	expect(near('2027-04-09')).toBe(false);
});

test('a drill that wants more warm-up than hard work does gets it', () => {
	const needs = (warmUpMinutes: number) => found('no-warm-up', of4({ warmUpMinutes, effort: 3 }));
	expect(needs(10)).toBe(false);
	expect(needs(11)).toBe(true);
});

test('who threw much rests for its days, and not one longer', () => {
	const rest = [{ kind: 'pushes', from: 20, days: 2 }];
	const unrested = (count: number, date: string) =>
		found(
			'load-rest',
			beforeIt(loaded(withLimits({ rest, loads: [] })), { loads: { pushes: count } }, date)
		);
	expect(unrested(20, '2027-04-04')).toBe(true);
	expect(unrested(19, '2027-04-04')).toBe(false);
	expect(unrested(40, '2027-04-03')).toBe(false);
});

describe('eyes', () => {
	const { team } = context;
	const without = (set: Partial<Drill>, from: number) =>
		of(
			after(sound(), {
				type: 'set-block',
				block: 'reverse',
				set: { copies: [{ id: 'reverse-c', zoneId: 'd', players: [], adults: [] }] }
			}),
			'adults-few',
			{
				...of4(set, 'reverse-gates'),
				team: { ...team, ages: { from, to: from + 2 } },
				limits: { ...context.limits, stationsInSight: 1 }
			}
		).some(({ among }) => among.blocks.includes('reverse'));

	test('contact of 2 and catches under the sky are watched at every age under 18', () => {
		expect(without({ contact: 2, coaches: { min: 0, ideal: 0 } }, 17)).toBe(true);
		expect(without({ contact: 1, coaches: { min: 0, ideal: 0 } }, 17)).toBe(false);
		expect(without({ contact: 2, coaches: { min: 0, ideal: 0 } }, 18)).toBe(false);
		expect(without({ hazards: { looksUp: true }, coaches: { min: 0, ideal: 0 } }, 14)).toBe(true);
	});
});

describe('long work', () => {
	test('of one drill is told from half a minute over, on one rung of it', () => {
		const long = (minutes: number) =>
			found(
				'drill-long',
				withLimits({ drillMinutes: [{ under: 100, minutes }] }),
				faulty['drill-long']()
			);
		expect(long(15.5)).toBe(false);
		expect(long(15)).toBe(true);
	});

	test('that is hard is told where no easy stretch lies between; a drink is none', () => {
		const hard = faulty['hard-long']();
		const told = (set: Partial<Limits>) => found('hard-long', withLimits(set), hard);
		const [{ values }] = of(hard, 'hard-long');
		const { minutes } = values as { minutes: number };
		expect(told({ hardMinutes: minutes - 1 })).toBe(true);
		expect(told({ hardMinutes: minutes + 1 })).toBe(false);
		expect(told({ hardMinutes: minutes - 1, easyMinutes: 2 })).toBe(false);
	});
});

test('a game counts as opposed, whether or not a spot of it is called an opponent', () => {
	const played = evaluate(sound(), context);
	const game = played.runs.find(({ run }) => run.block.id === 'eight');
	expect(game?.run.drill && isOpposed(game.run.drill)).toBe(true);
	const sums = game?.sums ?? [];
	expect(sums.length).toBeGreaterThan(10);
	for (const { opposedSeconds, activeSeconds, helpSeconds } of sums)
		expect(opposedSeconds).toBeCloseTo(activeSeconds + helpSeconds, 6);
});

test('a drill is laid out while it is explained where somebody has hands free, and clashes where that is too short', () => {
	const practice = faulty['setup-clash']();
	const adults = practice.adults.slice(0, 1);
	const ofAll = (set: Partial<Drill>) =>
		withDrills(
			context,
			context.drills.map((each) => ({ ...each, ...set }))
		);
	const within = { explainSeconds: 30, setup: { seconds: 45 } };
	const clashes = (set: Partial<Drill>, of: Practice = practice) =>
		found('setup-clash', ofAll(set), of);
	expect(clashes(within)).toBe(false);
	expect(clashes({ ...within, setup: { seconds: 46 } })).toBe(true);
	expect(clashes({ ...within, explainSeconds: 29 })).toBe(true);
	expect(clashes(within, { ...practice, adults })).toBe(true);
	expect(clashes({ ...within, setup: { seconds: 45, adults: practice.adults.length } })).toBe(true);
});

test('a zone is too small from the first copy on that it does not hold', () => {
	const practice = faulty['zone-small']();
	const { zoneId } = practice.periods.flatMap(({ lanes }) =>
		lanes.flatMap(({ blocks }) => blocks.flatMap(({ id, copies }) => (id === 'sq' ? copies : [])))
	)[0];
	const copies = practice.periods.flatMap(({ lanes }) =>
		lanes.flatMap(({ blocks }) => blocks.flatMap(({ id, copies: own }) => (id === 'sq' ? own : [])))
	).length;
	const within = (metres: number): boolean => {
		const zones = context.ground.zones.map((zone) =>
			zone.id === zoneId ? { ...zone, length: metres, width: 10 } : zone
		);
		const ground = { ...context.ground, zones };
		const squares = of4({ ground: { length: 10, width: 10 } }, 'two-touch-squares');
		const around: Context = {
			...squares,
			ground,
			zoneById: new Map(zones.map((zone) => [zone.id, zone]))
		};
		return of(practice, 'zone-small', around).some(({ at }) => at.block === 'sq');
	};
	expect(within(10 * copies)).toBe(false);
	expect(within(10 * copies - 0.1)).toBe(true);
});
