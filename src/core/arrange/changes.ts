import type { Block, Period, Practice } from '../model/practice';
import { isStation, playersOfCopy } from '../playing';

/** What becomes of a period. */
export interface PeriodChange {
	id: string;
	name: string;
	/** Minutes before and after; null before where it is new, and after where it is dropped. */
	minutes: { before: number | null; after: number | null };
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
	/** Ids of drills that it runs and did not run before. */
	drills: string[];
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
function movedIn(
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

/** Drills that a period runs. */
const drillsIn = (period: Period): string[] =>
	blocksIn(period).flatMap(({ drill }) => drill?.id ?? []);

/** What is in one list and not in another, each once. */
const notIn = (ids: Iterable<string>, others: Iterable<string>): string[] => {
	const known = new Set(others);
	return [...new Set(ids)].filter((id) => !known.has(id));
};

/** A period of which nothing is left, or nothing was there. */
const nothingOf = (period: Period): Period => ({ ...period, lanes: [], groups: [] });

/** What becomes of each period that changes, in the order of the practice after; ids of players and adults. */
export function changesOf(before: Practice, after: Practice): PeriodChange[] {
	const [were, are] = [new Set(before.expected), new Set(after.expected)];
	const stayed = new Set(before.expected.filter((id) => are.has(id)));
	function changeOf(was: Period | undefined, is: Period | undefined): PeriodChange {
		const period = (was ?? is) as Period;
		const [old, now] = [was ?? nothingOf(period), is ?? nothingOf(period)];
		const [ran, runs] = [partsOf(old, were).flat(), partsOf(now, are).flat()];
		return {
			...{ id: period.id, name: period.name, isRound: period.slots !== undefined },
			minutes: { before: was?.minutes ?? null, after: is?.minutes ?? null },
			parts: { before: partsIn(old), after: partsIn(now) },
			moved: is ? movedIn(partsOf(old, stayed), partsOf(now, stayed)) : [],
			...{ gone: notIn(ran, runs), joined: notIn(runs, ran) },
			adults: notIn(
				notIn(postsOf(now), postsOf(old)).map((post) => post.split(' ')[0]),
				[]
			),
			drills: notIn(drillsIn(now), drillsIn(old))
		};
	}
	const dropped = before.periods
		.filter(({ id }) => !after.periods.some((period) => period.id === id))
		.map((period) => changeOf(period, undefined));
	const kept = after.periods.map((period) =>
		changeOf(
			before.periods.find(({ id }) => id === period.id),
			period
		)
	);
	return [...kept, ...dropped].filter(
		({ minutes, parts, moved, gone, joined, adults, drills }) =>
			minutes.before !== minutes.after ||
			parts.before !== parts.after ||
			[moved, gone, joined, adults, drills].some(({ length }) => length > 0)
	);
}
