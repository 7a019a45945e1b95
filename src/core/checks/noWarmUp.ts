import { setMinutes } from '../building';
import type { Evaluation, RunStep } from '../playing';
import { playedBlocks } from './blockRule';
import type { Rule } from './finding';
import { warmUpPeriods } from './fixes';

/** Minutes of warm-up before a second. */
function warmUpBefore({ windows }: Evaluation, second: number): number {
	return windows
		.filter(({ period }) => period.kind === 'warm-up')
		.reduce(
			(sum, { fromSecond, toSecond }) =>
				sum + Math.max(0, Math.min(toSecond, second) - fromSecond) / 60,
			0
		);
}

/** The first hard work of a practice, on whatever rung. */
function firstHard(evaluation: Evaluation) {
	const { hardWarmUpEffort } = evaluation.context.limits;
	return playedBlocks(evaluation)
		.flatMap(({ steps }) => steps)
		.filter(({ drill, run }) => drill.effort >= hardWarmUpEffort && run.players.length > 0)
		.reduce<RunStep | null>(
			(first, step) => (first && first.fromSecond <= step.fromSecond ? first : step),
			null
		);
}

/** Hard work comes before enough minutes of warm-up. */
export const noWarmUp: Rule<'no-warm-up'> = {
	find(evaluation) {
		const hard = firstHard(evaluation);
		if (!hard) return [];
		const { warmUpMinutes } = evaluation.context.limits;
		const before = warmUpBefore(evaluation, hard.fromSecond);
		if (before >= warmUpMinutes - 1e-6) return [];
		const { run, drill, fromSecond } = hard;
		return [
			{
				code: 'no-warm-up',
				severity: 'stop',
				at: { period: run.period.id, block: run.block.id, fromSecond },
				values: { minutes: Math.floor(before), needed: warmUpMinutes, effort: drill.effort }
			}
		];
	},
	/** Moves a warm-up to the front and makes it long enough; where there is none, adds one of the shelf. */
	*propose(evaluation, { at }) {
		const { practice, context } = evaluation;
		const needed = Math.ceil(context.limits.warmUpMinutes);
		const own = practice.periods.find(({ kind, id }) => kind === 'warm-up' && id !== at.period);
		if (own)
			yield {
				type: 'all',
				edits: [
					{ type: 'move-period', period: own.id, after: null },
					...setMinutes(practice, own.id, Math.max(needed, own.minutes)).edits
				]
			};
		else
			for (const period of warmUpPeriods(evaluation, needed))
				yield { type: 'add-period', period, after: null };
	}
};
