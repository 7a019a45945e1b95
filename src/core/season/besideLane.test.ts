import { expect, test } from 'vitest';
import { demoContext, demoPractice } from '../../../tests/support/demo';
import { areaOf } from '../model/skill';
import { evaluate } from '../playing';
import { besideLane, ledgerRows } from '.';

test('a lane of a unit shows what its players get there and in the rest, the least covered first', () => {
	const evaluation = evaluate(demoPractice(), demoContext());
	const units = evaluation.practice.periods.find(({ kind }) => kind === 'units');
	for (const lane of units?.lanes ?? []) {
		const areas = besideLane(evaluation, lane);
		const blocks = lane.blocks.map(({ id }) => id);
		const players = lane.blocks.flatMap(({ copies }) => copies.flatMap((copy) => copy.players));
		const minutes = (area: string, isHere: boolean) =>
			ledgerRows(evaluation)
				.filter((row) => players.includes(row.player) && areaOf(row.skill) === area)
				.filter((row) => blocks.includes(row.block) === isHere)
				.reduce((sum, { seconds }) => sum + seconds / 60, 0) / players.length;
		expect(areas.length).toBe(evaluation.context.team.skillAreas.length);
		for (const { area, here, elsewhere } of areas) {
			expect(here).toBeCloseTo(minutes(area, true), 6);
			expect(elsewhere).toBeCloseTo(minutes(area, false), 6);
		}
		const sums = areas.map(({ here, elsewhere }) => here + elsewhere);
		expect(sums).toEqual(sums.toSorted((a, b) => a - b));
		expect(areas.some(({ here }) => here > 0)).toBe(true);
	}
	expect(units?.lanes.length).toBeGreaterThan(1);
});
