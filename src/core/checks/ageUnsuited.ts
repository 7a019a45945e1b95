import type { Drill } from '../model/drill';
import { onRung } from '../playing';
import { unsuited } from '../practice';
import { overBlocks, type PlayedBlock } from './blockRule';

/** The first step of a block that is not for the ages of the team, and why; null where all are. */
function firstUnsuited({ steps, evaluation }: PlayedBlock) {
	for (const { drill, run, fromSecond } of steps) {
		const why = run.players.length > 0 ? unsuited(drill, evaluation.context) : null;
		if (why) return { why, fromSecond };
	}
	return null;
}

/** A block is harder, or has more contact, than the age of the team allows. */
export const tooHard = overBlocks({
	code: 'too-hard',
	severity: 'stop',
	find(played) {
		const found = firstUnsuited(played);
		if (!found || found.why.what === 'ages') return null;
		const { what, has, most } = found.why;
		const { from: age } = played.evaluation.context.team.ages;
		return { values: { what, has, most, age }, fromSecond: found.fromSecond };
	},
	weigh: ({ values }) => values.has - values.most,
	*propose({ steps, runs, evaluation }) {
		const { block } = runs[0].run;
		const fits = block.climb.filter(({ rung }) =>
			steps.some(
				({ drill }) =>
					unsuited(drill, evaluation.context) === null &&
					drill === onRung(runs[0].run.drill as Drill, rung)
			)
		);
		if (fits.length > 0 && fits.length < block.climb.length)
			yield { type: 'set-block', block: block.id, set: { climb: fits } };
	}
});

/** A block runs a drill that is for others: younger ones, or older ones. */
export const ageUnsuited = overBlocks({
	code: 'age-unsuited',
	severity: 'warn',
	find(played) {
		const found = firstUnsuited(played);
		if (found?.why.what !== 'ages') return null;
		const { from, to } = found.why;
		return { values: { from, to }, fromSecond: found.fromSecond };
	}
});
