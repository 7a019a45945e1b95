import { groups } from 'd3-array';
import { unplacedIn } from '../playing';
import { type Edit, findPeriod } from '../practice';
import type { Rule, Trouble } from './finding';
import { placing } from './placing';

const playersIn = (troubles: readonly Trouble<'player-unplaced'>[]) =>
	troubles.flatMap(({ at }) => at.player ?? []);

/** A player who is expected has no place in a period that places others. */
export const playerUnplaced: Rule<'player-unplaced'> = {
	find: (evaluation) =>
		evaluation.practice.periods.flatMap((period) =>
			unplacedIn(period, evaluation).map((player) => ({
				code: 'player-unplaced',
				severity: 'stop',
				at: { period: period.id, player },
				values: {}
			}))
		),
	/** Periods in which the same players have no place: they were added after the groups were made. */
	cause: ({ at }, all) => playersIn(all.filter((other) => other.at.period === at.period)).join(' '),
	propose(evaluation, trouble) {
		return this.proposeForAll?.(evaluation, [trouble]) ?? [];
	},
	*proposeForAll(evaluation, troubles) {
		const edits = groups(troubles, ({ at }) => at.period).flatMap(([id, own]): Edit[] => {
			const period = findPeriod(evaluation.practice, id ?? '');
			const edit = period && placing(evaluation, period, playersIn(own));
			return edit ? [edit] : [];
		});
		if (edits.length === 1) yield edits[0];
		else if (edits.length > 1)
			yield { type: 'all', edits: edits.filter((edit) => edit.type !== 'all') };
	}
};
