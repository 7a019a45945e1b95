import type { Block, Period, Practice } from '../model/practice';
import { isStation, playersOfCopy } from '../playing';

/** What becomes of a period. */
export interface PeriodChange {
	id: string;
	name: string;
	/** Minutes before and after; null after where it is dropped. */
	minutes: { before: number; after: number | null };
	/** Stations, or copies where it is no round, before and after. */
	parts: { before: number; after: number };
	/** Whether it is a round of stations. */
	isRound: boolean;
	/** Ids of players who are with others than before, though they were here all along. */
	moved: string[];
	/** Ids of those who have left it, and of those who have joined it. */
	gone: string[];
	joined: string[];
	/** Ids of the adults who stand where they did not before. */
	adults: string[];
}

const blocksIn = ({ lanes }: Period): Block[] => lanes.flatMap(({ blocks }) => blocks);

/** Who runs each part of a period together: by group in a round of stations, else by copy. */
function partsOf(period: Period, here: ReadonlySet<string>): string[][] {
	const present = (players: readonly string[]) => players.filter((id) => here.has(id));
	const copies = period.lanes
		.filter((lane) => !isStation(period, lane))
		.flatMap(({ blocks }) => blocks.flatMap((block) => block.copies));
	const apart = new Set(copies.map(({ group }) => group));
	const groups = period.slots ? (period.groups ?? []).filter(({ id }) => !apart.has(id)) : [];
	return [
		...groups.map(({ players }) => present(players)),
		...copies.map((copy) => present(playersOfCopy(period, copy)))
	];
}

/** Players who are with others than before: not in the part that kept most of their old one. */
export function movedIn(
	before: readonly (readonly string[])[],
	after: readonly (readonly string[])[]
): string[] {
	const moved = before.flatMap((old) => {
		const shares = after.map((part) => old.filter((id) => part.includes(id)));
		const most = shares.reduce((a, b) => (b.length > a.length ? b : a), [] as string[]);
		return old.filter((id) => !most.includes(id));
	});
	return [...new Set(moved)];
}

/** How many stations a period has, or copies where it is no round. */
export const partsIn = (period: Period): number =>
	period.slots
		? period.lanes.filter((lane) => isStation(period, lane)).length
		: blocksIn(period).reduce((sum, { copies }) => sum + copies.length, 0);

/** Adults by the copies that they stand with. */
const postsOf = (period: Period) =>
	new Set(
		blocksIn(period).flatMap(({ id, lead, copies }) => [
			...(lead === undefined ? [] : [`${lead} ${id}`]),
			...copies.flatMap((copy) => copy.adults.map((adult) => `${adult} ${copy.id}`))
		])
	);

/** What becomes of each period that changes, in their order; ids of players and adults. */
export function changesOf(before: Practice, after: Practice): PeriodChange[] {
	const [were, are] = [new Set(before.expected), new Set(after.expected)];
	const stayed = new Set(before.expected.filter((id) => are.has(id)));
	return before.periods.flatMap((period) => {
		const next = after.periods.find(({ id }) => id === period.id);
		const [old, now] = [partsOf(period, were).flat(), next ? partsOf(next, are).flat() : []];
		const moved = next ? movedIn(partsOf(period, stayed), partsOf(next, stayed)) : [];
		const stood = postsOf(period);
		const change: PeriodChange = {
			...{ id: period.id, name: period.name, moved, isRound: period.slots !== undefined },
			minutes: { before: period.minutes, after: next?.minutes ?? null },
			parts: { before: partsIn(period), after: next ? partsIn(next) : 0 },
			gone: [...new Set(old)].filter((id) => !now.includes(id)),
			joined: [...new Set(now)].filter((id) => !old.includes(id)),
			adults: [
				...new Set(
					[...(next ? postsOf(next) : [])].flatMap((post) =>
						stood.has(post) ? [] : [post.split(' ')[0]]
					)
				)
			]
		};
		const isSame =
			change.minutes.after === period.minutes &&
			change.parts.before === change.parts.after &&
			[moved, change.gone, change.joined, change.adults].every(({ length }) => length === 0);
		return isSame ? [] : [change];
	});
}
