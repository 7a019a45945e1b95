import { walkMetres } from '../practice';
import type { Finding, Rule } from './finding';

/** Groups have less time to change stations than the walk takes. */
export const moveShort: Rule = ({ practice, context, windows }) =>
	practice.periods.flatMap((period, index): Finding[] => {
		if (!period.slots || period.slots.length < 2) return [];
		const { walkMetresPerSecond, leastMoveSeconds } = context.limits;
		const zones = period.lanes.map(({ blocks }) =>
			context.zoneById.get(blocks[0]?.copies[0]?.zoneId ?? '')
		);
		let metres = 0;
		for (const { id } of period.groups ?? []) {
			const stops = period.slots.map(
				(slot) => zones[period.lanes.findIndex((lane) => slot[lane.id]?.includes(id))]
			);
			for (let slot = 1; slot < stops.length; slot += 1) {
				const [from, to] = [stops[slot - 1], stops[slot]];
				if (from && to) metres = Math.max(metres, walkMetres(from, to));
			}
		}
		const needed = Math.max(leastMoveSeconds, Math.ceil(metres / walkMetresPerSecond));
		const moveSeconds = period.moveSeconds ?? 0;
		if (moveSeconds >= needed) return [];
		return [
			{
				code: 'move-short',
				severity: 'warn',
				at: { period: period.id, fromSecond: windows[index].fromSecond },
				values: { moveSeconds, needed, metres: Math.round(metres) },
				fixes: [{ type: 'set-period', period: period.id, set: { moveSeconds: needed } }]
			}
		];
	});
