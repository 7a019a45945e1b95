import type { Period, Practice } from '../model/practice';

/** Times that two players were in a group together, by their ids. */
export type Meetings = [a: string, b: string, times: number][];

/** Two players with how often they were in a group together, and for how many minutes. */
export interface Pair {
	a: string;
	b: string;
	times: number;
	minutes: number;
}

interface Company {
	players: readonly string[];
	minutes: number;
}

/** Players who went through a period together: its groups, and the copies that are of no group. */
function companyIn(period: Period): Company[] {
	const { minutes } = period;
	const groups = (period.groups ?? []).map(({ players }) => ({ players, minutes }));
	const copies = period.lanes.flatMap(({ blocks }) =>
		blocks.flatMap((block) => block.copies.map((copy) => ({ ...copy, minutes: block.minutes })))
	);
	// The whole squad together is no meeting.
	const own =
		copies.length > 1 ? copies.filter(({ group, players }) => !group && players.length > 0) : [];
	return [...groups, ...own];
}

/** Every two players who were in a group together in these practices, of those who came. */
export function pairsIn(practices: readonly Pick<Practice, 'periods' | 'expected'>[]): Pair[] {
	const pairs = new Map<string, Map<string, Pair>>();
	for (const { periods, expected } of practices) {
		const came = new Set(expected);
		for (const { players, minutes } of periods.flatMap(companyIn)) {
			const sorted = [...new Set(players)].filter((id) => came.has(id)).sort();
			for (const [k, a] of sorted.entries()) {
				const own = pairs.get(a) ?? new Map<string, Pair>();
				pairs.set(a, own);
				for (const b of sorted.slice(k + 1)) {
					const pair = own.get(b) ?? { a, b, times: 0, minutes: 0 };
					own.set(b, { ...pair, times: pair.times + 1, minutes: pair.minutes + minutes });
				}
			}
		}
	}
	return [...pairs.values()].flatMap((own) => [...own.values()]);
}

/** How often any two players were in a group together in these practices. */
export function meetingsIn(practices: readonly Pick<Practice, 'periods' | 'expected'>[]): Meetings {
	return pairsIn(practices).map(({ a, b, times }): Meetings[number] => [a, b, times]);
}
