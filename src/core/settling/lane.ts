import { sameValue } from '../base';
import type { Copy, Group, Lane, Period } from '../model/practice';
import { playersOfCopy } from '../playing';

/**
 * The players of a lane, copy by copy, where its blocks are run by the same ones one after another; null
 * where a block deals them anew.
 */
export function columnsOf(period: Period, { blocks }: Lane): string[][] | null {
	const [first, ...others] = blocks.map(({ copies }) =>
		copies.map((copy) => playersOfCopy(period, copy))
	);
	return others.every((columns) => sameValue(columns, first)) ? (first ?? []) : null;
}

/** A copy that these players run; who was there beside its group stays beside it. */
function runBy({ group, players, ...copy }: Copy, now: readonly string[]): Copy {
	if (group === undefined) return { ...copy, players: [...now] };
	return { ...copy, group, players: players.filter((id) => now.includes(id)) };
}

/** A period in which some copies of a lane are left, each with these players. Their groups have them as well. */
export function withColumns(
	period: Period,
	lane: Lane,
	{ kept, parts }: { kept: readonly number[]; parts: readonly (readonly string[])[] }
): Period {
	const members = new Map<string, string[]>();
	const gone = new Set<string>();
	for (const { copies } of lane.blocks)
		for (const [index, { group, players }] of copies.entries()) {
			if (group === undefined) continue;
			const own = parts[kept.indexOf(index)];
			if (own)
				members.set(
					group,
					own.filter((id) => !players.includes(id))
				);
			else gone.add(group);
		}
	const blocks = lane.blocks.map((block) => ({
		...block,
		copies: kept.map((index, place) => runBy(block.copies[index], parts[place]))
	}));
	const zones = blocks.flatMap(({ copies }) => copies.map(({ zoneId }) => zoneId));
	const zoneIds = lane.zoneIds.filter((id) => zones.includes(id));
	const lanes = period.lanes.map((each) => (each === lane ? { ...lane, zoneIds, blocks } : each));
	const groups = period.groups?.flatMap((each): Group[] => {
		if (gone.has(each.id) && !members.has(each.id)) return [];
		const own = members.get(each.id);
		return [own ? { ...each, players: own } : each];
	});
	return { ...period, lanes, ...(groups && { groups }) };
}
