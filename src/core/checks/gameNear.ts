import { daysBetween } from '../conditions';
import { overBlocks } from './blockRule';

/** A block runs a drill nearer to a game than it says that it should be. */
export const gameNear = overBlocks({
	code: 'game-near',
	severity: 'stop',
	find({ steps, evaluation }) {
		const { practice, context } = evaluation;
		const next = context.before?.nextGame;
		if (next === undefined) return null;
		const days = daysBetween(practice.date, next);
		for (const { run, drill, fromSecond } of steps) {
			const within = drill.notWithinDaysOfGame;
			if (run.players.length === 0 || within === undefined || days > within) continue;
			return { values: { days, within }, fromSecond };
		}
		return null;
	}
});
