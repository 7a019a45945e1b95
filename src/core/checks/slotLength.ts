import { setMinutes, type Edit } from '../practice';
import { slotBounds } from '../sizing';
import type { Finding, Rule } from './finding';

/** Minutes of a period whose slots last `minutes` each. */
const minutesFor = (minutes: number, slots: number, moveSeconds: number) =>
	Math.ceil((minutes * 60 * slots + (slots - 1) * moveSeconds) / 60);

/** Slots of a station period are shorter or longer than suits the age. */
export const slotLength: Rule = ({ practice, windows, context }) => {
	const bounds = slotBounds(context.team.ages.from);
	return windows.flatMap(({ period, slots, fromSecond }): Finding[] => {
		if (slots.length < 2) return [];
		const minutes = (slots[0].toSecond - slots[0].fromSecond) / 60;
		if (minutes >= bounds.least && minutes <= bounds.most) return [];
		const wanted = minutes < bounds.least ? bounds.least : bounds.most;
		const whole = minutesFor(wanted, slots.length, period.moveSeconds ?? 0);
		// Rounding up must not step over the longest slot.
		const inside = minutes < bounds.least ? whole : whole - 1;
		const resize: Edit = setMinutes(practice, period.id, Math.min(600, inside));
		return [
			{
				code: 'slot-length',
				severity: 'warn',
				at: { period: period.id, fromSecond },
				values: { minutes, ...bounds },
				fixes: [resize]
			}
		];
	});
};
