import { overBlocks } from './blockRule';

/** Seconds that a player may stand at a stretch at an age; Infinity where no limit is set. */
const mostSeconds = (table: readonly { under: number; seconds: number }[], age: number) =>
	table.toSorted((a, b) => a.under - b.under).find(({ under }) => age < under)?.seconds ?? Infinity;

/** Somebody stands in line for longer at a stretch than players of this age do quietly, unless the drill rests by design. */
export const standLong = overBlocks({
	code: 'stand-long',
	severity: 'warn',
	find({ steps, runs, evaluation }) {
		const { limits, team } = evaluation.context;
		const figures = evaluation.figures.blocks.get(runs[0].run.block.id);
		const limit = mostSeconds(limits.standSeconds, team.ages.from);
		if (!figures?.turns || steps.some(({ drill }) => drill.restByDesign)) return null;
		const seconds = figures.longestWaitSeconds;
		if (seconds <= limit + 1e-6) return null;
		return { values: { seconds, limit }, fromSecond: runs[0].run.fromSecond };
	},
	accepts: ({ share }, { context }) => share.wait <= context.limits.waitingShare
});
