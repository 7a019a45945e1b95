import { entryAt } from '../model/ages';
import { overBlocks } from './blockRule';

/** Somebody stands in line for longer at a stretch than players of this age do quietly, unless the drill rests by design. */
export const standLong = overBlocks({
	code: 'stand-long',
	severity: 'warn',
	find({ steps, runs, evaluation }) {
		const { limits, team } = evaluation.context;
		const figures = evaluation.figures.blocks.get(runs[0].run.block.id);
		const limit = entryAt(limits.standSeconds, team.ages.from)?.seconds ?? Infinity;
		if (!figures?.turns || steps.some(({ drill }) => drill.restByDesign)) return null;
		const seconds = figures.longestWaitSeconds;
		if (seconds <= limit + 1e-6) return null;
		return { values: { seconds, limit }, fromSecond: runs[0].run.fromSecond };
	},
	accepts: ({ share }, { context }) => share.wait <= context.limits.waitingShare
});
