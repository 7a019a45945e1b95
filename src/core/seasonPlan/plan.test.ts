import { expect, test } from 'vitest';
import { planned, wholeSeason } from '../../../tests/support/seasons';
import { planSearch, type SeasonPlanInput, type SeasonPlanOutput } from '.';

const failureOf = (input: SeasonPlanInput) => {
	const found = planSearch(input);
	return found.ok ? null : found.failure;
};

/** Minutes under target of a plan, added up from its briefs and the drills alone. */
function shortOf(input: SeasonPlanInput, { practices }: SeasonPlanOutput): number {
	let short = 0;
	for (const { id, weight = 1, targets } of input.skills)
		for (const { from, to, minutes } of targets) {
			let got = 0;
			for (const { id: practice, date } of input.practices)
				if (from <= date && date <= to)
					for (const item of practices.find((each) => each.id === practice)?.brief ?? []) {
						const drill = input.drills.find((each) => each.id === item.drill);
						for (const { skill, share } of drill?.skills ?? [])
							if (skill === id) got += share * item.minutes;
					}
			short += weight * Math.max(0, minutes - got);
		}
	return short;
}

test('a whole season comes near to what minutes alone could give, and its figures add up', () => {
	const input = wholeSeason(27);
	const plan = planned(input, 300);
	const { weightedShort, weightedMinutes } = plan.measures;
	expect(weightedShort).toBeCloseTo(shortOf(input, plan), 6);
	expect((weightedMinutes - weightedShort) / (weightedMinutes - plan.bound)).toBeGreaterThan(0.93);
	for (const [k, { brief }] of plan.practices.entries()) {
		expect(brief.reduce((sum, { minutes }) => sum + minutes, 0)).toBe(input.practices[k].minutes);
		expect(brief.every(({ why }) => why.length > 0)).toBe(true);
	}
	// The same work gives the same plan, and another seed another.
	expect(planned(input, 5)).toEqual(planned(input, 5));
	expect(planned({ ...input, seed: 2 }, 5)).not.toEqual(planned(input, 5));
});

test('what is locked stays, and after a change most of the plan does', () => {
	const input = wholeSeason(20);
	const first = planned(input, 100);
	const locked = first.practices[4].brief.slice(0, 2).map(({ why: _why, ...item }) => item);
	const [gone] = first.practices.splice(9, 1);
	const again = planned(
		{
			...input,
			practices: input.practices
				.filter(({ id }) => id !== gone.id)
				.map((practice, k) => (k === 4 ? { ...practice, locked } : practice)),
			plan: first.practices.map(({ id, brief }) => ({
				id,
				brief: brief.map(({ why: _why, ...item }) => item)
			}))
		},
		100
	);
	expect(again.practices[4].brief).toEqual(
		expect.arrayContaining(locked.map((item) => expect.objectContaining(item)))
	);
	const drills = first.practices.flatMap(({ id, brief }) =>
		brief.map((item) => `${id} ${item.drill}`)
	);
	const after = new Set(
		again.practices.flatMap(({ id, brief }) => brief.map((item) => `${id} ${item.drill}`))
	);
	const stayed = drills.filter((drill) => after.has(drill)).length;
	expect(again.measures.changes).toBe(drills.length - stayed + (after.size - stayed));
	expect(stayed / drills.length).toBeGreaterThan(0.8);
});

test('what is locked against a rule is told, and the rest is planned around it', () => {
	const input = wholeSeason(6);
	const hard = input.drills.find(({ contact }) => contact >= 3)?.id ?? '';
	const locked = [{ drill: hard, minutes: 30 }];
	const plan = planned({
		...input,
		practices: input.practices.map((practice, k) => (k === 0 ? { ...practice, locked } : practice))
	});
	const rules = plan.measures.brokenRules.map(({ rule, practice }) => `${rule} ${practice}`);
	expect(rules).toEqual(expect.arrayContaining(['contact-ramp p0', 'contact-day p0']));
});

test('nothing to plan, and nothing to plan with, give empty briefs', () => {
	expect(planned({ ...wholeSeason(3), practices: [] }).practices).toEqual([]);
	const none = planned({ ...wholeSeason(3), drills: [] });
	expect(none.practices.map(({ brief }) => brief)).toEqual([[], [], []]);
	expect(none.measures.weightedShort).toBeCloseTo(none.measures.weightedMinutes, 6);
});

test('a request that makes no sense is refused with its place', () => {
	const input = wholeSeason(3);
	const [one] = input.practices;
	expect(failureOf({ ...input, practices: [one, one] })).toMatchObject({
		path: ['practices', 1, 'id']
	});
	expect(failureOf({ ...input, today: '2028-01-01' })).toMatchObject({
		path: ['practices', 0, 'date']
	});
	const [skill, ...others] = input.skills;
	expect(
		failureOf({ ...input, skills: [{ ...skill, after: [skill.id] }, ...others] })
	).toMatchObject({ path: ['skills', 0, 'after'] });
	const locked = [{ drill: 'gone', minutes: 5 }];
	expect(failureOf({ ...input, practices: [{ ...one, locked }] })).toMatchObject({
		path: ['practices', 0, 'locked', 0, 'drill']
	});
});
