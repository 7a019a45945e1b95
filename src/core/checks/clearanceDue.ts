import { awaitsClearing } from '../playing';
import type { Rule, Trouble } from './finding';

/** What a practitioner set has come to its last day: it holds on until somebody says who cleared the player, and from when. */
export const clearanceDue: Rule<'clearance-due'> = {
	find: ({ practice, context }) =>
		practice.expected.flatMap((id): Trouble<'clearance-due'>[] => {
			const own = context.playerById
				.get(id)
				?.restrictions?.find((each) => awaitsClearing(each, practice.date));
			if (!own?.until) return [];
			const { from, setBy, until } = own;
			return [
				{
					code: 'clearance-due',
					severity: 'hint',
					at: { player: id },
					values: { from, setBy, until }
				}
			];
		}),
	/** Only a practitioner clears a player: no edit of the practice does. */
	*propose() {}
};
