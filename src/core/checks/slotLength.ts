import { setMinutes } from '../building';
import { applyEdit } from '../practice';
import { slotBounds } from '../sizing';
import type { Rule, Trouble } from './finding';
import { withWaterBetween } from './fixes';

/** Minutes of a period whose slots last `minutes` each. */
const minutesFor = (minutes: number, slots: number, moveSeconds: number) =>
	Math.ceil((minutes * 60 * slots + (slots - 1) * moveSeconds) / 60);

/** Slots of a station period are shorter or longer than suits the age. */
export const slotLength: Rule<'slot-length'> = {
	find({ windows, context }) {
		const bounds = slotBounds(context.team.ages.from);
		return windows.flatMap(({ period, slots, fromSecond }): Trouble<'slot-length'>[] => {
			if (slots.length < 2) return [];
			const minutes = (slots[0].toSecond - slots[0].fromSecond) / 60;
			if (minutes >= bounds.least && minutes <= bounds.most) return [];
			return [
				{
					code: 'slot-length',
					severity: 'warn',
					at: { period: period.id, fromSecond },
					values: { minutes, ...bounds }
				}
			];
		});
	},
	weigh: ({ values: { minutes, least, most } }) =>
		Math.max(Number(least) - Number(minutes), Number(minutes) - Number(most)),
	*propose({ practice }, { at, values: { minutes, least, most } }) {
		const period = practice.periods.find(({ id }) => id === at.period);
		if (!period?.slots) return;
		const isShort = Number(minutes) < Number(least);
		const wanted = Number(isShort ? least : most);
		const whole = minutesFor(wanted, period.slots.length, period.moveSeconds ?? 0);
		// Rounding up must not step over the longest slot.
		const resize = setMinutes(practice, period.id, Math.min(600, isShort ? whole : whole - 1));
		yield resize;
		// A round that is so long may need water in its middle.
		const applied = applyEdit(practice, resize);
		const halves = applied.ok && withWaterBetween(applied.value.practice, period.id, 2);
		if (halves) yield { type: 'all', edits: [...resize.edits, ...halves.edits] };
	}
};
