import { expect, test } from 'vitest';
import { demoContext, demoPractice, demoPractices } from '../../../tests/support/demo';
import type { RungChange } from '../model/drill';
import type { Practice } from '../model/practice';
import { areaOf } from '../model/skill';
import type { Restriction } from '../model/team';
import { evaluate, rungsRun } from '../playing';
import { applyEdit, type Context, type Edit, toContext } from '../practice';
import { describeEdit, describeFinding, faultsIn, fixesFor, type FindingCode } from '.';
import { speaker } from '$words';

const say = speaker(undefined);

const plain = demoContext();

/** The demo's surroundings with a rung "hard" on each drill of the shelf. */
function withRung(set: RungChange, change: Partial<Context> = {}): Context {
	const drills = plain.shelf.map((drill) => ({
		...drill,
		rungs: [{ id: 'hard', name: 'Hard', change: 'harder', lever: 'pace' as const, set }]
	}));
	return toContext({ ...plain, ...change, drills });
}

/** The demo's practice with one block on these steps. */
function climbing(block: string, ...steps: [string | undefined, number][]): Practice {
	const climb = steps.map(([rung, minutes]) => ({ ...(rung && { rung }), minutes }));
	return after(demoPractice(), { type: 'set-block', block, set: { climb } });
}

function after(practice: Practice, edit: Edit): Practice {
	const applied = applyEdit(practice, edit);
	if (!applied.ok) throw new Error(applied.failure);
	return applied.value.practice;
}

const of = (practice: Practice, context: Context, code: FindingCode, block?: string) =>
	faultsIn(evaluate(practice, context)).flatMap(({ code: own, parts }) =>
		own === code ? parts.filter(({ at }) => block === undefined || at.block === block) : []
	);

const hard = { effort: 9 };

test('a warm-up must come before the step that is hard, not before its block', () => {
	const short = after(climbing('sq', [undefined, 4], ['hard', 6]), {
		type: 'remove-period',
		period: 'warm-up'
	});
	const [found] = of(short, withRung(hard), 'no-warm-up', 'sq');
	// Explaining and walking in belong to the first step: the second begins after 20 s and 4 of 10 parts of the rest.
	expect(found.at.fromSecond).toBeCloseTo(20 + 0.4 * 580, 6);
	expect(of(climbing('sq', [undefined, 10]), withRung(hard), 'no-warm-up', 'sq')).toEqual([]);
});

test('periods are hard by the rungs that they run', () => {
	const practice = climbing('sq', ['hard', 10]);
	const codes = (context: Context) =>
		of(practice, context, 'hard-after-hard').map(({ at }) => at.period);
	const warm = after(practice, {
		type: 'set-block',
		block: practice.periods[0].lanes[0].blocks[0].id,
		set: { climb: [{ rung: 'hard', minutes: 10 }] }
	});
	expect(codes(withRung(hard))).not.toContain('squares');
	expect(of(warm, withRung(hard), 'hard-after-hard').map(({ at }) => at.period)).toContain(
		'squares'
	);
	expect(of(warm, withRung({}), 'hard-after-hard').map(({ at }) => at.period)).not.toContain(
		'squares'
	);
});

test('only the minutes on a rung of hard contact count as such', () => {
	const limits = { ...plain.limits, contactDayMinutes: 7, lightContactShare: 0 };
	const context = withRung({ contact: 4 }, { limits });
	expect(of(climbing('eight', [undefined, 12], ['hard', 6]), context, 'contact-day')).toEqual([]);
	const [found] = of(climbing('eight', [undefined, 9], ['hard', 9]), context, 'contact-day');
	// 18 minutes, a minute to explain: the step has half of 17.
	expect(found.values).toMatchObject({ minutes: 9 });
	expect(found.at.fromSecond).toBeGreaterThan(70 * 60);
});

test.each<[FindingCode, RungChange]>([
	['clear-space', { hazards: { flight: 30 } }],
	['kit-short', { kit: [{ item: 'ball', count: 41, per: 'copy' }] }],
	['fixture-short', { fixtures: [{ item: 'goal', count: 3 }] }],
	['adults-few', { coaches: { min: 3, ideal: 3 } }],
	['group-size', { group: { min: 6, ideal: 6, max: 6 } }],
	['role-missing', { needsRole: [{ role: 'keepers', count: 3 }] }]
])('%s looks at every step of a climb, the first and those between too', (code, set) => {
	const context = withRung(set);
	expect(of(climbing('reverse', [undefined, 7]), context, code, 'reverse')).toEqual([]);
	for (const steps of [
		[
			['hard', 3],
			[undefined, 4]
		],
		[
			[undefined, 2],
			['hard', 3],
			[undefined, 2]
		]
	] as [string | undefined, number][][]) {
		const found = of(climbing('reverse', ...steps), context, code, 'reverse');
		expect([code, found.length]).toEqual([code, 1]);
	}
});

/** The demo's players with one restriction for one of them. */
function kept(restriction: Omit<Restriction, 'setBy'>, player = 'p02'): Context {
	const players = plain.players.map((each) =>
		each.id === player ? { ...each, restrictions: [{ ...restriction, setBy: 'Dr Vane' }] } : each
	);
	return toContext({ ...plain, players });
}

test('what a coach set ends with its last day; what a practitioner set holds until one clears the player', () => {
	const found = (own: Partial<Restriction>) =>
		of(demoPractice(), kept({ from: 'contact', ...own }), 'restricted-player').length > 0;
	expect(found({ since: '2027-04-07', until: '2027-04-20' })).toBe(false);
	expect(found({ since: '2027-04-06', until: '2027-04-20' })).toBe(true);
	expect(found({ by: 'coach', since: '2027-04-01', until: '2027-04-06' })).toBe(true);
	expect(found({ by: 'coach', since: '2027-04-01', until: '2027-04-05' })).toBe(false);
	expect(found({ since: '2027-04-01', until: '2027-04-05' })).toBe(true);
	const asks = (own: Partial<Restriction>) =>
		of(demoPractice(), kept({ from: 'contact', ...own }), 'clearance-due').length > 0;
	expect(asks({ until: '2027-04-07' })).toBe(false);
	expect(asks({ until: '2027-04-06' })).toBe(true);
	expect(asks({ until: '2027-04-05', cleared: { by: 'Dr Vane', on: '2027-04-06' } })).toBe(false);
	expect(found({ until: '2027-04-05', cleared: { by: 'Dr Vane', on: '2027-04-06' } })).toBe(false);
	expect(found({ from: 'all' })).toBe(true);
	const practice = demoPractice();
	const context = kept({ from: 'contact', until: '2027-04-06' });
	const [fault] = faultsIn(evaluate(practice, context)).filter(
		({ code }) => code === 'restricted-player'
	);
	expect(describeFinding(fault, { practice, context }, say)).toContain(
		'is kept out of contact and live play up to and including 6 April 2027 by Dr Vane'
	);
});

test('a coach’s own reasons keep players out of drills they name, and of all that train a skill', () => {
	const drill = plain.drills.find(({ id }) => id === 'channel-duel');
	const own = (what: object) =>
		of(demoPractice(), kept({ from: 'drills', by: 'coach', ...what }), 'restricted-player');
	const named = own({ drills: ['channel-duel'], reason: 'cannot stop yet' });
	expect(named.map(({ at }) => at.block)).toEqual(['duel']);
	const context = kept({ from: 'drills' });
	const practice = demoPractice();
	expect(describeFinding(named[0], { practice, context }, say)).toContain(
		'is kept out of some drills by Dr Vane (cannot stop yet), and is in Channel duel.'
	);
	const area = areaOf(drill?.skills[0].skill ?? '');
	const blocks = new Set(own({ skills: [area] }).map(({ at }) => at.block));
	const trained = evaluate(practice, context)
		.runs.filter(({ run }) => run.players.includes('p02'))
		.filter(({ run: { drill: run, block } }) =>
			(run ? rungsRun(block, run) : []).some(({ skills }) =>
				skills.some(({ skill }) => areaOf(skill) === area)
			)
		);
	expect(blocks).toEqual(new Set(trained.map(({ run }) => run.block.id)));
	expect(own({ drills: ['not-one-of-them'] })).toEqual([]);
});

test('kept out of contact is out of any contact, and of a live drill with opponents', () => {
	const context = kept({ from: 'contact' });
	const blocks = of(demoPractice(), context, 'restricted-player').map(({ at }) => at.block);
	// Her group goes through channel duel and press in pairs; the game has contact as well.
	expect(blocks).toEqual(expect.arrayContaining(['duel', 'press', 'eight']));
	expect(blocks).not.toContain('sq');
	const tag = after(demoPractice(), {
		type: 'set-block',
		block: 'sq',
		set: { drill: { id: 'buoy-tag', revision: 1 }, climb: [{ minutes: 10 }] }
	});
	const again = of(tag, context, 'restricted-player').map(({ at }) => at.block);
	expect(plain.shelf.find(({ id }) => id === 'buoy-tag')?.contact).toBe(0);
	expect(again).toContain('sq');
});

test('one player kept out of many blocks is one finding, with one fix for all of them', () => {
	const practice = demoPractices('saltmarsh').find(({ date }) => date === '2027-03-30') as Practice;
	// Her group is one of six: the five that stay are enough for every station.
	const context = kept({ from: 'contact' }, 'p12');
	const evaluation = evaluate(practice, context);
	const faults = faultsIn(evaluation).filter(({ code }) => code === 'restricted-player');
	expect(faults).toHaveLength(1);
	expect(faults[0].parts.length).toBeGreaterThan(2);
	const [fix] = fixesFor(evaluation, faults[0]);
	expect(of(after(practice, fix), context, 'restricted-player')).toEqual([]);
	expect(of(after(practice, fix), context, 'player-unplaced')).toEqual([]);
});

test('a ground without the zones of a practice is one finding', () => {
	const zones = plain.ground.zones.map((zone) => ({ ...zone, id: `new-${zone.id}` }));
	const context = toContext({ ...plain, ground: { ...plain.ground, zones } });
	const gone = faultsIn(evaluate(demoPractice(), context)).filter(
		({ code }) => code === 'zone-gone'
	);
	expect(gone).toHaveLength(1);
	expect(gone[0].parts.length).toBeGreaterThan(8);
});

test('players who have no place in several periods are one finding', () => {
	const practice = { ...demoPractice(), expected: [...demoPractice().expected, 'p15'] };
	const faults = faultsIn(evaluate(practice, plain)).filter(
		({ code }) => code === 'player-unplaced'
	);
	expect(faults).toHaveLength(1);
	expect(faults[0].among).toMatchObject({ players: ['p15'] });
	expect(faults[0].among.periods).toHaveLength(4);
});

test('young players at a station without an adult are a finding; who is free is sent there', () => {
	const context = demoContext('harbour-minis');
	const practice = demoPractices('harbour-minis')[1];
	const stations = practice.periods.find(({ kind }) => kind === 'stations');
	for (const lane of stations?.lanes ?? [])
		for (const block of lane.blocks) for (const copy of block.copies) copy.adults = [];
	const evaluation = evaluate(practice, context);
	const found = faultsIn(evaluation).filter(
		({ code, values }) => code === 'adults-few' && 'zones' in values
	);
	expect(found).toHaveLength(1);
	expect(found[0].parts).toHaveLength(3);
	const [fix] = fixesFor(evaluation, found[0]);
	expect(describeEdit(fix, evaluation, say)).toMatch(/ joins? /);
	expect(
		faultsIn(evaluate(after(practice, fix), context)).filter(({ values }) => 'zones' in values)
	).toEqual([]);
	const older = toContext({ ...context, team: { ...context.team, ages: { from: 12, to: 13 } } });
	expect(faultsIn(evaluate(practice, older)).filter(({ values }) => 'zones' in values)).toEqual([]);
});

test('only adults who come on that weekday are asked to come, and nobody is sent home', () => {
	const practice = { ...demoPractice(), adults: ['head'] };
	const evaluation = evaluate(practice, plain);
	const [fault] = faultsIn(evaluation).filter(({ code, at }) => code === 'adults-few' && !at.block);
	const fixes = fixesFor(evaluation, fault);
	// Odo Brandreth comes on Thursdays alone; 6 April 2027 is a Tuesday.
	expect(fixes.map((fix) => describeEdit(fix, evaluation, say))).toEqual([
		'Ask Rute Sandersen to come'
	]);
	const alone = toContext({ ...plain, adults: plain.adults.slice(0, 1) });
	const nobody = evaluate(practice, alone);
	const [short] = faultsIn(nobody).filter(({ code, at }) => code === 'adults-few' && !at.block);
	expect(fixesFor(nobody, short)).toEqual([]);
});
