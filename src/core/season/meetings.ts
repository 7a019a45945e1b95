import type { Period, Practice } from '../model/practice';

/** Times that two players were in a group together, by their ids. */
export type Meetings = [a: string, b: string, times: number][];

/** Players who went through a period together: its groups, and the copies that are of no group. */
function groupsOf(period: Period): (readonly string[])[] {
	const groups = (period.groups ?? []).map(({ players }) => players);
	const copies = period.lanes.flatMap(({ blocks }) => blocks.flatMap((block) => block.copies));
	// The whole squad together is no meeting.
	const own =
		copies.length > 1 ? copies.filter(({ group, players }) => !group && players.length > 0) : [];
	return [...groups, ...own.map(({ players }) => players)];
}

/** How often any two players were in a group together in these practices. */
export function meetingsIn(practices: readonly Pick<Practice, 'periods'>[]): Meetings {
	const times = new Map<string, Map<string, number>>();
	for (const { periods } of practices)
		for (const players of periods.flatMap(groupsOf)) {
			const sorted = [...new Set(players)].sort();
			for (const [k, a] of sorted.entries()) {
				const own = times.get(a) ?? new Map<string, number>();
				times.set(a, own);
				for (const b of sorted.slice(k + 1)) own.set(b, (own.get(b) ?? 0) + 1);
			}
		}
	return [...times].flatMap(([a, own]) =>
		[...own].map(([b, count]): Meetings[number] => [a, b, count])
	);
}
