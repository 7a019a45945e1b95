import { evaluate, keptOutOf } from '../playing';
import { applyEdit, findBlock, findPeriod } from '../practice';
import { playedBlocks } from './blockRule';
import type { Rule, Trouble } from './finding';
import { withoutPlayers } from './fixes';
import { placing } from './placing';

/** A player is in a block that a licensed practitioner, or a coach, keeps them out of. */
export const restrictedPlayer: Rule<'restricted-player'> = {
	find: (evaluation) =>
		playedBlocks(evaluation).flatMap(({ runs }) => {
			const players = [...new Set(runs.flatMap(({ run }) => run.players))];
			const { period, block } = runs[0].run;
			return players.flatMap((id): Trouble<'restricted-player'>[] => {
				const restriction = keptOutOf(evaluation.context.playerById.get(id), block, evaluation);
				if (!restriction) return [];
				const { from, until, setBy, reason } = restriction;
				const { fromSecond } = runs.find(({ run }) => run.players.includes(id))?.run ?? {};
				return [
					{
						code: 'restricted-player',
						severity: 'stop',
						at: { player: id, period: period.id, block: block.id, fromSecond },
						values: {
							from,
							setBy,
							...(reason !== undefined && { reason }),
							...(until !== undefined && { until })
						}
					}
				];
			});
		}),
	cause: ({ at, values }) => `${at.player} ${values.from}`,
	/** Another place in the period where they may be, else none in it. */
	*propose(evaluation, { at }) {
		const { practice, context } = evaluation;
		const found = findBlock(practice, at.block ?? '');
		if (!found || !at.player) return;
		const out = withoutPlayers(found.period, found.block, [at.player]);
		const applied = applyEdit(practice, out);
		const period = applied.ok && findPeriod(applied.value.practice, found.period.id);
		const elsewhere =
			period && placing(evaluate(applied.value.practice, context, evaluation), period, [at.player]);
		if (elsewhere) yield elsewhere;
		yield out;
	}
};
