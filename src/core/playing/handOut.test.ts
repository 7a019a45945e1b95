import { describe, expect, test } from 'vitest';
import { demoContext, demoPractices, demoTeams } from '../../../tests/support/demo';
import { evaluate } from './evaluate';
import { carryList, waysOfAdults, waysOfGroups } from './handOut';

describe.each(demoTeams())('what is handed out for a practice of %s', (team) => {
	const context = demoContext(team);
	const [practice] = demoPractices(team).slice(-1);
	const [gone] = practice.expected;
	const evaluation = evaluate(
		{ ...practice, expected: practice.expected.slice(1), adults: practice.adults.slice(0, -1) },
		context
	);

	test('takes every adult who comes through all that they stand with, and nobody else', () => {
		const ways = waysOfAdults(evaluation);
		const seconds = (id: string) =>
			evaluation.runs
				.filter(({ run }) => run.adults.includes(id))
				.reduce((sum, { run }) => sum + run.toSecond - run.fromSecond, 0);
		for (const { who, runs } of ways) {
			expect(evaluation.practice.adults).toContain(who.id);
			expect(runs.reduce((sum, run) => sum + run.toSecond - run.fromSecond, 0)).toBe(
				seconds(who.id)
			);
			for (const [index, run] of runs.entries())
				expect(run.fromSecond).toBeGreaterThanOrEqual(runs[index - 1]?.fromSecond ?? 0);
		}
		expect(ways.map(({ who }) => who.id)).toEqual(
			evaluation.practice.adults.filter((id) => seconds(id) > 0)
		);
	});

	test('takes every group once through its slots, without those who are away', () => {
		for (const { who, runs } of waysOfGroups(evaluation)) {
			expect(who.players).not.toContain(gone);
			expect(who.leader).not.toBe(gone);
			const at = who.period.slots?.filter((slot) =>
				Object.values(slot).flat().includes(who.group.id)
			);
			expect(new Set(runs.map(({ slot }) => slot)).size).toBe(at?.length);
		}
	});

	test('lists what lies where, and no less than is in use at any minute', () => {
		const { loads, most } = carryList(evaluation);
		const needed = new Map<string, number>();
		for (let second = 0; second < evaluation.seconds; second += 30) {
			const now = new Map<string, number>();
			for (const { run } of evaluation.runs) {
				if (run.fromSecond > second || second >= run.toSecond) continue;
				for (const { item, count, per } of run.drill?.kit ?? [])
					now.set(item, (now.get(item) ?? 0) + count * (per === 'copy' ? 1 : run.players.length));
			}
			for (const [item, count] of now) needed.set(item, Math.max(needed.get(item) ?? 0, count));
		}
		for (const [item, count] of needed)
			expect(most.find((each) => each.item === item)?.count).toBeGreaterThanOrEqual(count);
		for (const { item, count, racked } of most) {
			expect(racked).toBe(Math.max(0, evaluation.context.kit[item] - count));
			expect(count).toBeGreaterThan(0);
			expect(loads.some(({ items }) => items.some((each) => each.item === item))).toBe(true);
		}
	});
});
