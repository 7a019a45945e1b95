import { describe, expect, test } from 'vitest';
import { fitToTime } from '../building';
import { describeEdit, describeFinding, describeFit, type FindingCode } from '.';
import type { Period, Practice } from '../model/practice';
import { evaluate, strainOf } from '../playing';
import { applyEdit, type Context } from '../practice';
import { demoPractice, withAdults } from '../../../tests/support/demo';
import {
	context,
	sound,
	after,
	withPeriod,
	drill,
	contexts,
	beforeIt,
	loaded,
	withLimits,
	find,
	of,
	places,
	faulty,
	without
} from '../../../tests/support/faulty';
import { speaker } from '$words';

const say = speaker(undefined);

/**
 * Which of two drills of one skill goes, which gives a skill, and who cleared a player is for others to say. The sun
 * may shine everywhere, and the shelf of the demo has nothing else for six, nor its ground another zone.
 */
const FOR_THE_COACH = new Set([
	...['skill-twice', 'floor-short', 'clearance-due', 'sun-on-catch'],
	...['age-unsuited', 'look-up-close']
]);

describe('check', () => {
	for (const [code, make] of Object.entries(faulty) as [FindingCode, () => Practice][])
		describe(code, () => {
			test('is found where it is, and said in a sentence', () => {
				const practice = make();
				const [finding] = of(practice, code, contexts[code]);
				expect(finding).toBeDefined();
				const said = describeFinding(finding, { practice, context }, say);
				expect(said).toMatch(/^[A-Z0-9].*\.$/s);
				expect(said).not.toMatch(/undefined|NaN|null/);
			});

			test('is not found where it is not', () => {
				expect(of((without[code] ?? sound)(), code)).toEqual([]);
			});

			test('goes away with each of its fixes, which can be named and taken back', () => {
				const practice = make();
				const found = of(practice, code, contexts[code]);
				const before = places(practice, code, contexts[code]);
				for (const finding of found) {
					const { fixes } = finding;
					if (!FOR_THE_COACH.has(code)) expect(fixes.length).toBeGreaterThan(0);
					for (const edit of fixes) {
						expect(describeEdit(edit, { practice, context }, say)).not.toMatch(
							/undefined|NaN|null/
						);
						const applied = applyEdit(practice, edit);
						if (!applied.ok) throw new Error(applied.failure);
						const left = places(applied.value.practice, code, contexts[code]);
						expect(left).not.toContainEqual(finding.at);
						expect(left.length).toBeLessThan(before.length);
						const back = applyEdit(applied.value.practice, applied.value.inverse);
						expect(back.ok && back.value.practice).toEqual(practice);
					}
				}
			});
		});

	test('lets a player be nowhere who is kept out of all that runs', () => {
		const practice = faulty['restricted-player']();
		const [finding] = of(practice, 'restricted-player');
		expect(
			of(after(practice, finding.fixes[0]), 'player-unplaced').filter(
				({ at }) => at.period === 'game'
			)
		).toEqual([]);
	});

	test('holds no ground for stations that have no time left beside the moves between them', () => {
		const short = withPeriod('stations', (period) => ({ ...period, minutes: 1, moveSeconds: 45 }));
		const codes = (practice: Practice) =>
			of(practice, 'zone-twice').map(({ at: { period, block } }) => [period, block]);
		expect(codes(short)).toEqual(codes(sound()));
		expect(of(short, 'slot-length')[0].values).toMatchObject({ minutes: 0 });
		expect(evaluate(short, context).runs.filter(({ run }) => run.slot !== null)).toEqual([]);
	});

	test('takes a player who comes to a station with a group out of that group', () => {
		const stations = sound().periods.find(({ id }) => id === 'stations') as Period;
		const players = (stations.groups ?? []).map((group) => group.players[0]);
		const [player] = players;
		const [lane] = stations.lanes;
		const beside: Period['lanes'][0] = {
			id: 'beside',
			zoneIds: ['f'],
			blocks: [
				{
					...lane.blocks[0],
					id: 'beside.b',
					drill: drill('reverse-gates'),
					climb: [{ minutes: 30 }],
					copies: [{ id: 'beside.c', zoneId: 'f', players, adults: [] }]
				}
			]
		};
		const twice = after(
			withPeriod('stations', (each) => ({ ...each, lanes: [...each.lanes, beside] })),
			{ type: 'set-block', block: 'press', set: { drill: drill('fork-in-the-path') } }
		);
		const isTheirs = ({ at }: { at: { player?: string } }) => at.player === player;
		const finding = of(twice, 'player-twice').find(isTheirs);
		const mended = (finding?.fixes ?? []).map((fix) => after(twice, fix));
		expect(mended.map((each) => of(each, 'player-twice').filter(isTheirs))).toEqual([[], []]);
		const said = finding?.fixes.map((fix) => describeEdit(fix, { practice: twice, context }, say));
		expect(said?.some((each) => / from Four stations$/.test(each))).toBe(true);
	});

	test('counts only adults who may have players of this age in charge', () => {
		const older = withAdults(context, (adult) => ({ ...adult, ages: { from: 15, to: 18 } }));
		const [finding] = of(sound(), 'adults-few', older);
		expect(finding.values).toMatchObject({ adults: 0 });
		expect(of(sound(), 'adults-few')).toEqual([]);
	});

	test('counts adults only from when they come, and says until when too few are there', () => {
		const practice = { ...sound(), late: { head: 10 } };
		const adults = ['head', practice.adults.filter((id) => id !== 'head')[0]];
		const [finding] = of({ ...practice, adults }, 'adults-few');
		expect(finding.values).toMatchObject({ adults: 1, needed: 2, until: 600 });
		expect(describeFinding(finding, { practice, context }, say)).toMatch(
			/1 is there until 18:40\.$/
		);
		// Players who come later need nobody before they come.
		const few = Object.fromEntries(practice.expected.slice(12).map((id) => [id, 15]));
		const later = { ...practice, adults, late: { head: 10, ...few } };
		expect(of(later, 'adults-few').filter(({ at }) => !at.block)).toEqual([]);
	});

	test('never proposes that nobody comes', () => {
		const nobody = { ...sound(), adults: [] };
		const none = { ...context, adults: [] };
		const there = of(nobody, 'adults-few', none).filter(({ at }) => !at.block);
		expect(there.map(({ fixes }) => fixes)).toEqual([[]]);
	});

	test('says when something is by the clock, not by minutes from the start', () => {
		const practice = { ...sound(), start: '18:30' };
		const finding = {
			code: 'water-gap' as const,
			severity: 'warn' as const,
			at: { fromSecond: 22 * 60 },
			values: { minutes: 30, limit: 20, last: 'x' },
			fixes: []
		};
		expect(describeFinding(finding, { practice, context }, say)).toContain('from 18:52;');
	});

	test('holds each player to the cap of their age, over all that the day holds of it', () => {
		const caps = (...loads: Context['limits']['loads']) => loaded(withLimits({ loads }));
		const { runs } = evaluate(sound(), caps());
		const turns = new Map<string, number>();
		for (const { run, steps, tallies } of runs)
			for (const [k, { system, drill: each }] of steps.entries())
				for (const [index, player] of each.id === 'shooting-arc' ? run.players.entries() : []) {
					const spot = system.spots.findIndex(({ id }) => id === 'shooter');
					const own = tallies[k].sides.reduce((sum, side) => sum + side.spotTurns[spot][index], 0);
					turns.set(player, (turns.get(player) ?? 0) + own);
				}
		const most = 2 * Math.max(...turns.values());
		expect(most).toBeGreaterThan(4);
		expect(of(sound(), 'load-day', caps({ kind: 'pushes', day: most }))).toEqual([]);
		expect(of(sound(), 'load-day', caps({ kind: 'kicks', day: 0 }))).toEqual([]);
		const [finding] = of(sound(), 'load-day', caps({ kind: 'pushes', day: most - 1 }));
		expect(finding.values).toMatchObject({ kind: 'pushes', count: most, limit: most - 1 });
		// A cap for the young does not hold for those who are older.
		const young = { kind: 'pushes', day: 2, under: 10 };
		expect(of(sound(), 'load-day', caps(young))).toEqual([]);
		expect(of(sound(), 'load-day', caps({ ...young, under: 99 }))).toHaveLength(1);
	});

	test('adds what the six days before have cost to what the day costs', () => {
		const around = withLimits({ contactLevel: 1, contactDayMinutes: 600 });
		const strain = strainOf(evaluate(sound(), around));
		const most = Math.max(
			...Object.values(strain).map(({ contact = {} }) =>
				Object.values(contact).reduce((sum, minutes) => sum + minutes, 0)
			)
		);
		expect(most).toBeGreaterThan(20);
		const left = (minutes: number) => beforeIt(around, { contact: { 1: minutes } });
		expect(of(sound(), 'contact-week', left(60 - most))).toEqual([]);
		const [week] = of(sound(), 'contact-week', left(61 - most));
		expect(week.values).toEqual({ minutes: Math.ceil(61), limit: 60 });
		// Softer contact before does not count, and nothing is known where nothing came.
		expect(of(sound(), 'contact-week', beforeIt(around, { loads: { 1: 90 } }))).toEqual([]);
		const caps = loaded(withLimits({ loads: [{ kind: 'pushes', week: 60 }] }));
		const pushes = Object.values(strainOf(evaluate(sound(), caps)));
		const hardest = Math.max(...pushes.map(({ loads = {} }) => loads.pushes ?? 0));
		const soFar = (count: number) => beforeIt(caps, { loads: { pushes: count } });
		expect(of(sound(), 'load-week', soFar(60 - hardest))).toEqual([]);
		expect(of(sound(), 'load-week', soFar(61 - hardest))[0].values).toMatchObject({ count: 61 });
	});

	test('counts the practices that a player came to before hard contact, and full contact later', () => {
		const around = withLimits({ contactLevel: 1 });
		const came = (attended: number, id = '') => {
			const known = beforeIt(around, {});
			const own = { ...known.before?.attended, ...(id && { [id]: attended }) };
			const all = Object.fromEntries(Object.keys(own).map((each) => [each, attended]));
			return { ...known, before: { week: [], attended: id ? own : all } };
		};
		expect(of(sound(), 'contact-ramp', around)).toEqual([]);
		expect(of(sound(), 'contact-ramp', came(2))).toEqual([]);
		const [all] = of(sound(), 'contact-ramp', came(1));
		expect(all.values).toMatchObject({ attended: 1, needed: 2 });
		const [player] = sound().expected;
		const [one] = of(sound(), 'contact-ramp', came(0, player));
		expect(one.values).toMatchObject({ attended: 0, needed: 2, player, players: 1 });
		expect(describeFinding(one, { practice: sound(), context }, say)).toMatch(
			/has come to no practice of the season: 2 must come before it/
		);
	});

	test('lets one adult watch two stations of the young side by side, and no third', () => {
		const young = { ...context, team: { ...context.team, ages: { from: 8, to: 9 } } };
		const watched = (sight: number) =>
			of(sound(), 'adults-few', { ...young, limits: { ...young.limits, stationsInSight: sight } })
				.filter(({ values }) => 'zones' in values)
				.flatMap(({ among }) => among.blocks);
		expect(watched(1).length).toBeGreaterThan(watched(4).length);
		expect(watched(1).length).toBeGreaterThanOrEqual(watched(2).length);
	});

	test('lists what would stop the practice first', () => {
		const order = find(faulty['over-time']()).map(({ severity }) => severity);
		expect(order).toEqual(
			order.toSorted((a, b) => 'stop warn hint'.indexOf(a) - 'stop warn hint'.indexOf(b))
		);
	});

	test('says what a fit changed', () => {
		const before = { ...sound(), minutes: 60 };
		const fitting = fitToTime(before, context.limits);
		if (!fitting.ok) throw new Error(fitting.failure.message);
		expect(describeFit(before, after(before, fitting.value), say)).toMatch(
			/^Fitted: .*Eight a side dropped\.$/
		);
		expect(describeFit(before, before, say)).toBe('Everything fits as it is.');
	});

	test('finds nothing to say about an empty practice', () => {
		expect(find({ ...demoPractice(), periods: [] })).toEqual([]);
	});
});

test('what an absence stops is told with how many are missing, one or many', () => {
	const said = (practice: Practice) =>
		of(practice, 'not-here').map((finding) => describeFinding(finding, { practice, context }, say));
	const practice = sound();
	const away = (players: number, adults: number): Practice => ({
		...practice,
		expected: practice.expected.slice(players),
		adults: practice.adults.slice(adults)
	});
	expect(said(practice)).toEqual([]);
	const placed = new Set(
		practice.periods.flatMap(({ groups = [], lanes }) => [
			...groups.flatMap(({ players }) => players),
			...lanes.flatMap(({ blocks }) =>
				blocks.flatMap(({ copies }) => copies.flatMap(({ players }) => players))
			)
		])
	);
	const gone = practice.expected.slice(0, 6).filter((id) => placed.has(id)).length;
	expect(said(away(6, 0))[0]).toMatch(
		new RegExp(`^${gone} players who have a place here do not come: [2-9] parts do not run`)
	);
	expect(said(away(6, 1))[0]).toMatch(new RegExp(`^${gone} players and 1 adult who have a place`));
});
