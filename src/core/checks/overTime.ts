import { fitToTime } from '../building';
import { plannedMinutes } from '../practice';
import type { Rule } from './finding';

/** The periods take longer than the practice. */
export const overTime: Rule<'over-time'> = {
	find({ practice, context }) {
		const planned = plannedMinutes(practice);
		const over = planned - practice.minutes;
		if (over <= context.limits.overTimeMinutes) return [];
		return [
			{
				code: 'over-time',
				severity: 'stop',
				at: {},
				values: { overMinutes: over, minutes: practice.minutes, planned }
			}
		];
	},
	weigh: ({ values }) => values.overMinutes,
	*propose({ practice, context }, { values }) {
		const fitting = fitToTime(practice, context.limits);
		if (fitting.ok) yield fitting.value;
		yield { type: 'set-practice', set: { minutes: Math.min(600, values.planned) } };
	}
};
