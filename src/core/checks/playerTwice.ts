import type { Evaluation } from '../playing';
import { type EditOf, findBlock } from '../practice';
import { clashTroubles } from './clashes';
import type { Rule, Trouble } from './finding';
import { withoutPlayers } from './fixes';

/** The edit that takes the players of some clashes out of one of the two blocks. */
function takenOut(
	{ practice }: Evaluation,
	troubles: readonly Trouble<'player-twice'>[],
	from: 'first' | 'second'
): EditOf<'arrange-period'> | null {
	const found = findBlock(practice, String(troubles[0].values[from]));
	const players = troubles.flatMap(({ at }) => at.player ?? []);
	return found ? withoutPlayers(found.period, found.block, players) : null;
}

/** A player is asked for in two blocks at the same second. */
export const playerTwice: Rule<'player-twice'> = {
	find: ({ playerClashes }) => clashTroubles(playerClashes, 'player'),
	cause: ({ values }) => `${values.first} ${values.second}`,
	propose(evaluation, trouble) {
		return this.proposeForAll?.(evaluation, [trouble]) ?? [];
	},
	*proposeForAll(evaluation, troubles) {
		for (const from of ['second', 'first'] as const) {
			const edit = takenOut(evaluation, troubles, from);
			if (edit) yield edit;
		}
	}
};
