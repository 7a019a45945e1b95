import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { drillMisfit, simulate } from '../drill';
import type { Scene, Seed } from '../model/scene';
import type { Game } from '../model/season';
import { drillAlone, evaluate, standingsAt } from '../playing';
import {
	drawingOf,
	gameWeekOf,
	LIVE_RUNG,
	nextGame,
	sceneDrill,
	sceneFault,
	sceneOf,
	startsOf
} from './index';

const WORDS = {
	summary: 'Walked through, then live.',
	live: 'Live',
	liveChange: 'Full pace.',
	counts: 'Found'
};
const OPTIONS = {
	...{ id: 'late-switch', sport: 'any', players: 22, units: { keepers: 2 }, contact: 2, effort: 6 },
	...{ most: { length: 60, width: 50 }, ball: 'ball', cautions: ['Sticks stay low.'], words: WORDS }
};
const SCENE: Scene = {
	name: 'Late switch',
	ground: { length: 70, width: 46 },
	tokens: [
		{ id: 'Keeper', side: 'ours', x: 20, y: 23, unit: 'keepers' },
		{ id: 'Back', side: 'ours', x: 30, y: 15 },
		{ id: '9', side: 'theirs', x: 34, y: 20 },
		{ id: '10', side: 'theirs', x: 42, y: 36 }
	],
	ways: [
		{ from: '10', to: '9', kind: 'flight', step: 1 },
		{ from: '9', to: [24, 22], kind: 'carry', step: 2 }
	],
	ball: [42, 36],
	skills: ['defending', 'decisions/2'],
	call: 'Across!'
};

const randomScene = fc
	.record({
		tokens: fc.array(
			fc.record({
				side: fc.constantFrom('ours' as const, 'theirs' as const),
				x: fc.integer({ min: 0, max: 140 }).map((half) => half / 2),
				y: fc.integer({ min: 0, max: 80 }).map((half) => half / 2)
			}),
			{ minLength: 1, maxLength: 22 }
		),
		hasBall: fc.boolean()
	})
	.map(({ tokens, hasBall }): Scene => ({
		name: 'Any',
		ground: { length: 70, width: 40 },
		tokens: tokens.map((token, k) => ({ id: `t${k}`, ...token })),
		...(hasBall && { ball: [35, 20] })
	}));

describe('sceneDrill', () => {
	it('begins with everybody where the scene has them, to scale', () => {
		fc.assert(
			fc.property(randomScene, (scene) => {
				const drill = sceneDrill(scene, { ...OPTIONS, units: {}, most: { length: 90, width: 90 } });
				expect(drillMisfit(drill)).toBeNull();
				const alone = drillAlone(drill, {
					...{ players: scene.tokens.length, climb: [{ minutes: 5 }], minutes: 5, adults: 1 }
				});
				const evaluation = evaluate(alone.practice, alone.context);
				const [played] = evaluation.runs;
				expect(played.fault).toBeNull();
				const stand = standingsAt(evaluation, played.playsFrom + 0.01).filter(({ person }) =>
					evaluation.context.playerById.has(person)
				);
				expect(stand).toHaveLength(scene.tokens.length);
				// Distances between all of them are those that were drawn.
				const distances = (points: readonly { x: number; y: number }[]) =>
					points
						.flatMap((a, k) => points.slice(k + 1).map((b) => Math.hypot(a.x - b.x, a.y - b.y)))
						.sort((a, b) => a - b);
				const drawn = distances(scene.tokens);
				distances(stand).forEach((metres, k) => expect(metres).toBeCloseTo(drawn[k], 0));
			}),
			{ seed: 4, numRuns: 60 }
		);
	});

	it('is drawn smaller where the ground is smaller, and lies within it', () => {
		fc.assert(
			fc.property(randomScene, fc.integer({ min: 8, max: 60 }), (scene, length) => {
				const { ground, spots } = sceneDrill(scene, { ...OPTIONS, most: { length, width: 20 } });
				expect(ground.length).toBeLessThanOrEqual(length);
				expect(ground.width).toBeLessThanOrEqual(20);
				for (const { x = -1, y = -1 } of spots) {
					expect(x).toBeGreaterThanOrEqual(0);
					expect(x).toBeLessThanOrEqual(ground.length);
					expect(y).toBeGreaterThanOrEqual(0);
					expect(y).toBeLessThanOrEqual(ground.width);
				}
			}),
			{ seed: 5, numRuns: 60 }
		);
	});

	it('puts markers for those furthest from the ball where few come, and never for the last of ours', () => {
		const few = sceneDrill(SCENE, { ...OPTIONS, players: 2 });
		const held = few.spots.filter(({ by }) => by !== 'marker').map(({ id }) => id);
		expect(held).toEqual(['Back', '10']);
		expect(few.group.min).toBe(2);
		expect(sceneDrill(SCENE, { ...OPTIONS, players: 1 }).group.min).toBe(1);
	});

	it('walks first without contact, then plays live with what the team plays with', () => {
		const drill = sceneDrill(SCENE, OPTIONS);
		expect(drill).toMatchObject({ contact: 0, effort: 2, cautions: ['Sticks stay low.'] });
		expect(drill.rungs[0]).toMatchObject({
			...{ id: LIVE_RUNG, set: { contact: 2, effort: 6, live: true } }
		});
		expect(drill.spots.map(({ unit }) => unit)).toEqual([
			'keepers',
			undefined,
			undefined,
			undefined
		]);
		const noKeeper = sceneDrill(SCENE, { ...OPTIONS, units: {} });
		expect(noKeeper.spots[0].unit).toBeUndefined();
		const run = simulate({
			drill: noKeeper,
			players: 6,
			climb: [{ minutes: 2 }, { rung: LIVE_RUNG, minutes: 3 }]
		});
		expect(run.ok && run.value.reps.min).toBeGreaterThan(0);
	});
});

describe('drawingOf', () => {
	it('comes back as it was, with ways from the ball at its place', () => {
		fc.assert(
			fc.property(randomScene, (scene) => {
				const { name: _name, ...drawn } = scene;
				expect(sceneOf(drawingOf(scene))).toEqual(drawn);
			}),
			{ seed: 7, numRuns: 40 }
		);
		const drawing = drawingOf(SCENE);
		const paths = [{ from: 'Ball', to: 'Back', kind: 'flight' as const }];
		expect(sceneOf({ ...drawing, paths }).ways).toEqual([
			{ from: [42, 36], to: 'Back', kind: 'flight' }
		]);
	});
});

describe('sceneFault', () => {
	it('names what is drawn beside the ground, called alike or not there', () => {
		const fault = (change: Partial<Scene>) => sceneFault({ ...SCENE, ...change });
		expect(fault({})).toBeNull();
		expect(fault({ tokens: [...SCENE.tokens, SCENE.tokens[0]] })).toEqual({
			...{ path: ['tokens', 4, 'id'], code: 'token-twice', value: 'Keeper' }
		});
		const [keeper] = SCENE.tokens;
		expect(fault({ tokens: [{ ...keeper, id: 'Ball' }], ways: [] })?.code).toBe('token-twice');
		expect(fault({ ball: [71, 3] })).toMatchObject({ path: ['ball'], code: 'off-ground' });
		expect(fault({ ways: [{ from: 'Back', to: 'Wing', kind: 'run' }] })).toMatchObject({
			...{ path: ['ways', 0, 'to'], code: 'no-token', value: 'Wing' }
		});
	});
});

const day = (n: number) => `2027-05-${String(n).padStart(2, '0')}`;
const seedFor = (game: string, k: number): Seed => ({ ...SCENE, id: `${game}-${k}`, game });

describe('gameWeekOf', () => {
	const weeks = fc.record({
		practices: fc.uniqueArray(fc.integer({ min: 1, max: 31 }), { minLength: 1, maxLength: 14 }),
		games: fc.uniqueArray(fc.integer({ min: 1, max: 31 }), { maxLength: 4 }),
		cancelled: fc.array(fc.integer({ min: 1, max: 31 }), { maxLength: 6 }),
		prepares: fc.constantFrom('both' as const, 'seeds' as const, 'talk' as const)
	});

	it('seeds every practice up to the next game, the more often the nearer it is, and talks once', () => {
		fc.assert(
			fc.property(weeks, ({ practices, games, cancelled, prepares }) => {
				const season = {
					prepares,
					games: games.map((n): Game => ({
						...{ id: `g${n}`, date: day(n), opponent: 'Orrin Quay' },
						...(cancelled.includes(n) && { cancelled: 'Frost' })
					})),
					seeds: games.flatMap((n) => [seedFor(`g${n}`, 1), seedFor(`g${n}`, 2)])
				};
				const all = practices
					.toSorted((a, b) => a - b)
					.map((n) => ({
						...{ id: `p${n}`, date: day(n), start: '18:30', isCancelled: cancelled.includes(n + 1) }
					}));
				const played = games.filter((n) => !cancelled.includes(n)).sort((a, b) => a - b);
				const talks = new Map<string, number>();
				let before: { game: string; every: number } | null = null;
				for (const practice of all) {
					const week = gameWeekOf(season, practice, all);
					// A game whose time is not known is after the practices of its day.
					const next = played.find((n) => day(n) >= practice.date);
					if (practice.isCancelled || next === undefined) {
						expect(week).toBeNull();
						continue;
					}
					expect(week?.game.id).toBe(`g${next}`);
					const { every = 0, seeds = [], hasTalk = false } = week ?? {};
					expect(seeds.map(({ game }) => game)).toEqual(
						prepares === 'talk' ? [] : [`g${next}`, `g${next}`]
					);
					if (before?.game === `g${next}`) expect(every).toBeLessThanOrEqual(before.every);
					before = { game: `g${next}`, every };
					if (hasTalk) talks.set(`g${next}`, (talks.get(`g${next}`) ?? 0) + 1);
				}
				for (const [, count] of talks) expect(count).toBe(1);
				if (prepares === 'seeds') expect(talks.size).toBe(0);
			}),
			{ seed: 6, numRuns: 300 }
		);
	});

	it('takes the seeds in turn, every so manieth start', () => {
		const [a, b] = [seedFor('g', 1), seedFor('g', 2)];
		const week = { seeds: [a, b], every: 3 };
		expect(startsOf(week, a, 16)).toEqual([3, 9, 15]);
		expect(startsOf(week, b, 16)).toEqual([6, 12]);
		expect(startsOf({ seeds: [a], every: 2 }, a, 7)).toEqual([2, 4, 6]);
		expect(startsOf({ seeds: [], every: 3 }, a, 9)).toEqual([]);
	});

	it('passes over games that are cancelled or over', () => {
		const games: Game[] = [
			{ id: 'a', date: day(3), opponent: 'Tessel Mill', start: '10:00' },
			{ id: 'b', date: day(5), opponent: 'Tessel Mill', cancelled: 'Wind' },
			{ id: 'c', date: day(9), opponent: 'Orrin Quay' }
		];
		expect(nextGame({ games }, { date: day(3), start: '09:00' })?.id).toBe('a');
		expect(nextGame({ games }, { date: day(3), start: '10:00' })?.id).toBe('c');
		expect(nextGame({ games }, { date: day(10), start: '09:00' })).toBeUndefined();
	});
});
