import { isStation } from '../playing';
import { findBlock, findPeriod } from '../practice';
import type { Rule, Trouble } from './finding';
import { withoutBlock } from './fixes';

const WORKING = new Set(['warm-up', 'together', 'units', 'stations', 'scrimmage']);

/** A period that should hold work has no block, or a block has nobody or no drill. */
export const blockEmpty: Rule<'block-empty'> = {
	find: ({ practice, runs, windows, context }) =>
		practice.periods.flatMap((period, index): Trouble<'block-empty'>[] => {
			if (!WORKING.has(period.kind)) return [];
			const { fromSecond } = windows[index];
			const empty = (block?: string): Trouble<'block-empty'> => ({
				code: 'block-empty',
				severity: 'stop',
				at: { period: period.id, block, fromSecond },
				values: { name: period.name }
			});
			const lanes = period.lanes.filter(({ blocks }) => blocks.length > 0);
			if (lanes.length === 0) return [empty()];
			return lanes.flatMap((lane) =>
				lane.blocks
					.filter(
						(block) =>
							!runs.some(({ run }) => run.block === block && run.drill && run.players.length > 0)
					)
					.filter(() => context.shelf.length > 0 || !isStation(period, lane))
					.map((block) => empty(block.id))
			);
		}),
	*propose({ practice }, { at }) {
		const found = at.block === undefined ? undefined : findBlock(practice, at.block);
		const period = findPeriod(practice, at.period ?? '');
		if (found) yield withoutBlock(found.period, found.block);
		else if (period) yield { type: 'remove-period', period: period.id };
	}
};
