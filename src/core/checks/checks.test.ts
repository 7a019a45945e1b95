import { describe, expect, test } from 'vitest';
import { fitToTime, resizePeriods } from '../building';
import { evaluate } from '../playing';
import { applyEdit, type Context, type Edit, withDrills } from '../practice';
import { demoContext, demoPractice, withAdults } from '../../../tests/support/demo';
import type { Period, Practice } from '../model/practice';
import {
	check,
	describeEdit,
	describeFinding,
	describeFit,
	faultsIn,
	fixesFor,
	type FindingCode
} from '.';
import { speaker } from '$words';

const say = speaker(undefined);

const context = demoContext();

/** The demo without the fault that it has on purpose. */
function sound(): Practice {
	return after(demoPractice(), {
		type: 'place-lane',
		lane: 'u-mid',
		zoneIds: ['e'],
		copies: { 'turn-c': 'e' }
	});
}
function after(practice: Practice, ...edits: Edit[]): Practice {
	return edits.reduce((current, edit) => {
		const applied = applyEdit(current, edit);
		if (!applied.ok) throw new Error(`${JSON.stringify(edit)}: ${applied.failure}`);
		return applied.value.practice;
	}, practice);
}
const withPeriod = (id: string, change: (period: Period) => Period): Practice => {
	const practice = sound();
	return {
		...practice,
		periods: practice.periods.map((period) => (period.id === id ? change(period) : period))
	};
};
const withBlock = (
	id: string,
	change: (block: Period['lanes'][0]['blocks'][0]) => Period['lanes'][0]['blocks'][0]
) => {
	const practice = sound();
	return {
		...practice,
		periods: practice.periods.map((period) => ({
			...period,
			lanes: period.lanes.map((lane) => ({
				...lane,
				blocks: lane.blocks.map((block) => (block.id === id ? change(block) : block))
			}))
		}))
	};
};
const drill = (id: string) => ({ id, revision: 1 });
/** Limits or kit with which a code is found, where those of the demo will not do. */
const contexts: Partial<Record<FindingCode, Context>> = {
	'kit-short': { ...context, kit: { ...context.kit, ball: 12 } },
	'contact-day': withLimits({ contactLevel: 1, contactDayMinutes: 20 }),
	'like-partners': withLimits({ likeRatings: 0.5 }),
	'load-day': loaded(withLimits({ loads: [{ kind: 'pushes', day: 8 }] })),
	'clear-space': withLimits({ swingMetres: 7 })
};
/** A context in which a turn of the shooting arc costs whoever shoots two pushes. */
function loaded(of: Context): Context {
	return withDrills(
		of,
		of.drills.map((each) =>
			each.id === 'shooting-arc'
				? {
						...each,
						turn: { ...each.turn, loads: [{ kind: 'pushes', count: 2, spots: ['shooter'] }] }
					}
				: each
		)
	);
}
function withLimits(limits: Partial<Context['limits']>): Context {
	return { ...context, limits: { ...context.limits, ...limits } };
}
const find = (practice: Practice, around = context) => check(evaluate(practice, around));
/** Findings of one code, with fixes that are looked for when they are asked for. */
function of(practice: Practice, code: FindingCode, around = context) {
	const evaluation = evaluate(practice, around);
	return faultsIn(evaluation)
		.filter((fault) => fault.code === code)
		.map((fault) => ({
			...fault,
			get fixes() {
				return fixesFor(evaluation, fault);
			}
		}));
}
/** Everything of one code that is wrong, place by place. */
const places = (practice: Practice, code: FindingCode, around = context) =>
	of(practice, code, around).flatMap(({ parts }) => parts.map(({ at }) => at));

/** A practice that has each fault. The sound one has none of them but where it is listed. */
const faulty: Record<FindingCode, () => Practice> = {
	'player-twice': () =>
		withBlock('break', (block) => ({
			...block,
			copies: block.copies.map((copy) => ({ ...copy, players: [...copy.players, 'p02'] }))
		})),
	'adult-twice': () => withBlock('break', (block) => ({ ...block, eyes: 'head' })),
	'zone-twice': demoPractice,
	'zone-gone': () =>
		after(sound(), {
			type: 'place-lane',
			lane: 'u-mid',
			zoneIds: ['sold'],
			copies: { 'turn-c': 'sold' }
		}),
	'group-size': () =>
		withBlock('sq', (block) => ({
			...block,
			climb: [{ minutes: 10 }],
			copies: block.copies
				.slice(0, 1)
				.map(({ group: _group, ...copy }) => ({ ...copy, players: sound().expected }))
		})),
	'too-few-players': () =>
		withBlock('turn', (block) => ({
			...block,
			copies: block.copies.map((copy) => ({ ...copy, players: copy.players.slice(0, 3) }))
		})),
	'block-empty': () => withPeriod('squares', (period) => ({ ...period, lanes: [] })),
	'player-unplaced': () =>
		withBlock('turn', (block) => ({
			...block,
			copies: block.copies.map((copy) => ({ ...copy, players: copy.players.slice(1) }))
		})),
	'over-time': () => ({ ...sound(), minutes: 80 }),
	'under-time': () => after({ ...sound(), minutes: 100 }),
	'no-warm-up': () =>
		after(
			sound(),
			{ type: 'remove-period', period: 'warm-up' },
			{ type: 'remove-period', period: 'squares' }
		),
	waiting: () =>
		withBlock('outlet', (block) => ({
			...block,
			drill: drill('shooting-arc'),
			copies: block.copies.map((copy) => ({ ...copy, players: copy.players.slice(0, 8) }))
		})),
	'move-short': () => withPeriod('stations', (period) => ({ ...period, moveSeconds: 5 })),
	'slot-length': () => after(sound(), resizePeriods(sound(), new Map([['stations', 12]]))),
	'talk-long': () => withPeriod('water-1', (period) => ({ ...period, kind: 'talk', minutes: 9 })),
	'hard-after-hard': () => sound(),
	'kit-short': () => sound(),
	'fixture-short': () =>
		after(sound(), {
			type: 'place-lane',
			lane: 'st-arc',
			zoneIds: ['f'],
			copies: { 'arc-c': 'f' }
		}),
	'role-missing': () =>
		withBlock('keepers', (block) => ({
			...block,
			copies: block.copies.map((copy) => ({ ...copy, players: ['p02', 'p03'] }))
		})),
	'adults-few': () => ({ ...sound(), adults: ['head'] }),
	'restricted-player': () => {
		const practice = withBlock('eight', (block) => ({
			...block,
			copies: block.copies.map((copy) => ({ ...copy, players: [...copy.players, 'p15'] }))
		}));
		return { ...practice, expected: [...practice.expected, 'p15'] };
	},
	'contact-day': () => sound(),
	'load-day': () => sound(),
	'sun-in-eyes': () =>
		withPeriod('water-1', (period) => ({ ...period, kind: 'talk', facing: 270 })),
	'water-gap': () => sound(),
	'stop-long': () => withBlock('sq', (block) => ({ ...block, stopShare: 0.6 })),
	'second-eyes': () => sound(),
	'like-partners': () => sound(),
	'clear-space': () => sound(),
	'rung-skipped': () =>
		withBlock('sq', (block) => ({
			...block,
			climb: [{ minutes: 5 }, { rung: 'two-balls', minutes: 5 }]
		})),
	'skill-twice': () => sound(),
	'daily-missing': () => sound(),
	'setup-clash': () => after(sound(), { type: 'remove-period', period: 'water-2' })
};
/** Codes that the sound demo has too, with the practice that has them not. */
const without: Partial<Record<FindingCode, () => Practice>> = {
	waiting: () =>
		after(sound(), { type: 'set-block', block: 'arc', set: { drill: drill('reverse-gates') } }),
	'hard-after-hard': () => after(sound(), { type: 'remove-period', period: 'units' }),
	'skill-twice': () => after(sound(), { type: 'remove-period', period: 'units' }),
	'water-gap': () =>
		after(
			sound(),
			...['stations', 'units'].map((period): Edit => ({ type: 'remove-period', period }))
		),
	'second-eyes': () => ({ ...sound(), adults: [] }),
	'daily-missing': () => after(sound(), of(sound(), 'daily-missing')[0].fixes[0])
};

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
					// Which of two drills of one skill goes is for the coach to say.
					if (code !== 'skill-twice') expect(fixes.length).toBeGreaterThan(0);
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
