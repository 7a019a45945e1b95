import { expect, test } from 'vitest';
import { demoContext, demoPractice } from '../../../tests/support/demo';
import { evaluate } from '../playing';
import { ledgerRows } from '../season';
import { asPlanned, isFree } from '.';

const context = demoContext();
const practice = demoPractice();
const free = context.shelf.filter(isFree);

test('a practice that is built stays, with the minutes of each drill that a player has', () => {
	const { practice: planned, isBuilt } = asPlanned(practice, context);
	expect(isBuilt).toBe(true);
	expect(planned.minutes).toBe(planned.locked?.reduce((sum, { minutes }) => sum + minutes, 0));
	expect(planned).toMatchObject({
		players: practice.expected.length,
		adults: practice.adults.length
	});
	// Against what the players of the practice have by its ledger, drill by drill.
	const rows = ledgerRows(evaluate(practice, context));
	for (const { drill, minutes } of planned.locked ?? []) {
		const share = free
			.find(({ id }) => id === drill)
			?.skills.reduce((sum, skill) => sum + skill.share, 0);
		const seconds = rows
			.filter((row) => row.drill === drill && practice.expected.includes(row.player))
			.reduce((sum, row) => sum + row.seconds, 0);
		const mean = seconds / 60 / practice.expected.length / (share ?? 1);
		// Moving, listening and rounding are what they differ by.
		expect(Math.abs(mean - minutes), drill).toBeLessThan(2);
	}
});

test('one that is empty leaves what warm-up, game, water and end leave, and what is locked in its brief', () => {
	const [one, two] = free;
	const brief = [
		{ drill: one.id, minutes: 10, locked: true },
		{ drill: two.id, minutes: 12 },
		{ drill: 'gone', minutes: 8 }
	];
	const {
		practice: planned,
		before,
		isBuilt
	} = asPlanned({ ...practice, periods: [], brief }, context);
	expect(isBuilt).toBe(false);
	expect(planned.locked).toEqual([{ drill: one.id, minutes: 10 }]);
	expect(before.map(({ drill }) => drill)).toEqual([one.id, two.id]);
	// 90 minutes: 10 of warm-up, 4 at the end, 18 of game, 4 drinks of 2.
	expect(planned.minutes).toBe(90 - 10 - 4 - 18 - 8);
	// The game counts for skills of the team.
	const given = planned.gives?.reduce((sum, { minutes }) => sum + minutes, 0) ?? 0;
	expect(given).toBeGreaterThan(10);
	expect(given).toBeLessThanOrEqual(32);
	// And its load, as that of what is beside the plan: 10 minutes of warm-up, 18 of game, 4 at the end.
	const effortOf = (of: string) =>
		context.shelf.find(({ family, frequency }) => family === of && frequency === 'daily')?.effort ??
		context.shelf.find(({ family }) => family === of)?.effort ??
		0;
	const load = 10 * effortOf('warm-up') + 18 * effortOf('scrimmage') + 4 * effortOf('cool-down');
	expect(load).toBeGreaterThan(0);
	expect(planned.load).toBeCloseTo(load, 6);
});
