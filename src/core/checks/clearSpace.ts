import { clearOf, gapBetween, laidCopies } from '../playing';
import { overBlocks } from './blockRule';
import { movedElsewhere, startsWithin } from './shared';

/** A swing or a flight of one copy reaches into another that runs beside it. */
export const clearSpace = overBlocks({
	code: 'clear-space',
	severity: 'stop',
	find(played) {
		const { evaluation, runs, steps } = played;
		const { limits } = evaluation.context;
		if (steps.every(({ drill }) => clearOf(drill, limits) === 0)) return null;
		const { block } = runs[0].run;
		for (const second of startsWithin(played)) {
			const laid = laidCopies(evaluation, second);
			for (const own of laid.filter((copy) => copy.played.run.block === block)) {
				const clear = clearOf(own.drill, limits);
				for (const other of clear > 0 ? laid : []) {
					if (other === own || other.played.run.players.length === 0) continue;
					const gap = gapBetween(own, other);
					if (gap >= clear - 1e-6) continue;
					const values = { other: other.played.run.block.id, gap, clear };
					return { values, fromSecond: second };
				}
			}
		}
		return null;
	},
	accepts: () => true,
	cause: ({ at }) => at.period ?? '',
	weigh: ({ values }) => values.clear - values.gap,
	propose: movedElsewhere
});
