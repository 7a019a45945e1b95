import { describe, expect, test } from 'vitest';
import { demoContext, demoPractice } from '../../../tests/support/demo';
import { sound } from '../../../tests/support/faulty';
import type { Drill } from '../model/drill';
import { evaluate } from '../playing';
import { applyEdit } from '../practice';
import { ladderOf } from '../drill';
import { drillsForSkill } from './forSkill';
import { periodFromDrill } from './newPeriod';
import { unitBeside } from './lanes';
import { startLate } from './startLate';

const context = demoContext();
const drillOf = (id: string) => context.drills.find((drill) => drill.id === id) as Drill;

describe('drills for a skill', () => {
	const asked = (skill: string, more: Partial<Parameters<typeof drillsForSkill>[1]> = {}) =>
		drillsForSkill(context.drills, {
			...{ skill, owedMinutes: 6, rungOf: () => null, fitOf: () => 0.8 },
			...more
		});

	test('are those that have it or a stage of it, most of it first, second skills for half', () => {
		const found = asked('finishing');
		const has = ({ skills }: Drill) =>
			skills.some(({ skill }) => skill.split('/')[0] === 'finishing');
		expect(found.map(({ drill }) => drill.id).sort()).toEqual(
			context.drills
				.filter(has)
				.map(({ id }) => id)
				.sort()
		);
		const worth = (drill: Drill) =>
			drill.skills.reduce(
				(sum, { skill, share, focus }) =>
					skill.split('/')[0] === 'finishing' ? sum + share * (focus === 'main' ? 1 : 0.5) : sum,
				0
			);
		const worths = found.map(({ drill }) => worth(drill));
		expect(worths).toEqual(worths.toSorted((a, b) => b - a));
		expect(
			asked('finishing/3').every(({ drill }) =>
				drill.skills.some(({ skill }) => skill === 'finishing/3')
			)
		).toBe(true);
	});

	test('last as long as gives what is owed, 8 to 15 minutes', () => {
		const [little] = asked('finishing', { owedMinutes: 0 });
		const [much] = asked('finishing', { owedMinutes: 300 });
		expect([little.minutes, much.minutes]).toEqual([8, 15]);
		const [some] = asked('finishing', { owedMinutes: 10 });
		expect(some.minutes).toBe(Math.min(15, Math.max(8, Math.round(10 / some.share))));
	});

	test('leave out what does not fit, and what the rung does not train', () => {
		expect(asked('finishing', { fitOf: () => -1 })).toEqual([]);
		const rungOf = ({ id }: Drill) => (id === 'shooting-arc' ? 'static' : null);
		const stage = asked('finishing/2', { rungOf }).map(({ drill }) => drill.id);
		expect(asked('finishing/2').map(({ drill }) => drill.id)).toContain('shooting-arc');
		expect(stage).not.toContain('shooting-arc');
	});
});

describe('a drill on a rung', () => {
	const practice = { ...demoPractice(), periods: [] };

	test('is sized as the rung is, and runs it', () => {
		for (const drill of context.drills.filter((_, index) => index % 4 === 0))
			for (const rung of ladderOf(drill)) {
				const asked = { drill, id: 'new', minutes: 12, ...(rung !== null && { rung }) };
				const period = periodFromDrill({ practice, context }, asked);
				if (!period) continue;
				const [block] = period.lanes[0].blocks;
				expect(block.climb).toEqual([{ ...(rung !== null && { rung }), minutes: 12 }]);
				const added = { ...practice, periods: [period] };
				const rungs = evaluate(added, context).runs.map(({ run }) => run.drill?.id);
				expect(new Set(rungs)).toEqual(new Set([drill.id]));
			}
	});

	test('comes beside what runs, for a unit', () => {
		const plan = { practice: sound(), context };
		const period = plan.practice.periods.find(({ id }) => id === 'squares');
		if (!period) throw new Error('no period');
		const edit = unitBeside(plan, period, {
			drill: drillOf('shooting-arc'),
			rung: 'chaser',
			unit: 'forwards'
		});
		const applied = edit && applyEdit(plan.practice, edit);
		if (!applied?.ok) throw new Error('not beside');
		const lane = applied.value.practice.periods
			.find(({ id }) => id === 'squares')
			?.lanes.find(({ unit }) => unit === 'forwards');
		expect(lane?.blocks[0].climb).toEqual([{ rung: 'chaser', minutes: period.minutes }]);
	});
});

describe('a late start', () => {
	const practice = demoPractice();

	test('keeps the end: what is left is shared, and one step takes it back', () => {
		const late = startLate(practice, 15, context.limits);
		if (!late.ok) throw new Error(late.failure.message);
		expect(late.value).toMatchObject({ start: '18:45', minutes: 75 });
		const applied = applyEdit(practice, late.value.edit);
		if (!applied.ok) throw new Error(applied.failure);
		const next = applied.value.practice;
		expect(next).toMatchObject({ start: '18:45', minutes: 75 });
		const planned = next.periods.reduce((sum, { minutes }) => sum + minutes, 0);
		expect(planned + late.value.fit.spare).toBe(75);
		for (const { id, minutes } of next.periods) expect(late.value.fit.minutes[id]).toBe(minutes);
		const back = applyEdit(next, applied.value.inverse);
		expect(back.ok && back.value.practice).toEqual(practice);
	});

	test('that leaves too little says so', () => {
		expect(startLate(practice, 88, context.limits).ok).toBe(false);
	});
});
