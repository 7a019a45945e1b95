import type { Block, Period, Practice } from '../model/practice';
import type { EditOf } from '../practice';
import type { Alternative } from './shapes';

/**
 * The edit that puts a draft in the place of all that is on the tape; `whyOf` says why a block is there, for its
 * note. It is one step of undo.
 */
export function draftEdit(
	practice: Practice,
	draft: Alternative,
	whyOf: (block: Block) => string
): EditOf<'all'> {
	const told = (block: Block): Block => {
		const why = whyOf(block);
		return why ? { ...block, why } : block;
	};
	const periods = draft.practice.periods.map((period): Period => ({
		...period,
		lanes: period.lanes.map((lane) => ({ ...lane, blocks: lane.blocks.map(told) }))
	}));
	return {
		type: 'all',
		edits: [
			...practice.periods.map(({ id }) => ({ type: 'remove-period' as const, period: id })),
			...periods.map((period, index) => ({
				...{ type: 'add-period' as const, period },
				after: index === 0 ? null : periods[index - 1].id
			}))
		]
	};
}
