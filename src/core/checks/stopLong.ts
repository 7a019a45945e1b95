import { overBlocks } from './blockRule';

/** The coach stops a block for more of its time than players learn from. */
export const stopLong = overBlocks({
	code: 'stop-long',
	severity: 'warn',
	find({ runs, evaluation }) {
		const { block, fromSecond } = runs[0].run;
		const { stopShare } = evaluation.context.limits;
		if (block.stopShare <= stopShare + 1e-9) return null;
		return { values: { stopShare: block.stopShare, limit: stopShare }, fromSecond };
	},
	cause: () => '',
	propose: ({ runs, evaluation }) => [
		{
			type: 'set-block',
			block: runs[0].run.block.id,
			set: { stopShare: evaluation.context.limits.stopShare }
		}
	]
});
