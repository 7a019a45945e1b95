import { describe, expect, test } from 'vitest';
import { rulesBroken, withDaily } from '../../../tests/support/seasonRules';
import { planned, randomSeason } from '../../../tests/support/seasons';

describe('300 seasons', () => {
	test.each(Array.from({ length: 10 }, (_, k) => k))('keep every hard rule: part %i', (part) => {
		for (let seed = 30 * part; seed < 30 * part + 30; seed += 1) {
			const input = randomSeason(seed);
			const plan = planned(input, seed % 10 === 0 ? 30 : 3);
			const { weightedShort, weightedMinutes, brokenRules } = plan.measures;
			const broken = rulesBroken(input, plan);
			const missing = broken.filter((rule) => rule.startsWith('daily '));
			expect(
				broken.filter((rule) => !missing.includes(rule)),
				`season ${seed}`
			).toEqual([]);
			// A daily drill is missing only where another rule keeps it out.
			for (const rule of missing) {
				const [, practice, drill] = rule.split(' ');
				const others = rulesBroken(input, withDaily(input, plan, { practice, drill }));
				expect(
					others.some((other) => !other.startsWith('daily ')),
					`${seed}: ${rule}`
				).toBe(true);
			}
			const told = brokenRules.flatMap(({ rule, practice, drill = '' }) =>
				rule === 'daily' ? `daily ${practice} ${drill}` : []
			);
			expect(missing).toEqual(expect.arrayContaining(told));
			expect(weightedShort).toBeGreaterThanOrEqual(plan.bound - 1e-6);
			expect(weightedShort).toBeLessThanOrEqual(weightedMinutes + 1e-6);
		}
	});
});
