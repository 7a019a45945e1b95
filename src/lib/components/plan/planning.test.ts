import { expect, test } from 'vitest';
import { planned, wholeSeason } from '../../../../tests/support/seasons';
import { asked, measuresOf, sumsOf, type Briefs } from './planning';

const input = { ...wholeSeason(8) };
input.practices = input.practices.map((practice) => ({
	...practice,
	gives: [{ skill: 'skill-1', minutes: 5 }]
}));
const plan = planned(input, 10);
const briefs: Briefs = new Map(plan.practices.map(({ id, brief }) => [id, brief]));

test('briefs are worth what the plan that made them is worth', () => {
	const { changes: _changes, ...measures } = plan.measures;
	expect(measuresOf(input, briefs)).toMatchObject({
		targetsMet: measures.targetsMet,
		longestGap: measures.longestGap,
		weightedShort: expect.closeTo(measures.weightedShort, 6)
	});
	const empty: Briefs = new Map(input.practices.map(({ id }) => [id, []]));
	expect(measuresOf(input, empty)?.weightedShort).toBeGreaterThan(measures.weightedShort);
});

test('what is shown of a skill is what its drills and the rest of the practice give', () => {
	const { sums, costs } = sumsOf(briefs, {
		input,
		counts: [
			[null, 4],
			['backs', 6]
		]
	});
	const seconds = sums
		.filter(([, skill]) => skill === 'skill-1')
		.reduce((sum, row) => sum + row[4], 0);
	let minutes = 5 * input.practices.length;
	let load = 0;
	for (const brief of briefs.values())
		for (const item of brief) {
			const drill = input.drills.find(({ id }) => id === item.drill);
			minutes +=
				item.minutes * (drill?.skills.find(({ skill }) => skill === 'skill-1')?.share ?? 0);
			const rung = drill?.rungs.find(({ id }) => id === item.rung);
			load += item.minutes * (rung?.set?.effort ?? drill?.effort ?? 0);
		}
	expect(seconds / 60 / 10).toBeCloseTo(minutes, 6);
	expect(costs.reduce((sum, row) => sum + row.load, 0) / 10).toBeCloseTo(load, 6);
	// What counts as hard contact is a limit of the team.
	const all = sumsOf(briefs, {
		input: { ...input, limits: { contactLevel: 1 } },
		counts: [[null, 1]]
	});
	const hard = (rows: typeof costs) => rows.reduce((sum, row) => sum + row.contact, 0);
	expect(hard(costs) / 10).toBeLessThanOrEqual(hard(all.costs));
});

test('what is ticked is locked, and all that is shown is the plan before', () => {
	const [first] = plan.practices;
	const sent = asked(input, briefs, (practice) => practice === first.id);
	expect(sent.practices[0].locked?.map(({ drill }) => drill)).toEqual(
		first.brief.map(({ drill }) => drill)
	);
	expect(sent.practices[1].locked).toEqual([]);
	expect(sent.plan?.length).toBe(8);
});
