import { expect, test } from 'vitest';
import { demoContext, demoPractices, demoTeams } from '../../../tests/support/demo';
import { evaluate } from '../playing';
import { coverage, ledgerRows } from '.';

test.each(demoTeams())('coverage of every practice of %s is a plain sum over its rows', (team) => {
	for (const practice of demoPractices(team)) {
		const evaluation = evaluate(practice, demoContext(team));
		const { players, skills, shares } = coverage(evaluation);
		const rows = ledgerRows(evaluation);
		expect(players).toBe(practice.expected.length);
		expect(new Set(skills.map(({ skill }) => skill))).toEqual(
			new Set(rows.map(({ skill }) => skill))
		);
		for (const { skill, minutes, activeMinutes, turns } of skills) {
			const own = rows.filter((row) => row.skill === skill);
			const mean = (of: (row: (typeof rows)[number]) => number) =>
				own.reduce((sum, row) => sum + of(row), 0) / players;
			expect(minutes).toBeCloseTo(mean(({ seconds }) => seconds) / 60, 6);
			expect(activeMinutes).toBeCloseTo(mean((row) => row.activeSeconds) / 60, 6);
			expect(turns).toBeCloseTo(
				mean((row) => row.turns),
				6
			);
		}
		expect(shares.opposed + shares.unopposed).toBeCloseTo(shares.busy, 9);
	}
});
