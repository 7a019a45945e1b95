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

/** Runs of one copy together: a station's slots are slices of one block. */
function byCopy(runs: readonly PlannedRun[]): PlannedRun[][] {
	const lists = new Map<string, PlannedRun[]>();
	for (const run of runs) {
		const key = `${run.block.id} ${run.copy.id}`;
		lists.set(key, [...(lists.get(key) ?? []), run]);
	}
	return [...lists.values()];
}

/** Every block of a played practice laid out on the tape. Copies that share a zone and time stand side by side. */
export function layBlocks(
	{ runs, windows, context }: Evaluation,
	columns: readonly Column[]
): TapeBlock[] {
	const blocks: TapeBlock[] = [];
	for (const list of byCopy(runs.map(({ run }) => run))) {
		const [run] = list;
		const zone = context.zoneById.get(run.copy.zoneId);
		const window = windows.find(({ period }) => period === run.period);
		const span = zone && spanOf(zone, columns);
		if (!span || !window) continue;
		const isSliced = isStation(run.period, run.lane);
		blocks.push({
			key: `${run.block.id} ${run.copy.id}`,
			window,
			blockId: run.block.id,
			...span,
			fromSecond: isSliced ? window.fromSecond : run.fromSecond,
			toSecond: isSliced ? window.toSecond : run.toSecond,
			runs: list,
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
