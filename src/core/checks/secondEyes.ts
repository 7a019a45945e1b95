import { overBlocks } from './blockRule';
import { freeAdults } from './shared';

/** Nobody but its coach watches a live block, though an adult is free. */
export const secondEyes = overBlocks({
	code: 'second-eyes',
	severity: 'hint',
	find(played) {
		const { drill, runs } = played;
		const { block, fromSecond } = runs[0].run;
		if (!drill.live || block.eyes !== undefined) return null;
		const [adult] = freeAdults(played);
		return adult === undefined ? null : { values: { adult }, fromSecond };
	},
	accepts: () => false,
	proposals: (played) =>
		freeAdults(played)
			.slice(0, 1)
			.map((eyes) => ({
				type: 'set-block',
				block: played.runs[0].run.block.id,
				set: { eyes }
			}))
});
