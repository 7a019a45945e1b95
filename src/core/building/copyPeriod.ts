import type { Block, Group, Lane, Period } from '../model/practice';

/** A period again, with ids of its own throughout; what names a group or a lane names the new one. */
export function copyPeriod(period: Period, makeId: (stem: string) => string): Period {
	const id = makeId(period.id);
	const renamed = new Map<string, string>();
	const rename = (old: string) => {
		const next = makeId(`${id}.${old}`);
		renamed.set(old, next);
		return next;
	};
	const again = (old: string) => renamed.get(old) ?? old;
	const groups = period.groups?.map((group): Group => ({ ...group, id: rename(group.id) }));
	const lanes = period.lanes.map((lane): Lane => ({
		...lane,
		id: rename(lane.id),
		blocks: lane.blocks.map((block): Block => ({
			...block,
			id: rename(block.id),
			copies: block.copies.map((copy) => ({
				...copy,
				id: rename(copy.id),
				...(copy.group !== undefined && { group: again(copy.group) })
			}))
		}))
	}));
	const slots = period.slots?.map((slot) =>
		Object.fromEntries(Object.entries(slot).map(([lane, ids]) => [again(lane), ids.map(again)]))
	);
	return { ...period, id, lanes, ...(groups && { groups }), ...(slots && { slots }) };
}
