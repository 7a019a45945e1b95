import { overBlocks } from './blockRule';
import { movedElsewhere } from './shared';

/** A copy stands in a zone that the ground does not have: it was taken away, or the ground is another. */
export const zoneGone = overBlocks({
	code: 'zone-gone',
	severity: 'stop',
	find({ runs, evaluation }) {
		const lost = runs.find(({ run }) => !evaluation.context.zoneById.has(run.copy.zoneId));
		if (!lost) return null;
		return { values: { zone: lost.run.copy.zoneId }, fromSecond: lost.run.fromSecond };
	},
	accepts: () => true,
	cause: () => '',
	propose: movedElsewhere
});
