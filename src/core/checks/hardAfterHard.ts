import type { Finding, Rule } from './finding';
import { waterBehind } from './fixes';

/** Two hard periods follow each other without water or rest between. */
export const hardAfterHard: Rule = ({ practice, runs, windows, context }) => {
	const effortOf = (period: string) =>
		Math.max(
			0,
			...runs.filter(({ run }) => run.period.id === period).map(({ run }) => run.drill?.effort ?? 0)
		);
	return practice.periods.flatMap((period, index): Finding[] => {
		const next = practice.periods[index + 1];
		if (!next) return [];
		const [effort, nextEffort] = [effortOf(period.id), effortOf(next.id)];
		if (effort < context.limits.hardEffort || nextEffort < context.limits.hardEffort) return [];
		return [
			{
				code: 'hard-after-hard',
				severity: 'warn',
				at: { period: next.id, fromSecond: windows[index + 1].fromSecond },
				values: { first: period.name, second: next.name, effort, nextEffort },
				fixes: [waterBehind(practice, period.id, 2)]
			}
		];
	});
};
