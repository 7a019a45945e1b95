import { overBlocks } from './blockRule';
import { freeAdults } from './shared';

/** Nobody but its coach watches a live block, though an adult is free. */
export const secondEyes = overBlocks({
	code: 'second-eyes',
	severity: 'hint',
	find(played) {
		const { block } = played.runs[0].run;
		const live = played.steps.find(({ drill }) => drill.live);
		if (!live || block.eyes !== undefined) return null;
		const { fromSecond } = live;
		const [adult] = freeAdults(played);
		return adult === undefined ? null : { values: { adult }, fromSecond };
	},
	cause: () => '',
	propose: (played) =>
		freeAdults(played)
			.slice(0, 1)
			.map((eyes) => ({
				type: 'set-block',
				block: played.runs[0].run.block.id,
				set: { eyes }
			}))
});
