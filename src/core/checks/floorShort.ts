import { floorsIn } from '../season';
import type { Rule } from './finding';

/** A practice that has work in it holds less of a skill than every practice of the season is to hold. */
export const floorShort: Rule<'floor-short'> = {
	find(evaluation) {
		if (!evaluation.runs.some(({ run }) => run.drill)) return [];
		return floorsIn(evaluation)
			.filter(({ got, minutes }) => got < minutes - 0.5)
			.map(({ skill, minutes, got }) => ({
				code: 'floor-short',
				severity: 'hint',
				at: {},
				values: { skill, minutes, got }
			}));
	},
	weigh: ({ values }) => values.minutes - values.got,
	*propose() {
		// Which drill gives it is the coach's choice: the shelf shows what trains a skill.
	}
};
