import { expect, test } from 'vitest';
import { likelySeason } from '../../../tests/support/likelySeason';
import { rulesBroken } from '../../../tests/support/seasonRules';
import { planned, wholeSeason } from '../../../tests/support/seasons';
import { seasonComplaints } from '../../../tests/support/sternSeason';
import { addDays } from '../conditions';
import type { Drill } from '../model/drill';
import { onRung } from '../playing';
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

/** Minutes times effort of a practice of a plan. */
const loadOf = (input: SeasonPlanInput, brief: SeasonPlanOutput['practices'][number]['brief']) =>
	brief.reduce((sum, { drill, rung, minutes }) => {
		const own = input.drills.find(({ id }) => id === drill) as Drill;
		return sum + minutes * onRung(own, rung).effort;
	}, 0);

test('in a taper work gets less: less than without one, and nothing new or hard in its last week', () => {
	const input = wholeSeason(20);
	const lastDay = input.practices[19].date;
	const tapering = { ...input, tapers: [{ firstDay: addDays(lastDay, -6), lastDay }] };
	const lastLoad = (of: SeasonPlanInput) => {
		const plan = planned(of, 200);
		expect(rulesBroken(of, plan)).toEqual([]);
		const loads = plan.practices.map(({ brief }) => loadOf(of, brief));
		const before = loads.slice(12, 18).reduce((sum, load) => sum + load, 0) / 3;
		return (loads[18] + loads[19]) / before;
	};
	const [plain, less] = [lastLoad(input), lastLoad(tapering)];
	expect(less).toBeLessThan(Math.min(0.85, plain));
	expect(less).toBeGreaterThan(0.5);
});

test('likely seasons: load falls in a taper, and every drill says why it is there', () => {
	const seeds = Array.from({ length: 12 }, (_, seed) => seed);
	const inputs = seeds.map(likelySeason);
	expect(inputs.filter(({ tapers }) => tapers).length).toBeGreaterThan(1);
	for (const input of inputs) {
		const said = seasonComplaints(input, planned(input, 110));
		expect(
			said.filter(({ code }) => code === 'taper' || code === 'unsaid'),
			`season ${input.seed}`
		).toEqual([]);
	}
});

test('tapers as long as calendars go are read at once', () => {
	const input = wholeSeason(6);
	const tapers = Array.from({ length: 30 }, () => ({
		firstDay: '0001-01-01',
		lastDay: '9999-12-31'
	}));
	expect(planned({ ...input, tapers }, 1).practices).toHaveLength(6);
});

test('the judge of plans says what is wrong with one that is spoiled', () => {
	const [last, first] = ['2027-04-11', '2027-04-05'];
	const whole = wholeSeason(12);
	const input = {
		...whole,
		ages: { from: 9, to: 10 },
		tapers: [{ firstDay: first, lastDay: last }]
	};
	const free = input.drills.filter(({ frequency }) => frequency !== 'daily');
	const briefs = (of: (k: number) => { drill: string; minutes: number }[]) => ({
		...planned(whole, 1),
		practices: input.practices.map(({ id }, k) => ({
			id,
			brief: of(k).map((item) => ({ ...item, why: [{ code: 'locked' as const }] }))
		}))
	});
	const four = (k: number) =>
		[0, 1, 2, 3].map((j) => ({ drill: free[(4 * k + j) % free.length].id, minutes: 12 }));
	const codes = (plan: SeasonPlanOutput) =>
		new Set(seasonComplaints(input, plan).map(({ code }) => code));
	const varied = codes(briefs(four));
	for (const code of ['same', 'few', 'open', 'unsaid'] as const) expect(varied).not.toContain(code);
	expect(codes(briefs((k) => four(k === 1 ? 0 : k)))).toContain('same');
	expect(codes(briefs((k) => four(k).slice(0, k === 5 ? 3 : 4)))).toEqual(
		new Set([...varied, 'few', 'open'])
	);
	expect(codes(briefs(() => four(0)))).toContain('rest');
	const eased = briefs((k) => four(k).map((item) => ({ ...item, minutes: k < 10 ? 12 : 8 })));
	expect(varied).toContain('taper');
	expect(codes(eased)).not.toContain('taper');
	const unsaid = briefs(four);
	unsaid.practices[2].brief[0].why = [];
	expect(codes(unsaid)).toContain('unsaid');
});

test('children get four drills or more, none for longer than suits them', () => {
	const whole = wholeSeason(8);
	const drills = whole.drills.map(({ ages: _ages, ...drill }) => ({
		...drill,
		family: 'drills',
		effort: 5,
		contact: 0,
		rungs: []
	}));
	const input = { ...whole, drills, ages: { from: 9, to: 10 } };
	const plan = planned(input, 100);
	for (const { brief } of plan.practices) {
		expect(brief.length).toBeGreaterThanOrEqual(4);
		for (const { minutes } of brief) expect(minutes).toBeLessThanOrEqual(10);
	}
});

test('a skill that no drill trains is told with the minutes that it lacks', () => {
	const input = wholeSeason(6);
	const lost = { id: 'juggling', targets: [{ ...input.skills[0].targets[0], minutes: 45 }] };
	const plan = planned({ ...input, skills: [...input.skills, lost] });
	expect(plan.measures.unmet).toEqual([{ skill: 'juggling', minutes: 45 }]);
	expect(planned(input).measures.unmet).toEqual([]);
});

test('practices that hold something else than before are counted, drill by drill, rung and minute', () => {
	const input = wholeSeason(12);
	const first = planned(input, 30);
	const before = first.practices.map(({ id, brief }) => ({
		id,
		brief: brief.map(({ why: _why, ...item }) => item)
	}));
	before[3].brief[0].minutes += 1;
	before[7].brief.pop();
	const again = planned({ ...input, plan: before }, 30);
	const keyOf = (brief: { drill: string; rung?: string; minutes: number }[]) =>
		brief
			.map(({ drill, rung = '', minutes }) => `${drill} ${rung} ${minutes}`)
			.sort()
			.join();
	const changed = again.practices.filter(({ brief }, k) => keyOf(brief) !== keyOf(before[k].brief));
	expect(again.measures.changedPractices).toBe(changed.length);
	expect(changed.length).toBeGreaterThan(0);
});

test('why now is told: what is still owed before a practice, and how long a skill has not come', () => {
	const input = wholeSeason(10);
	const plan = planned(input, 30);
	const got = new Map<string, number>();
	for (const [k, { brief }] of plan.practices.entries()) {
		const { date } = input.practices[k];
		for (const { why } of brief)
			for (const reason of why) {
				if (reason.code !== 'due') continue;
				const targets = input.skills.find(({ id }) => id === reason.skill)?.targets ?? [];
				const here = targets.filter(({ from, to }) => from <= date && date <= to);
				const of = here.reduce((sum, { minutes }) => sum + minutes, 0);
				const own = here.map(({ from, minutes }) =>
					Math.max(0, minutes - (got.get(`${reason.skill} ${from}`) ?? 0))
				);
				expect(reason.of).toBeCloseTo(of, 6);
				expect(reason.owed).toBeCloseTo(
					own.reduce((sum, each) => sum + each, 0),
					6
				);
			}
		for (const { drill, rung, minutes } of brief) {
			const run = onRung(input.drills.find(({ id }) => id === drill) as Drill, rung);
			for (const { skill, share } of run.skills)
				for (const { from, to } of input.skills.find(({ id }) => id === skill)?.targets ?? [])
					if (from <= date && date <= to)
						got.set(`${skill} ${from}`, (got.get(`${skill} ${from}`) ?? 0) + share * minutes);
		}
	}
	const days = plan.practices.flatMap(({ brief }) =>
		brief.flatMap(({ why }) => why.flatMap((each) => (each.code === 'again' ? each.days : [])))
	);
	expect(days.length).toBeGreaterThan(0);
	expect(Math.min(...days)).toBeGreaterThanOrEqual(7);
});
