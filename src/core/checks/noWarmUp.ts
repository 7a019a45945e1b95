import { setMinutes, type Edit, type Evaluation } from '../practice';
import type { Rule } from './finding';
import { warmUpPeriod } from './fixes';

/** Hard work comes before enough minutes of warm-up. */
export const noWarmUp: Rule = (evaluation) => {
	const { context, runs, windows } = evaluation;
	const { warmUpMinutes, hardWarmUpEffort } = context.limits;
	const hard = runs.find(
		({ run }) => (run.drill?.effort ?? 0) >= hardWarmUpEffort && run.players.length > 0
	);
	if (!hard) return [];
	const warmUps = windows.filter(({ period }) => period.kind === 'warm-up');
	const before = warmUps
		.filter(({ toSecond }) => toSecond <= hard.run.fromSecond + 1e-6)
		.reduce((sum, { period }) => sum + period.minutes, 0);
	if (before >= warmUpMinutes) return [];
	return [
		{
			code: 'no-warm-up',
			severity: 'stop',
			at: { period: hard.run.period.id, block: hard.run.block.id, fromSecond: hard.run.fromSecond },
			values: { minutes: before, needed: warmUpMinutes, effort: hard.run.drill?.effort ?? 0 },
			fixes: [warmUpFix(evaluation, Math.ceil(warmUpMinutes), hard.run.period.id)].flatMap(
				(fix) => fix ?? []
			)
		}
	];
};

/** Moves a warm-up to the front and makes it long enough; where there is none, adds one. */
function warmUpFix(evaluation: Evaluation, needed: number, hardPeriod: string): Edit | null {
	const { practice } = evaluation;
	const own = practice.periods.find(({ kind, id }) => kind === 'warm-up' && id !== hardPeriod);
	if (own)
		return {
			type: 'all',
			edits: [
				{ type: 'move-period', period: own.id, after: null },
				...setMinutes(practice, own.id, Math.max(needed, own.minutes)).edits
			]
		};
	const period = warmUpPeriod(evaluation, needed);
	return period && { type: 'add-period', period, after: null };
}
