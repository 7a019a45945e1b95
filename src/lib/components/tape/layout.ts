import { smallestZones } from '$core/ground';
import type { Zone } from '$core/model/team';
import {
	type Evaluation,
	isStation,
	overlap,
	type PeriodWindow,
	type PlannedRun
} from '$core/playing';
import type { Context } from '$core/practice';

/** A column of the tape: a zone that is not made of others. */
export interface Column {
	zone: Zone;
	index: number;
}

/** A block on the tape: where it lies in columns and seconds, and its runs in order of time. */
export interface TapeBlock {
	key: string;
	window: PeriodWindow;
	blockId: string;
	/** First column and how many, in fractions where copies share a zone. */
	column: number;
	columns: number;
	fromSecond: number;
	toSecond: number;
	runs: PlannedRun[];
	/** The copies that are drawn as one here; one where each is drawn by itself. */
	copies: number;
	/** The zone, where the lanes do not say it. */
	where?: string;
	isStation: boolean;
	/** Another block lies over a part of it. */
	isCovered?: boolean;
}

/** The columns of a ground: its smallest zones, in the ground's order. */
export const columnsOf = ({ ground }: Pick<Context, 'ground'>): Column[] =>
	smallestZones(ground).map((zone, index) => ({ zone, index }));

/** The first column and the number of columns that a zone lies over; null where it is over none. */
export function spanOf(
	zone: Zone,
	columns: readonly Column[]
): { column: number; columns: number } | null {
	const over = columns.filter((column) => overlap(column.zone, zone)).map(({ index }) => index);
	if (over.length === 0) return null;
	const first = Math.min(...over);
	return { column: first, columns: Math.max(...over) - first + 1 };
}

/**
 * Runs that are drawn as one: those of a copy, for a station's slots are slices of one block, and those of
 * all copies of a block in one zone, unless the block is open.
 */
function byDrawn(runs: readonly PlannedRun[], opened: string | null): Map<string, PlannedRun[]> {
	const lists = new Map<string, PlannedRun[]>();
	for (const run of runs) {
		const { block, copy } = run;
		const key = `${block.id} ${block.id === opened ? copy.id : copy.zoneId}`;
		lists.set(key, [...(lists.get(key) ?? []), run]);
	}
	return lists;
}

/** How many copies some runs are of. */
const copiesIn = (runs: readonly PlannedRun[]) => new Set(runs.map(({ copy }) => copy.id)).size;

/**
 * Every block of a played practice laid out on the tape. Copies that share a zone are one, and side by side
 * where their block is `opened`.
 */
export function layBlocks(
	{ runs, windows, context }: Evaluation,
	columns: readonly Column[],
	opened: string | null = null
): TapeBlock[] {
	const blocks: TapeBlock[] = [];
	for (const [key, list] of byDrawn(
		runs.map(({ run }) => run),
		opened
	)) {
		const [run] = list;
		const zone = context.zoneById.get(run.copy.zoneId);
		const window = windows.find(({ period }) => period === run.period);
		const span = zone && spanOf(zone, columns);
		if (!span || !window) continue;
		const isSliced = isStation(run.period, run.lane);
		blocks.push({
			key,
			window,
			blockId: run.block.id,
			...span,
			fromSecond: isSliced ? window.fromSecond : run.fromSecond,
			toSecond: isSliced ? window.toSecond : run.toSecond,
			runs: list,
			copies: copiesIn(list),
			isStation: isSliced
		});
	}
	return shareColumns(blocks);
}

/** Cuts the columns of blocks that lie on the same ground at the same time. */
export function shareColumns(blocks: TapeBlock[]): TapeBlock[] {
	return blocks.map((block) => {
		const rivals = blocks.filter(
			(other) =>
				other.fromSecond < block.toSecond - 1e-6 &&
				block.fromSecond < other.toSecond - 1e-6 &&
				other.column < block.column + block.columns &&
				block.column < other.column + other.columns
		);
		if (rivals.length < 2) return block;
		const sameSpan = rivals.every(
			({ column, columns }) => column === block.column && columns === block.columns
		);
		// Of different spans the narrower one is drawn over the right of its own columns.
		const widest = Math.max(...rivals.map((rival) => rival.columns));
		if (!sameSpan && block.columns === widest) return { ...block, isCovered: true };
		if (!sameSpan)
			return {
				...block,
				column: block.column + block.columns / 4,
				columns: (block.columns * 3) / 4
			};
		const columns = block.columns / rivals.length;
		return { ...block, column: block.column + rivals.indexOf(block) * columns, columns };
	});
}
