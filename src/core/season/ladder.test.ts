import { describe, expect, test } from 'vitest';
import { demoContext, demoPractice } from '../../../tests/support/demo';
import type { Drill } from '../model/drill';
import type { Push, Ruling, Tally } from '../model/ladders';
import type { Season } from '../model/season';
import { evaluate } from '../playing';
import { dueOn } from './dueNow';
import { figuresOf } from './figures';
import { floorsIn } from './floors';
import { ladderOf } from '../drill';
import { courseStanding, saidOf, shortSides, standingOf, type RungRun } from './ladder';
import { ledgerRows } from './ledger';

const { drills } = demoContext();
const drillOf = (id: string) => drills.find((drill) => drill.id === id) as Drill;
const duel = drillOf('channel-duel');
const press = drillOf('press-in-pairs');

const run = (date: string, rung: string | null, unit: string | null = null): RungRun => ({
	...{ practice: `on ${date}`, date, drill: duel.id, rung, unit }
});
const tally = (
	date: string,
	rung: string | null,
	clean: number,
	tries: number,
	more: Partial<Tally> = {}
) => ({
	...{ practice: `on ${date}`, date, drill: duel.id, rung, clean, tries },
	judge: 'outcome' as const,
	whom: 'squad' as const,
	...more
});
const standing = (
	runs: RungRun[],
	tallies: ReturnType<typeof tally>[] = [],
	rulings: Ruling[] = []
) => standingOf(duel, { runs, tallies, rulings });

describe('a ladder', () => {
	test('has the drill itself behind the rungs that are easier', () => {
		expect(ladderOf(duel)).toEqual(['walking-start', null, 'recover', 'weak-side', 'after-sprint']);
		expect(ladderOf({ ...duel, rungs: [] })).toEqual([null]);
	});

	test('stands where it was run last, and counts what was tried since it came there', () => {
		expect(standing([])).toBeNull();
		const runs = [
			run('2027-03-11', null),
			run('2027-03-18', 'walking-start'),
			run('2027-03-25', null)
		];
		const at = standing(runs, [
			tally('2027-03-11', null, 0, 20),
			tally('2027-03-25', null, 18, 20),
			tally('2027-03-25', 'walking-start', 0, 20),
			tally('2027-03-25', null, 0, 20, { judge: 'form' })
		]);
		expect(at).toMatchObject({
			...{ at: 1, next: 2, last: '2027-03-25', isSplit: false, needs: [] },
			whole: { clean: 18, tries: 20, advice: 'up' }
		});
		expect(at?.rungs.map(({ runs: times }) => times)).toEqual([1, 2, 0, 0, 0]);
	});

	test('of a climb stands on the highest rung; it neither leaves its ends', () => {
		const climb = [run('2027-03-11', null), run('2027-03-11', 'after-sprint')];
		const top = standing(climb, [tally('2027-03-11', 'after-sprint', 20, 20)]);
		expect(top).toMatchObject({ at: 4, next: 4, whole: { advice: 'up' } });
		const bottom = standing(
			[run('2027-03-11', 'walking-start')],
			[tally('2027-03-11', 'walking-start', 1, 20)]
		);
		expect(bottom).toMatchObject({ at: 0, next: 0, whole: { advice: 'down' } });
	});

	test('is split where one goes up, another down, and the whole stays; the widest level counts once', () => {
		const runs = [run('2027-03-25', 'recover')];
		const by = (whomId: string, clean: number) =>
			tally('2027-03-25', 'recover', clean, 12, { whom: 'unit', whomId });
		const split = standing(runs, [by('backs', 12), by('forwards', 2)]);
		expect(split).toMatchObject({ isSplit: true, next: 2, whole: { clean: 14, tries: 24 } });
		const told = standing(runs, [by('backs', 12), tally('2027-03-25', 'recover', 15, 24)]);
		expect(told?.whole).toMatchObject({ clean: 15, tries: 24 });
	});

	test('goes where a coach says, until it is run again; the next rung may need another one', () => {
		const ruling: Ruling = {
			...{ drill: duel.id, whom: 'squad', rung: 'recover', reason: 'Few came.' },
			...{ date: '2027-03-25', advice: 'stay', chosen: 'up' }
		};
		const runs = [run('2027-03-25', 'recover')];
		expect(standing(runs, [], [ruling])).toMatchObject({ next: 3, ruling, needs: [] });
		expect(standing([...runs, run('2027-04-01', 'recover')], [], [ruling])).toMatchObject({
			...{ next: 2, ruling: null }
		});
		const skipped = standing([run('2027-03-25', null)], [], [{ ...ruling, chosen: 'up' }]);
		expect(skipped?.next).toBe(2);
		const far = standing([run('2027-03-25', 'weak-side')], [], [ruling]);
		expect(far?.needs).toEqual(['recover']);
	});
});

test('of a unit counts what it and its players had; of a player theirs alone; for all what was decided for all', () => {
	const runs = [run('2027-03-25', 'recover', 'backs'), run('2027-03-25', null, 'forwards')];
	const by = (whom: Tally['whom'], whomId?: string) =>
		tally('2027-03-25', 'recover', 1, 2, { whom, ...(whomId && { whomId }) });
	const tallies = [
		by('squad'),
		by('unit', 'backs'),
		by('unit', 'forwards'),
		by('player', 'a'),
		by('player', 'b')
	];
	const decided = (whom: Ruling['whom'], whomId?: string): Ruling => ({
		...{ drill: duel.id, whom, ...(whomId && { whomId }), rung: null, reason: 'So.' },
		...{ date: '2027-03-25', advice: 'stay', chosen: 'up' }
	});
	const rulings = [decided('squad'), decided('unit', 'backs'), decided('player', 'a')];
	const unitOf = new Map([
		['a', 'backs'],
		['b', 'forwards']
	]);
	const of = (whose: Parameters<typeof saidOf>[1]) => {
		const said = saidOf({ runs, tallies, rulings }, whose, unitOf);
		const names = (list: readonly { whom: string; whomId?: string }[]) =>
			list.map(({ whom, whomId = '' }) => `${whom} ${whomId}`.trim());
		return [said.runs.length, names(said.tallies), names(said.rulings)];
	};
	expect(of(null)).toEqual([
		2,
		tallies.map(({ whom, whomId = '' }: Tally) => `${whom} ${whomId}`.trim()),
		['squad']
	]);
	expect(of({ unit: 'backs' })).toEqual([1, ['unit backs', 'player a'], ['unit backs']]);
	expect(of({ player: 'a' })).toEqual([2, ['player a'], ['player a']]);
});

test('a course stands where its steps were done, each with or after the one before', () => {
	const steps = [
		{ drill: 'channel-duel', rung: 'walking-start' },
		{ drill: 'channel-duel' },
		{ drill: 'channel-duel', rung: 'recover' }
	];
	expect(courseStanding(steps, [])).toBe(0);
	expect(courseStanding(steps, [run('2027-03-11', null)])).toBe(0);
	const begun = [run('2027-03-18', 'walking-start'), run('2027-03-11', null)];
	expect(courseStanding(steps, begun)).toBe(1);
	expect(
		courseStanding(steps, [...begun, run('2027-03-18', null), run('2027-03-20', 'recover')])
	).toBe(3);
});

test('a side is short under 40% of the turns of the last three practices with its drill', () => {
	const turns = (days: [number, number][]) =>
		days.flatMap(([left, right], k) => {
			const at = { date: `2027-03-0${k + 1}`, practice: `p${k}`, drill: 'duel' };
			return [
				{ ...at, side: 'left', turns: left },
				{ ...at, side: 'right', turns: right }
			];
		});
	expect(
		shortSides(
			turns([
				[0, 10],
				[0, 10]
			])
		)
	).toEqual([]);
	expect(
		shortSides(
			turns([
				[0, 90],
				[5, 5],
				[4, 6],
				[3, 7]
			])
		)
	).toEqual([]);
	expect(
		shortSides(
			turns([
				[90, 0],
				[4, 6],
				[4, 6],
				[3.9, 6.1]
			])
		)
	).toEqual([{ drill: 'duel', side: 'left', share: expect.closeTo(11.9 / 30, 9), practices: 3 }]);
});

describe('what is due in a season', () => {
	const season: Season = {
		...{ id: 's', name: 'S', firstDay: '2027-03-01', weeks: 4 },
		phases: [{ id: 'one', name: 'One', firstDay: '2027-03-01', lastDay: '2027-03-28' }],
		targets: [
			{ skill: 'passing', phase: 'one', minutes: 280 },
			{ skill: 'defending', phase: 'one', minutes: 28 },
			{ skill: 'defending', phase: 'one', unit: 'backs', minutes: 56 }
		]
	};
	const areas = ['passing', 'defending', 'finishing'].map((id) => ({ id, name: id }));
	const players = [
		{ id: 'a', unit: 'backs' },
		{ id: 'b', unit: 'backs' },
		{ id: 'c' },
		{ id: 'd' }
	];
	const sum = (
		skill: string,
		unit: string | null,
		seconds: number,
		focus: 'main' | 'second' = 'main'
	) => ({
		...{ practice: 'q', skill, unit, seconds, focus }
	});
	const dueWith = (pushes: Push[] = []) =>
		dueOn('2027-03-14', {
			season,
			areas,
			players,
			practices: new Map([['q', '2027-03-02']]),
			sums: [
				sum('passing/1', 'backs', 4800),
				sum('passing', null, 2400),
				sum('defending', null, 1200)
			],
			tallies: [],
			drills: new Map(),
			pushes
		});

	test('is each target by itself, means over whom it is for', () => {
		const { now } = dueWith();
		expect(now.map(({ skill, unit }) => [skill, unit])).toEqual([
			['defending', 'backs'],
			['passing', undefined],
			['defending', undefined]
		]);
		expect(now[1]).toMatchObject({
			gotMinutes: 30,
			targetMinutes: 140,
			owedMinutes: 110,
			last: '2027-03-02'
		});
		expect(now[0]).toMatchObject({ gotMinutes: 0, targetMinutes: 28, last: null });
		expect(now[2]).toMatchObject({ gotMinutes: 5, targetMinutes: 14 });
	});

	test('goes by what a coach says: up, off, to a day', () => {
		const since = '2027-03-10';
		const push = (skill: string, kind: Push['push'], day?: string): Push => ({
			...{ season: 's', skill, push: kind, since },
			...(day && { day })
		});
		const [first] = dueWith([push('defending', 'up')]).now;
		expect([first.skill, first.unit]).toEqual(['defending', undefined]);
		const off = dueWith([push('passing', 'off'), push('defending', 'day', '2027-03-15')]);
		expect(off.now.map(({ unit }) => unit)).toEqual(['backs']);
		expect(off.later.map(({ skill }) => skill)).toEqual(['defending', 'passing']);
		expect(dueWith([push('defending', 'day', '2027-03-14')]).now[0].unit).toBeUndefined();
	});

	test('rests no longer than at first after tries that went badly', () => {
		const days = ['2027-03-02', '2027-03-05', '2027-03-09'];
		const intervalAfter = (tallies: ReturnType<typeof tally>[]) =>
			dueOn('2027-03-14', {
				...{ season: { ...season, targets: [] }, areas, players, tallies, pushes: [] },
				practices: new Map(days.map((day) => [day, day])),
				sums: days.map((practice) => ({ ...sum('defending', null, 600), practice })),
				drills: new Map([[press.id, press]])
			}).now.find(({ skill }) => skill === 'defending')?.intervalDays;
		const tries = { drill: press.id, judge: 'decision' as const };
		expect(intervalAfter([])).toBe(9);
		expect(intervalAfter([tally('2027-03-05', null, 9, 12, tries)])).toBe(9);
		expect(intervalAfter([tally('2027-03-05', null, 1, 12, tries)])).toBe(4);
	});

	test('comes to figures: what is met, what owes most, the longest gap', () => {
		const { now, later } = dueWith();
		const practices = [
			{ id: 'q', date: '2027-03-02', isDone: true },
			{ id: 'r', date: '2027-03-16', isDone: false }
		];
		const figures = figuresOf('2027-03-14', { season, practices, skills: [...now, ...later] });
		expect(figures).toMatchObject({
			held: 1,
			practices: 2,
			gap: { skill: 'defending', unit: 'backs', days: 13 }
		});
		expect(figures.most?.skill).toBe('passing');
		expect(figures.met).toBeCloseTo((30 + 5 + 0) / (140 + 14 + 28), 9);
		expect(figuresOf('2027-03-14', { season, practices, skills: [] })).toMatchObject({
			met: null,
			gap: null
		});
	});
});

test('a floor is what a practice gives those expected, from the periods that give it', () => {
	const context = demoContext();
	const practice = demoPractice();
	const floors = [
		{ skill: 'passing', minutes: 8 },
		{ skill: 'unknown', minutes: 5 }
	];
	const evaluation = evaluate(practice, { ...context, season: { ...context.season, floors } });
	const [passing, unknown] = floorsIn(evaluation);
	const rows = ledgerRows(evaluation).filter(({ skill }) => skill.split('/')[0] === 'passing');
	const seconds = rows.reduce((sum, row) => sum + row.seconds, 0);
	expect(passing.got).toBeCloseTo(seconds / 60 / practice.expected.length, 9);
	expect(passing.periods.reduce((sum, { minutes }) => sum + minutes, 0)).toBeCloseTo(
		passing.got,
		9
	);
	expect(unknown).toMatchObject({ got: 0, periods: [] });
	expect(floorsIn(evaluate(practice, context)).length).toBe(context.season.floors?.length ?? 0);
});
