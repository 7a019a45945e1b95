import { fitToTime, plannedMinutes, type Edit } from '../practice';
import type { Rule } from './finding';

/** The periods take longer than the practice. */
export const overTime: Rule = ({ practice, context }) => {
	const planned = plannedMinutes(practice);
	const over = planned - practice.minutes;
	if (over <= context.limits.overTimeMinutes) return [];
	const fitting = fitToTime(practice);
	const longer: Edit = { type: 'set-practice', set: { minutes: Math.min(600, planned) } };
	return [
		{
			code: 'over-time',
			severity: 'stop',
			at: {},
			values: { overMinutes: over, minutes: practice.minutes, planned },
			fixes: fitting.ok ? [fitting.value, longer] : [longer]
		}
	];
};
