import { idMaker, idsIn, periodFromDrill, type Edit } from '../practice';
import type { Finding, Rule } from './finding';

const SHORT_MINUTES = 5;

/** A drill for every day is not in a practice that has work in it. */
export const dailyMissing: Rule = (evaluation) => {
	const { practice, context, runs } = evaluation;
	const used = new Set(runs.flatMap(({ run }) => run.drill?.id ?? []));
	if (used.size === 0) return [];
	const daily = context.shelf.filter(({ frequency, id }) => frequency === 'daily' && !used.has(id));
	return daily.flatMap((drill): Finding[] => {
		const id = idMaker(practice.periods.flatMap(idsIn))(drill.id);
		const period = periodFromDrill(evaluation, { drill, id, minutes: SHORT_MINUTES });
		if (!period) return [];
		const warmUps = practice.periods.filter(({ kind }) => kind === 'warm-up');
		const last = drill.family === 'cool-down' ? practice.periods.at(-1) : warmUps.at(-1);
		const edit: Edit = { type: 'add-period', period, after: last?.id ?? null };
		return [
			{
				code: 'daily-missing',
				severity: 'hint',
				at: {},
				values: { drill: drill.id },
				fixes: [edit]
			}
		];
	});
};
