import type { Evaluation } from '../playing';
import { playedBlocks } from './blockRule';
import { waterBehind, withWaterBetween } from './fixes';
import type { Rule } from './finding';

/** A stretch of hard work of one player, in seconds of the practice. */
interface Stretch {
	fromSecond: number;
	hardSeconds: number;
	/** The block in which it goes over. */
	block: string;
	period: string;
}

/** The longest stretch of hard work without a rest between, over all players; null where nobody works hard. */
function longestHard(evaluation: Evaluation): Stretch | null {
	const { hardEffort, easyMinutes } = evaluation.context.limits;
	const open = new Map<string, Stretch & { toSecond: number }>();
	let longest: Stretch | null = null;
	const steps = playedBlocks(evaluation)
		.flatMap((played) => played.steps)
		.filter(({ drill }) => drill.effort >= hardEffort)
		.sort((a, b) => a.fromSecond - b.fromSecond);
	for (const { run, fromSecond, toSecond } of steps)
		for (const player of run.players) {
			const before = open.get(player);
			// A drink is no rest: only so many minutes of something easier are.
			const goesOn = before && fromSecond - before.toSecond < easyMinutes * 60 - 1e-6;
			const stretch = {
				fromSecond: goesOn ? before.fromSecond : fromSecond,
				hardSeconds: (goesOn ? before.hardSeconds : 0) + (toSecond - fromSecond),
				...{ toSecond, block: run.block.id, period: run.period.id }
			};
			open.set(player, stretch);
			if (!longest || stretch.hardSeconds > longest.hardSeconds) longest = stretch;
		}
	return longest;
}

/** Players work hard for longer than they should without an easy stretch in between. */
export const hardLong: Rule<'hard-long'> = {
	find(evaluation) {
		const longest = longestHard(evaluation);
		const { hardMinutes: limit, easyMinutes: easy } = evaluation.context.limits;
		if (!longest || longest.hardSeconds <= limit * 60 + 1e-6) return [];
		const { block, period, fromSecond, hardSeconds } = longest;
		const values = { minutes: Math.round(hardSeconds / 60), limit, easy };
		return [{ code: 'hard-long', severity: 'warn', at: { period, block, fromSecond }, values }];
	},
	weigh: ({ values }) => values.minutes - values.limit,
	/** A rest before the period that goes over, or in its middle. */
	*propose({ practice }, { at, values }) {
		const index = practice.periods.findIndex(({ id }) => id === at.period);
		if (index > 0) yield waterBehind(practice, practice.periods[index - 1].id, values.easy);
		const halves = withWaterBetween(practice, at.period ?? '', values.easy);
		if (halves) yield halves;
	}
};
