import type { Edit } from '../practice';
import type { Finding, Rule } from './finding';

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
		const water: Edit = {
			type: 'add-period',
			after: period.id,
			period: {
				id: `${period.id}.water`,
				name: 'Water',
				kind: 'water',
				rank: 'must',
				min: 1,
				ideal: 2,
				max: 3,
				minutes: 2,
				lanes: []
			}
		};
		return [
			{
				code: 'hard-after-hard',
				severity: 'warn',
				at: { period: next.id, fromSecond: windows[index + 1].fromSecond },
				values: { first: period.name, second: next.name, effort, nextEffort },
				fixes: [water]
			}
		];
	});
};
