import type { Block, Period, Practice, Slot } from '../model/practice';
import { arranging, type EditOf, findPeriod } from '../practice';
import { copyPeriod } from './copyPeriod';
import { setMinutes } from './resize';

/** How a period is cut in two: the minutes of the first half, and the slots of each where it has stations. */
function halvesOf({ minutes, slots }: Period) {
	if (!slots || slots.length < 2) return { first: Math.ceil(minutes / 2), slots: null };
	const count = Math.ceil(slots.length / 2);
	const first = Math.round((minutes * count) / slots.length);
	return {
		first: Math.min(minutes - 1, Math.max(1, first)),
		slots: [slots.slice(0, count), slots.slice(count)]
	};
}

/** A period with other slots, and the edit that gives it them. */
function withSlots(
	period: Period,
	slots: Slot[]
): { next: Period; edit: EditOf<'arrange-period'> } {
	return { next: { ...period, slots }, edit: arranging(period, { slots }) };
}

/**
 * The edit that cuts a period into two of half its minutes, one behind the other; a round of stations
 * goes on in the second half where it was in the first. Null under two minutes.
 */
export function splitPeriod(
	practice: Practice,
	id: string,
	makeId: (stem: string) => string
): EditOf<'all'> | null {
	const period = findPeriod(practice, id);
	if (!period || period.minutes < 2) return null;
	const { first, slots } = halvesOf(period);
	const start = slots && withSlots(period, slots[0]);
	const second = copyPeriod(slots ? { ...period, slots: slots[1] } : period, makeId);
	const periods = practice.periods.map((each) => (each === period && start ? start.next : each));
	const added: EditOf<'add-period'> = { type: 'add-period', period: second, after: id };
	const halves = { ...practice, periods: [...periods, second] };
	return {
		type: 'all',
		edits: [
			...(start ? [start.edit] : []),
			...setMinutes(halves, id, first).edits,
			added,
			...setMinutes(halves, second.id, period.minutes - first).edits
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

/** The slots of two halves of a round one after the other, in the ids of the first; null where there are none. */
function wholeRound(first: Period, second: Period): Slot[] | null {
	if (!first.slots || !second.slots) return null;
	const own = new Map<string, string>();
	second.lanes.forEach(({ id }, index) => own.set(id, first.lanes[index]?.id ?? id));
	second.groups?.forEach(({ id }, index) => own.set(id, first.groups?.[index]?.id ?? id));
	const again = (id: string) => own.get(id) ?? id;
	const goesOn = second.slots.map((slot) =>
		Object.fromEntries(Object.entries(slot).map(([lane, ids]) => [again(lane), ids.map(again)]))
	);
	return [...first.slots, ...goesOn];
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
	const round = wholeRound(period, next);
	const whole = round && withSlots(period, round);
	const periods = practice.periods.map((each) => (each === period && whole ? whole.next : each));
	return {
		type: 'all',
		edits: [
			...(whole ? [whole.edit] : []),
			...setMinutes({ ...practice, periods }, id, minutes).edits,
			{ type: 'remove-period', period: next.id }
		]
	};
}
