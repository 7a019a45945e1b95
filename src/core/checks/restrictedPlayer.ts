import type { Drill } from '../model/drill';
import type { Limits, Player } from '../model/team';
import type { Finding, Rule } from './finding';
import { withoutPlayer } from './fixes';
import { onLastRung } from './shared';

/** The restriction that keeps a player out of a drill on a day, or undefined. */
export function restrictionOn(
	player: Player | undefined,
	drill: Drill,
	{ date, limits }: { date: string; limits: Limits }
) {
	return player?.restrictions?.find(({ from, until, cleared }) => {
		if (until !== undefined && date >= until) return false;
		if (cleared && date >= cleared.on) return false;
		return from === 'contact'
			? drill.contact >= limits.restrictedContact
			: drill.effort >= limits.restrictedEffort;
	});
}

/** A player is in a block that a licensed practitioner keeps them out of. */
export const restrictedPlayer: Rule = ({ practice, context, runs }) => {
	const seen = new Set<string>();
	return runs.flatMap(({ run }): Finding[] => {
		const { drill, period, block, fromSecond } = run;
		if (!drill) return [];
		return run.players.flatMap((id): Finding[] => {
			const limits = { date: practice.date, limits: context.limits };
			const restriction = block.climb
				.map(({ rung }) =>
					restrictionOn(context.playerById.get(id), onLastRung(drill, rung), limits)
				)
				.find((each) => each !== undefined);
			if (!restriction || seen.has(`${id} ${block.id}`)) return [];
			seen.add(`${id} ${block.id}`);
			const { from, until, setBy } = restriction;
			return [
				{
					code: 'restricted-player',
					severity: 'stop',
					at: { player: id, period: period.id, block: block.id, fromSecond },
					values: { from, setBy, ...(until !== undefined && { until }) },
					fixes: [withoutPlayer(period, block, id)]
				}
			];
		});
	});
};
