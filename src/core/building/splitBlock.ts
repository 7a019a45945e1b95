import type { Block, Lane, Period, Practice } from '../model/practice';
import { isStation } from '../playing';
import { arranging, type EditOf, findBlock } from '../practice';
import { sameBlock } from './splitPeriod';

/** The edit that gives one lane of a period these blocks. */
function withBlocks(period: Period, lane: Lane, blocks: Block[]): EditOf<'arrange-period'> {
	return arranging(period, {
		lanes: period.lanes.map((each) => (each === lane ? { ...lane, blocks } : each))
	});
}

/**
 * The edit that cuts a block into two of half its minutes, one behind the other on its lane, so that
 * the second can go up a rung or run something else. Null for a station, whose slots cut the time,
 * and for a block of one minute.
 */
export function splitBlock(
	practice: Practice,
	id: string,
	makeId: (stem: string) => string
): EditOf<'arrange-period'> | null {
	const found = findBlock(practice, id);
	if (!found || found.block.minutes < 2 || isStation(found.period, found.lane)) return null;
	const { period, lane, block } = found;
	const first = Math.ceil(block.minutes / 2);
	const second: Block = {
		...block,
		id: makeId(block.id),
		minutes: block.minutes - first,
		copies: block.copies.map((copy) => ({ ...copy, id: makeId(copy.id) }))
	};
	const at = lane.blocks.indexOf(block);
	return withBlocks(
		period,
		lane,
		lane.blocks.toSpliced(at, 1, { ...block, minutes: first }, second)
	);
}

/**
 * The edit that makes a block and the one behind it on its lane one, with the minutes of both and the
 * rungs of the first; null where there is none behind it, or it runs something else.
 */
export function mergeBlocks(practice: Practice, id: string): EditOf<'arrange-period'> | null {
	const found = findBlock(practice, id);
	if (!found) return null;
	const { period, lane, block } = found;
	const at = lane.blocks.indexOf(block);
	const next = lane.blocks[at + 1];
	if (!next || !sameBlock(block, next)) return null;
	const merged = { ...block, minutes: block.minutes + next.minutes };
	return withBlocks(period, lane, lane.blocks.toSpliced(at, 2, merged));
}
