import { sum } from 'd3-array';
import { randomLcg } from 'd3-random';
import { describe, expect, test } from 'vitest';
import { demoContext, demoPractice, demoPractices, demoTeams } from '../../../tests/support/demo';
import { faultsIn, fixesWithoutAsking } from '../checks';
import type { Drill } from '../model/drill';
import type { Practice } from '../model/practice';
import { evaluate, type Evaluation } from '../playing';
import { applyEdit } from '../practice';
import { arrange, type Arranged, type Here } from '.';

const stopsIn = (evaluation: Evaluation) =>
	faultsIn(evaluation).filter(({ severity }) => severity === 'stop');

function arranged(before: Evaluation, here: Here): Arranged {
	const outcome = arrange(before, here);
	if (!outcome.ok) throw new Error(outcome.failure.message);
	return outcome.value;
}

/** Everybody who is somewhere in a practice when it is run, groups of rounds and line-ups with them. */
const inRuns = ({ runs, practice }: Evaluation) =>
	new Set([
		...runs.flatMap(({ run }) => run.players),
		...practice.periods.flatMap(({ lanes }) =>
			lanes.flatMap(({ blocks }) =>
				blocks.flatMap(({ lineup }) =>
					(lineup?.shifts ?? []).flatMap(({ at, sit }) => [...Object.values(at), ...sit])
				)
			)
		)
	]);

const roundOf = ({ periods }: Practice) => periods.find(({ slots }) => slots !== undefined);

describe.each(demoTeams())('a practice of %s arranged for who is here', (team) => {
	const context = demoContext(team);
	const practices = demoPractices(team);

	test.each([1, 2, 3, 4])('has no stop that could be fixed, and is one step: try %i', (seed) => {
		const random = randomLcg(seed / 7);
		const practice = practices[Math.floor(random() * practices.length)];
		const before = evaluate(practice, context);
		const expected = practice.expected.filter(() => random() > 0.25);
		const adults = practice.adults.filter((_, index) => index === 0 || random() > 0.2);
		const { edit, practice: after, left, evaluation } = arranged(before, { expected, adults });
		const applied = edit && applyEdit(practice, edit);
		if (!applied?.ok) throw new Error('the edit does not apply');
		expect(applied.value.practice).toEqual(after);
		const back = applyEdit(after, applied.value.inverse);
		expect(back.ok && back.value.practice).toEqual(practice);
		for (const id of inRuns(evaluation)) expect(expected).toContain(id);
		const fresh = evaluate(after, context);
		expect(stopsIn(fresh).map(({ code, at }) => [code, at])).toEqual(
			left.map(({ code, at }) => [code, at])
		);
		for (const stop of stopsIn(fresh)) expect(fixesWithoutAsking(fresh, stop)).toEqual([]);
		expect(after.expected).toEqual(expected);
		expect(after.adults).toEqual(adults);
	});
});

describe('a game for those who are here', () => {
	const played = ({ periods }: Practice, shelf: readonly Drill[]) =>
		periods
			.filter(({ kind }) => kind === 'scrimmage')
			.flatMap(({ lanes }) => shelf.find(({ id }) => id === lanes[0].blocks[0]?.drill?.id)?.family);

	test('is another where they are too few or too many for the one that was planned, and no minute is left open', () => {
		const { shelf, ...context } = demoContext('saltmarsh');
		const own = { ...context, shelf };
		const practice = demoPractices('saltmarsh').find(({ date }) => date === '2027-03-30');
		if (!practice) throw new Error('the demo has that practice');
		const before = evaluate(practice, own);
		for (const count of [9, 14, 18, 20]) {
			const expected = practice.expected.slice(0, count);
			const after = arranged(before, { expected, adults: practice.adults });
			expect(
				sum(after.practice.periods, ({ minutes }) => minutes),
				`${count}`
			).toBe(90);
			// Eight a side takes sixteen and more, the four-goal game ten and more.
			if (count < 10) continue;
			expect(after.left, `${count}`).toEqual([]);
			expect(played(after.practice, shelf), `${count}`).toHaveLength(1);
		}
	});
});

describe('arrange', () => {
	const before = evaluate(demoPractices('saltmarsh')[4], demoContext());
	const { expected, adults } = before.practice;

	test('changes nothing where everybody is here, and gives who comes back the same place', () => {
		expect(arranged(before, { expected, adults })).toMatchObject({ edit: null, changes: [] });
		const gone = expected.slice(-2);
		const without = arranged(before, { expected: expected.slice(0, -2), adults });
		const back = arranged(without.evaluation, { expected, adults });
		expect(back.left).toEqual([]);
		for (const id of gone) expect(inRuns(back.evaluation)).toContain(id);
	});

	test('a round that loses one player keeps its stations, its groups and who is in them', () => {
		const round = roundOf(before.practice);
		const gone = round?.groups?.[0].players[0] ?? '';
		const { practice, changes } = arranged(before, {
			expected: expected.filter((id) => id !== gone),
			adults
		});
		const change = changes.find(({ id }) => id === round?.id);
		expect(change).toMatchObject({ moved: [], gone: [gone], parts: { before: 4, after: 4 } });
		expect(roundOf(practice)?.slots).toEqual(round?.slots);
	});

	test('a group that is gone leaves a station less; the others begin where they began', () => {
		const round = roundOf(before.practice);
		const [lost, ...others] = round?.groups ?? [];
		const kept = new Set(lost.players.slice(0, 1));
		const { practice, changes, left } = arranged(before, {
			expected: expected.filter((id) => kept.has(id) || !lost.players.includes(id)),
			adults
		});
		const after = roundOf(practice);
		expect(left).toEqual([]);
		expect(changes.find(({ id }) => id === round?.id)).toMatchObject({
			moved: [],
			parts: { before: 4, after: 3 }
		});
		expect(after?.slots).toHaveLength(round?.slots?.length ?? 0);
		const startOf = (period: typeof round, group: string) =>
			Object.entries(period?.slots?.[0] ?? {}).find(([, ids]) => ids.includes(group))?.[0];
		const stations = new Set(Object.keys(after?.slots?.[0] ?? {}));
		const stayed = others.filter(({ id }) => stations.has(startOf(round, id) ?? ''));
		expect(stayed.length).toBeGreaterThanOrEqual(2);
		for (const { id } of stayed) expect(startOf(after, id)).toBe(startOf(round, id));
		for (const group of after?.groups ?? []) {
			const visited = (after?.slots ?? []).map(
				(slot) => Object.entries(slot).find(([, ids]) => ids.includes(group.id))?.[0]
			);
			expect(new Set(visited).size).toBe(visited.length);
		}
	});

	test('a late start keeps the end and the water, unless somebody says that water may go', () => {
		const late = arranged(before, { expected, adults, lateMinutes: 15 });
		expect(late.practice).toMatchObject({
			minutes: before.practice.minutes - 15
		});
		const water = ({ periods }: Practice) =>
			periods.filter(({ kind }) => kind === 'water').map(({ id, minutes }) => [id, minutes]);
		expect(water(late.practice)).toEqual(water(before.practice));
		const planned = late.practice.periods.reduce((sum, { minutes }) => sum + minutes, 0);
		expect(planned).toBeLessThanOrEqual(late.practice.minutes);
		const cut = arranged(before, { expected, adults, lateMinutes: 45, cutsWater: true });
		const drunk = (practice: Practice) =>
			water(practice).reduce((sum, [, minutes]) => sum + Number(minutes), 0);
		expect(drunk(cut.practice)).toBeLessThan(drunk(before.practice));
		const least = before.practice.minutes - 5;
		const never = arrange(before, { expected, adults, lateMinutes: least });
		expect(never.ok ? null : never.failure.code).toBe('infeasible');
	});

	test('who comes later keeps their place, and what begins before does without them', () => {
		const [first] = before.practice.periods;
		const player = expected[0];
		const { practice, evaluation, left } = arranged(before, {
			expected,
			adults,
			late: { [player]: first.minutes }
		});
		expect(practice.late).toMatchObject({ [player]: first.minutes });
		expect(left).toEqual([]);
		const own = evaluation.runs.filter(({ run }) => run.players.includes(player));
		expect(own.length).toBeGreaterThan(0);
		for (const { run } of own) expect(run.fromSecond).toBeGreaterThanOrEqual(first.minutes * 60);
	});

	test('too few adults are said, and nobody who is missing is asked to come', () => {
		const young = evaluate(demoPractices('harbour-minis')[0], demoContext('harbour-minis'));
		const one = young.practice.adults.slice(0, 1);
		const { practice, left } = arranged(young, {
			expected: young.practice.expected,
			adults: one
		});
		expect(practice.adults).toEqual(one);
		expect(left.map(({ code }) => code)).toContain('adults-few');
	});

	test('a lane that nobody can stand with gets smaller, and the lanes beside stay as they are', () => {
		const practice = demoPractices('skerryside')[2];
		const played = evaluate(practice, demoContext('skerryside'));
		const { changes } = arranged(played, {
			expected: practice.expected,
			adults: practice.adults.slice(0, -1)
		});
		expect(changes.every(({ minutes }) => minutes.after !== null)).toBe(true);
		const moved = changes.flatMap((change) => change.moved);
		expect(new Set(moved).size).toBeLessThan(practice.expected.length / 4);
	});

	test('an adult who is missing is replaced by one who is free, and named nowhere', () => {
		const practice = demoPractice();
		const played = evaluate(practice, demoContext());
		const lead = practice.periods
			.flatMap(({ lanes }) => lanes.flatMap(({ blocks }) => blocks.map((block) => block.lead)))
			.find((id) => id !== undefined);
		const { practice: after } = arranged(played, {
			expected: practice.expected,
			adults: practice.adults.filter((id) => id !== lead)
		});
		const leads = after.periods.flatMap(({ lanes }) =>
			lanes.flatMap(({ blocks }) => blocks.map((block) => block.lead))
		);
		expect(leads).not.toContain(lead);
	});
});
