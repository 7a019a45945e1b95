import type { Block, Period, Practice } from '../model/practice';
import { copyPeriod } from './copyPeriod';
import type { EditOf } from './edit';
import { findPeriod } from './find';
import { setMinutes } from './resize';

/** The edit that cuts a period into two of half its minutes, one behind the other; null under two minutes. */
export function splitPeriod(
	practice: Practice,
	id: string,
	makeId: (stem: string) => string
): EditOf<'all'> | null {
	const period = findPeriod(practice, id);
	if (!period || period.minutes < 2) return null;
	const first = Math.ceil(period.minutes / 2);
	const rest = period.minutes - first;
	const second = copyPeriod(period, makeId);
	const added: EditOf<'add-period'> = { type: 'add-period', period: second, after: id };
	const withSecond = { ...practice, periods: [...practice.periods, second] };
	return {
		type: 'all',
		edits: [
			...setMinutes(practice, id, first).edits,
			added,
			...setMinutes(withSecond, second.id, rest).edits
		]
	};
}

/** What two blocks must share to be one: the drill and where it runs. */
export const sameBlock = (a: Block, b: Block) =>
	a.drill?.id === b.drill?.id &&
	a.drill?.revision === b.drill?.revision &&
	a.copies.map(({ zoneId }) => zoneId).join() === b.copies.map(({ zoneId }) => zoneId).join();

function sameInside(a: Period, b: Period): boolean {
	const blocks = ({ lanes }: Period) => lanes.flatMap((lane) => lane.blocks);
	const [own, other] = [blocks(a), blocks(b)];
	return (
		a.kind === b.kind &&
		own.length === other.length &&
		own.every((block, index) => sameBlock(block, other[index]))
	);
}

/**
 * The edit that makes a period and the one behind it one, with the minutes of both and the groups of
 * the first; null where there is none behind it, or it runs something else.
 */
export function mergeWithNext(practice: Practice, id: string): EditOf<'all'> | null {
	const index = practice.periods.findIndex((period) => period.id === id);
	const [period, next] = practice.periods.slice(index, index + 2);
	if (index < 0 || !next || !sameInside(period, next)) return null;
	const minutes = period.minutes + next.minutes;
	if (minutes > 600) return null;
	return {
		type: 'all',
		edits: [...setMinutes(practice, id, minutes).edits, { type: 'remove-period', period: next.id }]
	};
}
