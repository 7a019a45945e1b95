import { setMinutes } from '../building';
import type { Drill } from '../model/drill';
import type { Limits } from '../model/limits';
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

/** Minutes of warm-up that a drill on a rung wants before it: its own, or those that hard work wants. */
function warmUpFor(
	{ effort, warmUpMinutes: own = 0 }: Drill,
	{ hardWarmUpEffort, warmUpMinutes }: Limits
): number {
	return Math.max(own, effort >= hardWarmUpEffort ? warmUpMinutes : 0);
}

/** The first step of a practice, on whatever rung, that comes before as much warm-up as it wants. */
function tooSoon(evaluation: Evaluation): (RunStep & { before: number; needed: number }) | null {
	const { limits } = evaluation.context;
	return playedBlocks(evaluation)
		.flatMap(({ steps }) => steps)
		.filter(({ run }) => run.players.length > 0)
		.map((step) => ({
			...step,
			needed: warmUpFor(step.drill, limits),
			before: warmUpBefore(evaluation, step.fromSecond)
		}))
		.filter(({ before, needed }) => before < needed - 1e-6)
		.reduce<ReturnType<typeof tooSoon>>(
			(first, step) => (first && first.fromSecond <= step.fromSecond ? first : step),
			null
		);
}

/** Hard work, or a drill that says so, comes before enough minutes of warm-up. */
export const noWarmUp: Rule<'no-warm-up'> = {
	find(evaluation) {
		const hard = tooSoon(evaluation);
		if (!hard) return [];
		const { run, drill, fromSecond, before, needed } = hard;
		return [
			{
				code: 'no-warm-up',
				severity: 'stop',
				at: { period: run.period.id, block: run.block.id, fromSecond },
				values: { minutes: Math.floor(before), needed, effort: drill.effort }
			}
		];
	},
	/** Moves a warm-up to the front and makes it long enough; where there is none, adds one of the shelf. */
	*propose(evaluation, { at, values }) {
		const { practice } = evaluation;
		const needed = Math.ceil(values.needed);
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
