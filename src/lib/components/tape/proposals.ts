import { SHELF_MINUTES } from '../shelf/fits';
import { describeEdit } from '$core/checks';
import { periodFromDrill, setMinutes, unitBeside } from '$core/building';
import { overlap, type Evaluation, type PeriodWindow } from '$core/playing';
import { type Edit, findBlock } from '$core/practice';
import type { Drill } from '$core/model/drill';
import { spanOf, type Column } from './layout';
import texts from '$texts/tape';
import type { Say } from '$words';

/** What letting go now would do: the edit, its words, and where it would lie on the tape. */
export interface Proposal {
	edit: Edit;
	words: string;
	ghost: { column: number; columns: number; fromSecond: number; toSecond: number };
}

const MOST_MINUTES = 600;

/** The nearest number of whole steps of minutes in some seconds. */
const snap = (seconds: number, step: number) => Math.round(seconds / 60 / step) * step;

/** A period pulled longer or shorter by `seconds`; null where that changes nothing. */
export function proposeResize(
	evaluation: Evaluation,
	{ periodId, seconds, isCoarse }: { periodId: string; seconds: number; isCoarse: boolean },
	say: Say
): Proposal | null {
	const window = evaluation.windows.find(({ period }) => period.id === periodId);
	if (!window) return null;
	const step = isCoarse ? 5 : 1;
	const before = window.period.minutes;
	const wanted = isCoarse ? snap(before * 60 + seconds, step) : before + snap(seconds, step);
	const minutes = Math.min(MOST_MINUTES, Math.max(1, wanted));
	if (minutes === before) return null;
	const change = minutes - before;
	return {
		edit: setMinutes(evaluation.practice, periodId, minutes),
		words: say(change > 0 ? texts.longer : texts.shorter, {
			name: window.period.name,
			minutes,
			by: Math.abs(change)
		}),
		ghost: {
			column: 0,
			columns: Infinity,
			fromSecond: window.fromSecond,
			toSecond: window.fromSecond + minutes * 60
		}
	};
}

/** The period behind which something dropped at `second` comes: by the middles of the periods; null is first. */
export function placeAt({ windows }: Evaluation, second: number, without?: string): string | null {
	const before = windows.filter(
		({ period, fromSecond, toSecond }) =>
			period.id !== without && (fromSecond + toSecond) / 2 <= second
	);
	return before.at(-1)?.period.id ?? null;
}

function proposeOrder(
	evaluation: Evaluation,
	{ periodId, second }: { periodId: string; second: number },
	say: Say
): Proposal | null {
	const { windows } = evaluation;
	const index = windows.findIndex(({ period }) => period.id === periodId);
	const after = placeAt(evaluation, second, periodId);
	if (index < 0 || after === (windows[index - 1]?.period.id ?? null)) return null;
	const edit: Edit = { type: 'move-period', period: periodId, after };
	const { fromSecond, toSecond } = windows[index];
	const target = windows.find(({ period }) => period.id === after);
	const isLater = (target?.toSecond ?? 0) > fromSecond;
	const start = (target?.toSecond ?? 0) - (isLater ? toSecond - fromSecond : 0);
	return {
		edit,
		words: describeEdit(edit, evaluation, say),
		ghost: {
			column: 0,
			columns: Infinity,
			fromSecond: start,
			toSecond: start + toSecond - fromSecond
		}
	};
}

/** Copies drawn as one, moved to the zone of another lane of the tape; null where they are there already. */
export function proposeZone(
	evaluation: Evaluation,
	{
		blockId,
		copyIds,
		column,
		columns
	}: {
		blockId: string;
		copyIds: ReadonlySet<string>;
		column: number;
		columns: readonly Column[];
	},
	say: Say
): Proposal | null {
	const found = findBlock(evaluation.practice, blockId);
	const target = columns[column];
	const copies = found?.lane.blocks.flatMap((block) => block.copies) ?? [];
	const copy = copies.find(({ id }) => copyIds.has(id));
	if (!found || !copy || !target || copy.zoneId === target.zone.id) return null;
	const own = evaluation.context.zoneById.get(copy.zoneId);
	const span = own && spanOf(own, columns);
	if (!own || !span || span.columns > 1) return null;
	const zoneIds = [
		...new Set(copies.map(({ id, zoneId }) => (copyIds.has(id) ? target.zone.id : zoneId)))
	];
	const edit: Edit = {
		type: 'place-lane',
		lane: found.lane.id,
		zoneIds,
		copies: Object.fromEntries([...copyIds].map((id) => [id, target.zone.id]))
	};
	const window = evaluation.windows.find(({ period }) => period === found.period);
	return {
		edit,
		words: describeEdit(edit, evaluation, say),
		ghost: {
			column,
			columns: 1,
			fromSecond: window?.fromSecond ?? 0,
			toSecond: window?.toSecond ?? 0
		}
	};
}

/**
 * A block dragged over the tape: to another lane where it is held over one, or its period to another
 * place in the order where it is held outside its own time; null where neither.
 */
export function proposeMove(
	evaluation: Evaluation,
	{
		periodId,
		blockId,
		copyIds,
		column,
		second,
		columns
	}: {
		periodId: string;
		blockId: string;
		copyIds: ReadonlySet<string>;
		/** The lane under the pointer. */
		column: number;
		/** The second under the pointer. */
		second: number;
		columns: readonly Column[];
	},
	say: Say
): Proposal | null {
	const window = evaluation.windows.find(({ period }) => period.id === periodId);
	if (!window) return null;
	const isWithin = second >= window.fromSecond && second <= window.toSecond;
	if (!isWithin) return proposeOrder(evaluation, { periodId, second }, say);
	return proposeZone(evaluation, { blockId, copyIds, column, columns }, say);
}

/** How much of a period at its start and at its end is still between periods, for what is held over it. */
const BETWEEN = 0.2;

/** The period whose minutes are meant where something is held; undefined at its ends, and between periods. */
function periodMeant({ windows }: Evaluation, second: number): PeriodWindow | undefined {
	return windows.find(({ fromSecond, toSecond }) => {
		const ends = (toSecond - fromSecond) * BETWEEN;
		return second > fromSecond + ends && second < toSecond - ends;
	});
}

/**
 * A drill held over the minutes of a period, in a zone that nothing of it uses: beside what runs there, for
 * the first unit that has no lane yet and is large enough. Null where that cannot be, or where the period is of one piece.
 */
export function proposeBeside(
	evaluation: Evaluation,
	{ drill, rung, column, second, columns }: DrillHeld,
	say: Say
): Proposal | null {
	const window = periodMeant(evaluation, second);
	const zone = columns[column]?.zone;
	if (!window || !zone) return null;
	const { period } = window;
	const isUsed = period.lanes.some(({ zoneIds }) =>
		zoneIds.some((id) => {
			const used = evaluation.context.zoneById.get(id);
			return used && overlap(used, zone);
		})
	);
	if (isUsed || !['units', 'together'].includes(period.kind)) return null;
	const { team, playerById } = evaluation.context;
	const size = (unit: string) =>
		evaluation.practice.expected.filter((id) => playerById.get(id)?.unit === unit).length;
	// Units that are large enough for it come first.
	const units = team.units
		.filter(({ id }) => period.lanes.every((lane) => lane.unit !== id))
		.sort((a, b) => +(size(b.id) >= drill.group.min) - +(size(a.id) >= drill.group.min));
	for (const unit of units) {
		const edit = unitBeside(evaluation, period, {
			...{ drill, unit: unit.id, zoneId: zone.id },
			...(rung !== undefined && { rung })
		});
		if (!edit) continue;
		return {
			edit,
			words: say(texts.drillBeside, { name: drill.name, unitName: unit.name }),
			ghost: {
				column,
				columns: 1,
				fromSecond: window.fromSecond,
				toSecond: window.toSecond
			}
		};
	}
	return null;
}

/** A drill of the shelf as it is held over the tape. */
interface DrillHeld {
	drill: Drill;
	rung?: string;
	minutes?: number;
	column: number;
	second: number;
	columns: readonly Column[];
}

/**
 * A drill of the shelf held over the tape: beside a period where it is held over its minutes and free
 * ground, else a new period there, its copies from that lane on.
 */
export function proposeDrill(
	evaluation: Evaluation,
	{ id, ...held }: DrillHeld & { id: string },
	say: Say
): Proposal | null {
	const beside = proposeBeside(evaluation, held, say);
	if (beside) return beside;
	const { drill, rung, minutes = SHELF_MINUTES, column, second, columns } = held;
	const zoneId = columns[column]?.zone.id;
	const period = periodFromDrill(evaluation, {
		...{ drill, id, minutes, zoneId },
		...(rung !== undefined && { rung })
	});
	if (!period) return null;
	const after = placeAt(evaluation, second);
	const start = evaluation.windows.find((window) => window.period.id === after)?.toSecond ?? 0;
	const spans = period.lanes[0].zoneIds.flatMap((each) => {
		const zone = evaluation.context.zoneById.get(each);
		return (zone && spanOf(zone, columns)) ?? [];
	});
	const first = Math.min(...spans.map((span) => span.column));
	const last = Math.max(...spans.map((span) => span.column + span.columns));
	return {
		edit: { type: 'add-period', period, after },
		words: say(texts.drillAsPeriod, {
			name: drill.name,
			minutes: period.minutes,
			copies: period.lanes[0].blocks[0].copies.length
		}),
		ghost: {
			column: first,
			columns: last - first,
			fromSecond: start,
			toSecond: start + minutes * 60
		}
	};
}
