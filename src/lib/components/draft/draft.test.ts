import { expect, test } from 'vitest';
import { demoContext, demoPractice } from '../../../../tests/support/demo';
import { draft, draftEdit, type Alternative } from '$core/draft';
import { trained } from '$core/model/skill';
import { applyEdit } from '$core/practice';
import { ladderOf } from '$core/drill';
import type { Due } from '$lib/state/dueHere.svelte';
import { speaker } from '$words';
import { readMessage } from '../../../words/read';
import { draftInput, type Wishes } from './asked';
import { reasonWords } from './draftWords';

const say = speaker(undefined, readMessage);
const plan = { context: demoContext(), practice: demoPractice() };
const wishes: Wishes = {
	...{ arc: 'build-up', stations: null, unitTime: false, scrimmage: null, keep: [] }
};
const NAMES = { water: 'Water', talk: 'Talk', stations: 'Stations', units: 'Units' };

test('a draft is asked for with the day, the people and what is due of everybody', () => {
	const due = {
		due: [
			{ skill: 'finishing', score: 1.5, owedMinutes: 40 },
			{ skill: 'passing', score: 0, owedMinutes: 0, push: { push: 'up' } },
			{ skill: 'passing', score: 3, owedMinutes: 60, unit: 'backs' }
		],
		rungs: { 'shooting-arc': 'static', 'rebound-rally': null },
		recent: [{ drill: 'buoy-tag', date: '2027-04-01' }],
		met: [['p01', 'p02', 3]]
	} as unknown as Due;
	const input = draftInput(plan, { ...wishes, stations: true, scrimmage: 12 }, due);
	expect(input.frame).toMatchObject({ date: '2027-04-06', minutes: 90 });
	expect(input.frame.expected).toEqual(plan.practice.expected);
	expect(input.due).toEqual([
		{ skill: 'finishing', weight: 1.5, minutes: 40 },
		{ skill: 'passing', weight: 0.2, minutes: 12 }
	]);
	expect(input).toMatchObject({ stations: true, scrimmage: 12, recent: due.recent, met: due.met });
	const rungOf = (id: string) => input.ladders?.find(({ drill }) => drill === id)?.rung;
	expect(rungOf('shooting-arc')).toBe('static');
	expect(rungOf('rebound-rally')).toBeNull();
	const neverRun = plan.context.shelf.find(({ id }) => id === 'channel-duel');
	expect(rungOf('channel-duel')).toBe(neverRun && ladderOf(neverRun)[0]);
	// Where the server does not answer, every skill counts the same.
	const away = draftInput(plan, wishes, null);
	expect(away.due.map(({ skill }) => skill)).toEqual(
		trained(plan.context.team.skillAreas).map(({ id }) => id)
	);
	expect(new Set(away.due.map(({ weight }) => weight)).size).toBe(1);
});

test('a draft that is used takes the place of what was there, says why, and goes back in one step', () => {
	const outcome = draft({ ...draftInput(plan, wishes, null), alternatives: 1 }, NAMES);
	if (!outcome.ok) throw new Error(outcome.failure.message);
	const [made] = outcome.value.alternatives as [Alternative];
	const edit = draftEdit(plan.practice, made, ({ id }) =>
		made.why[id]
			.map((reason) => reasonWords(reason, { team: plan.context.team, drill: undefined }, say))
			.join(' · ')
	);
	const applied = applyEdit(plan.practice, edit);
	if (!applied.ok) throw new Error(JSON.stringify(applied.failure));
	const { practice, inverse } = applied.value;
	expect(practice.periods.map(({ id }) => id)).toEqual(made.practice.periods.map(({ id }) => id));
	const [first] = practice.periods[0].lanes[0].blocks;
	expect(first.why).toMatch(/^warm-up/);
	const back = applyEdit(practice, inverse);
	expect(back.ok && back.value.practice).toEqual(plan.practice);
});

test.each([
	[{ code: 'due', skill: 'passing', minutes: 7.6 }, 'Passing, 8 min'],
	[{ code: 'daily' }, 'a daily drill'],
	[{ code: 'busy', share: 0.38 }, 'busy 38% of its time'],
	[{ code: 'ladder', rung: 'static' }, 'the next rung: From a stopped ball'],
	[{ code: 'unit', unit: 'backs' }, 'Backs by themselves']
] as const)('the reason %o is said in words', (reason, words) => {
	const drill = plan.context.shelf.find(({ id }) => id === 'shooting-arc');
	expect(reasonWords(reason, { team: plan.context.team, drill }, say)).toBe(words);
});
