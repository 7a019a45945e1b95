import { fitToTime } from '../building';
import { type Edit, plannedMinutes } from '../practice';
import type { Rule } from './finding';

/** The share of its minutes from which a practice counts as planned. */
const MOSTLY_PLANNED = 0.75;

/** The practice ends well before its time. */
export const underTime: Rule<'under-time'> = {
	find({ practice, context }) {
		const planned = plannedMinutes(practice);
		const spare = practice.minutes - planned;
		if (planned === 0 || spare <= context.limits.underTimeMinutes) return [];
		return [
			{
				code: 'under-time',
				severity: 'hint',
				at: {},
				values: { spareMinutes: spare, minutes: practice.minutes, planned }
			}
		];
	},
	weigh: ({ values }) => values.spareMinutes,
	*propose({ practice, context }, { values }) {
		const fitting = fitToTime(practice, context.limits);
		if (fitting.ok) yield fitting.value;
		const planned = values.planned;
		const shorter: Edit = { type: 'set-practice', set: { minutes: planned } };
		// A practice that is only begun is to be filled, not to be ended early.
		if (planned >= practice.minutes * MOSTLY_PLANNED) yield shorter;
	}
};
