import { resizePeriods } from '../../src/core/building';
import { check, faultsIn, fixesFor, type FindingCode } from '../../src/core/checks';
import type { Drill } from '../../src/core/model/drill';
import type { Player } from '../../src/core/model/team';
import type { Strain } from '../../src/core/model/before';
import { type Period, type Practice } from '../../src/core/model/practice';
import { evaluate } from '../../src/core/playing';
import { applyEdit, type Context, type Edit, withDrills } from '../../src/core/practice';
import { demoContext, demoPractice } from './demo';

export const context = demoContext();

/** The demo without the fault that it has on purpose. */
export function sound(): Practice {
	return after(demoPractice(), {
		type: 'place-lane',
		lane: 'u-mid',
		zoneIds: ['e'],
		copies: { 'turn-c': 'e' }
	});
}
export function after(practice: Practice, ...edits: Edit[]): Practice {
	return edits.reduce((current, edit) => {
		const applied = applyEdit(current, edit);
		if (!applied.ok) throw new Error(`${JSON.stringify(edit)}: ${applied.failure}`);
		return applied.value.practice;
	}, practice);
}
export const withPeriod = (id: string, change: (period: Period) => Period): Practice => {
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
export const drill = (id: string) => ({ id, revision: 1 });
/** Limits or kit with which a code is found, where those of the demo will not do. */
export const contexts: Partial<Record<FindingCode, Context>> = {
	'kit-short': { ...context, kit: { ...context.kit, ball: 12 } },
	'floor-short': {
		...context,
		season: { ...context.season, floors: [{ skill: 'finishing', minutes: 60 }] }
	},
	'contact-day': withLimits({ contactLevel: 1, contactDayMinutes: 20 }),
	'contact-week': beforeIt(withLimits({ contactLevel: 1, contactDayMinutes: 200 }), {
		contact: { 1: 50 }
	}),
	'contact-ramp': { ...withLimits({ contactLevel: 1 }), before: { attended: {}, week: [] } },
	'load-week': beforeIt(loaded(withLimits({ loads: [{ kind: 'pushes', week: 100 }] })), {
		loads: { pushes: 98 }
	}),
	'stand-long': withLimits({ standSeconds: [{ under: 100, seconds: 50 }] }),
	'like-partners': withLimits({ likeRatings: 0.5 }),
	'load-day': loaded(withLimits({ loads: [{ kind: 'pushes', day: 8 }] })),
	'clear-space': withLimits({ swingMetres: 7 }),
	'look-up-close': changed('turn-and-switch', { hazards: { looksUp: true } }),
	'contact-row': beforeIt(
		withLimits({ contactLevel: 1, contactDayMinutes: 20 }),
		{
			contact: { 1: 15 }
		},
		'2027-04-05'
	),
	'too-hard': { ...context, team: { ...context.team, ages: { from: 8, to: 9 } } },
	'age-unsuited': changed('turn-and-switch', { ages: { from: 6, to: 10 } }),
	'game-near': {
		...changed('reverse-gates', { notWithinDaysOfGame: 2 }),
		before: { attended: {}, week: [], nextGame: '2027-04-08' }
	},
	'load-rest': beforeIt(
		loaded(withLimits({ rest: [{ kind: 'pushes', from: 20, days: 5 }], loads: [] })),
		{ loads: { pushes: 30 } }
	),
	'clearance-due': changedPlayer('p02', {
		restrictions: [{ from: 'drills', drills: ['gone'], until: '2027-04-06', setBy: 'Dr Ash' }]
	}),
	'sun-on-catch': changed('two-touch-squares', { hazards: { looksUp: true } })
};
/** A context in which one drill has other fields. */
function changed(id: string, set: Partial<Drill>): Context {
	return withDrills(
		context,
		context.drills.map((each) => (each.id === id ? { ...each, ...set } : each))
	);
}
/** A context in which one player has other fields. */
function changedPlayer(id: string, set: Partial<Player>): Context {
	return {
		...context,
		playerById: new Map(
			context.players.map((each) => [each.id, each.id === id ? { ...each, ...set } : each])
		)
	};
}
/** A context in which a turn of the shooting arc costs whoever shoots two pushes. */
export function loaded(of: Context): Context {
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
/** A context in which everybody has had this in the week before, and come often enough. */
export function beforeIt(of: Context, own: Strain, date = '2027-04-01'): Context {
	const all = <Value>(value: Value) =>
		Object.fromEntries(of.players.map(({ id }) => [id, value] as const));
	return {
		...of,
		before: { attended: all(20), week: [{ date, strain: all(own) }] }
	};
}
export function withLimits(limits: Partial<Context['limits']>): Context {
	return { ...context, limits: { ...context.limits, ...limits } };
}
export const find = (practice: Practice, around = context) => check(evaluate(practice, around));
/** Findings of one code, with fixes that are looked for when they are asked for. */
export function of(practice: Practice, code: FindingCode, around = context) {
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
export const places = (practice: Practice, code: FindingCode, around = context) =>
	of(practice, code, around).flatMap(({ parts }) => parts.map(({ at }) => at));

/** A practice that has each fault. The sound one has none of them but where it is listed. */
export const faulty: Record<FindingCode, () => Practice> = {
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
	'not-here': () => {
		const practice = sound();
		return { ...practice, expected: practice.expected.slice(6) };
	},
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
			climb: [{ minutes: 16 }],
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
			climb: [{ minutes: 16 }],
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
	'floor-short': () => sound(),
	'contact-day': () => sound(),
	'contact-week': () => sound(),
	'contact-row': () => sound(),
	'too-hard': () => sound(),
	'age-unsuited': () => sound(),
	'drill-long': () => withBlock('outlet', (block) => ({ ...block, climb: [{ minutes: 16 }] })),
	'hard-long': () => withBlock('break', (block) => ({ ...block, climb: [{ minutes: 16 }] })),
	'game-near': () => sound(),
	'load-rest': () => sound(),
	'clearance-due': () => sound(),
	'sun-on-catch': () => sound(),
	'look-up-close': () => sound(),
	'contact-ramp': () => sound(),
	'load-day': () => sound(),
	'load-week': () => sound(),
	'stand-long': () => faulty.waiting(),
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
	// Ten squares in a zone that holds fewer.
	'zone-small': () =>
		withBlock('sq', (block) => ({
			...block,
			copies: block.copies.map((copy) => ({ ...copy, zoneId: block.copies[0].zoneId }))
		})),
	'setup-clash': () => after(sound(), { type: 'remove-period', period: 'water-1' })
};
/** Codes that the sound demo has too, with the practice that has them not. */
export const without: Partial<Record<FindingCode, () => Practice>> = {
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
