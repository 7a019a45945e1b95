import type { Evaluation } from '../playing';
import { playedBlocks } from './blockRule';
import type { Rule, Trouble } from './finding';
import { waterBehind } from './fixes';

/** The hardest step that is run in each period, by the period's id. */
function effortByPeriod(evaluation: Evaluation): Map<string, number> {
	const efforts = new Map<string, number>();
	for (const { steps } of playedBlocks(evaluation))
		for (const { run, drill } of steps) {
			const { id } = run.period;
			if (run.players.length > 0) efforts.set(id, Math.max(efforts.get(id) ?? 0, drill.effort));
		}
	return efforts;
}

/** Two hard periods follow each other without water or rest between. */
export const hardAfterHard: Rule<'hard-after-hard'> = {
	find(evaluation) {
		const { practice, windows, context } = evaluation;
		const efforts = effortByPeriod(evaluation);
		return practice.periods.flatMap((period, index): Trouble<'hard-after-hard'>[] => {
			const next = practice.periods[index + 1];
			if (!next) return [];
			const [effort, nextEffort] = [efforts.get(period.id) ?? 0, efforts.get(next.id) ?? 0];
			if (effort < context.limits.hardEffort || nextEffort < context.limits.hardEffort) return [];
			return [
				{
					code: 'hard-after-hard',
					severity: 'warn',
					at: { period: next.id, fromSecond: windows[index + 1].fromSecond },
					values: { first: period.name, second: next.name, effort, nextEffort }
				}
			];
		});
	},
	*propose({ practice }, { at }) {
		const index = practice.periods.findIndex(({ id }) => id === at.period);
		yield waterBehind(practice, practice.periods[index - 1].id, 2);
	}
};
