import { periodFromDrill } from '../building';
import { idMaker, idsIn } from '../practice';
import type { Rule } from './finding';

const SHORT_MINUTES = 5;

/** A drill for every day is not in a practice that has work in it. */
export const dailyMissing: Rule<'daily-missing'> = {
	find({ context, runs }) {
		const used = new Set(runs.flatMap(({ run }) => run.drill?.id ?? []));
		if (used.size === 0) return [];
		return context.shelf
			.filter(({ frequency, id }) => frequency === 'daily' && !used.has(id))
			.map(({ id }) => ({
				code: 'daily-missing',
				severity: 'hint',
				at: {},
				values: { drill: id }
			}));
	},
	*propose(evaluation, { values }) {
		const { practice, context } = evaluation;
		const drill = context.shelf.find(({ id }) => id === values.drill);
		const id = idMaker(practice.periods.flatMap(idsIn))(values.drill);
		const period = drill && periodFromDrill(evaluation, { drill, id, minutes: SHORT_MINUTES });
		if (!period) return;
		const warmUps = practice.periods.filter(({ kind }) => kind === 'warm-up');
		const last = drill.family === 'cool-down' ? practice.periods.at(-1) : warmUps.at(-1);
		yield { type: 'add-period', period, after: last?.id ?? null };
	}
};
