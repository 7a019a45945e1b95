import { fitToTime, plannedMinutes, type Edit } from '../practice';
import type { Rule } from './finding';

/** The practice ends well before its time. */
export const underTime: Rule = ({ practice, context }) => {
	const planned = plannedMinutes(practice);
	const spare = practice.minutes - planned;
	if (planned === 0 || spare <= context.limits.underTimeMinutes) return [];
	const fitting = fitToTime(practice);
	const left = fitting.ok ? spareAfter(fitting.value, practice.minutes) : spare;
	const shorter: Edit = { type: 'set-practice', set: { minutes: planned } };
	const isEnough = fitting.ok && left <= context.limits.underTimeMinutes;
	return [
		{
			code: 'under-time',
			severity: 'hint',
			at: {},
			values: { spareMinutes: spare, minutes: practice.minutes, planned },
			fixes: isEnough && fitting.ok ? [fitting.value, shorter] : [shorter]
		}
	];
};

function spareAfter({ edits }: Extract<Edit, { type: 'all' }>, minutes: number): number {
	const resize = edits.find((edit) => edit.type === 'set-minutes');
	const sum = Object.values(resize?.periods ?? {}).reduce((total, each) => total + each, 0);
	return minutes - sum;
}
