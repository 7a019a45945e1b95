import type { Period } from '../model/practice';
import { setMinutes } from '../building';
import { type Evaluation, walkMetres } from '../playing';
import { type EditOf, findPeriod } from '../practice';
import type { Rule, Trouble } from './finding';

/** The longest way of a group from one station to its next, in metres. */
function longestWay({ slots = [], groups = [], lanes }: Period, { context }: Evaluation): number {
	const zones = lanes.map(({ blocks }) => context.zoneById.get(blocks[0]?.copies[0]?.zoneId ?? ''));
	let metres = 0;
	for (const { id } of groups) {
		const stops = slots.map(
			(slot) => zones[lanes.findIndex((lane) => slot[lane.id]?.includes(id))]
		);
		for (let slot = 1; slot < stops.length; slot += 1) {
			const [from, to] = [stops[slot - 1], stops[slot]];
			if (from && to) metres = Math.max(metres, walkMetres(from, to));
		}
	}
	return metres;
}

/** Groups have less time to change stations than the walk takes. */
export const moveShort: Rule<'move-short'> = {
	find(evaluation) {
		const { practice, context, windows } = evaluation;
		const { walkMetresPerSecond, leastMoveSeconds } = context.limits;
		return practice.periods.flatMap((period, index): Trouble<'move-short'>[] => {
			if (!period.slots || period.slots.length < 2) return [];
			const metres = longestWay(period, evaluation);
			const needed = Math.max(leastMoveSeconds, Math.ceil(metres / walkMetresPerSecond));
			const moveSeconds = period.moveSeconds ?? 0;
			if (moveSeconds >= needed) return [];
			return [
				{
					code: 'move-short',
					severity: 'warn',
					at: { period: period.id, fromSecond: windows[index].fromSecond },
					values: { moveSeconds, needed, metres: Math.round(metres) }
				}
			];
		});
	},
	weigh: ({ values }) => values.needed - values.moveSeconds,
	/** The seconds that the walk takes: out of the slots, or with the period longer by as much. */
	*propose({ practice }, { at, values }) {
		const period = findPeriod(practice, at.period ?? '');
		if (!period) return;
		const moveSeconds = Math.min(600, values.needed);
		const edit: EditOf<'set-period'> = {
			type: 'set-period',
			period: period.id,
			set: { moveSeconds }
		};
		yield edit;
		const moves = (period.slots?.length ?? 1) - 1;
		const more = Math.ceil((moves * (moveSeconds - (period.moveSeconds ?? 0))) / 60);
		const longer = { ...period, moveSeconds };
		const periods = practice.periods.map((each) => (each === period ? longer : each));
		yield {
			type: 'all',
			edits: [edit, ...setMinutes({ ...practice, periods }, period.id, period.minutes + more).edits]
		};
	}
};
