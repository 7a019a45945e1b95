import type { Drill } from '../model/drill';
import type { Limits } from '../model/limits';
import { clearOf, gapBetween, laidCopies } from '../playing';
import { overBlocks, type PlayedBlock } from './blockRule';
import type { Values } from './finding';
import { movedElsewhere, startsWithin } from './shared';

/** The first moment at which a copy of a block has another nearer than it wants clear, and how near; null where none is. */
function tooNear(
	played: PlayedBlock,
	clearFor: (drill: Drill, limits: Limits) => number
): { values: Values['clear-space']; fromSecond: number } | null {
	const { evaluation, runs, steps } = played;
	const { limits } = evaluation.context;
	if (steps.every(({ drill }) => clearFor(drill, limits) === 0)) return null;
	const { block } = runs[0].run;
	for (const second of startsWithin(played)) {
		const laid = laidCopies(evaluation, second);
		for (const own of laid.filter((copy) => copy.played.run.block === block)) {
			const clear = clearFor(own.drill, limits);
			for (const other of clear > 0 ? laid : []) {
				if (other === own || other.played.run.players.length === 0) continue;
				const gap = gapBetween(own, other);
				if (gap >= clear - 1e-6) continue;
				return { values: { other: other.played.run.block.id, gap, clear }, fromSecond: second };
			}
		}
	}
	return null;
}

/** A swing or a flight of one copy reaches into another that runs beside it. */
export const clearSpace = overBlocks({
	code: 'clear-space',
	severity: 'stop',
	find: (played) => tooNear(played, clearOf),
	accepts: () => true,
	cause: ({ at }) => at.period ?? '',
	weigh: ({ values }) => values.clear - values.gap,
	propose: movedElsewhere
});

/** Players who look up for a catch have others too near, into whom they may run. */
export const lookUpClose = overBlocks({
	code: 'look-up-close',
	severity: 'warn',
	find: (played) =>
		tooNear(played, ({ hazards }, { lookUpMetres }) => (hazards?.looksUp ? lookUpMetres : 0)),
	accepts: () => true,
	cause: ({ at }) => at.period ?? '',
	weigh: ({ values }) => values.clear - values.gap,
	propose: movedElsewhere
});
