import { overBlocks } from './blockRule';

/** Players stand in line for more of a block than the limit, unless the drill rests by design. */
export const waiting = overBlocks({
	code: 'waiting',
	severity: 'warn',
	find({ steps, runs, evaluation }) {
		const { waitingShare, waitingFromMinutes } = evaluation.context.limits;
		const [{ run }] = runs;
		const figures = evaluation.figures.blocks.get(run.block.id);
		const minutes = (run.toSecond - run.fromSecond) / 60;
		if (
			!figures?.turns ||
			steps.some(({ drill }) => drill.restByDesign) ||
			minutes < waitingFromMinutes - 1e-9
		)
			return null;
		if (figures.waitShare <= waitingShare + 1e-9) return null;
		const values = {
			waitShare: figures.waitShare,
			turns: figures.turns.mean,
			players: figures.sizes[0],
			longestWaitSeconds: figures.longestWaitSeconds
		};
		return { values, fromSecond: run.fromSecond };
	},
	accepts: ({ share }, { context }) => share.wait <= context.limits.waitingShare
});
