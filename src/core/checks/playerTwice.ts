import { both, once } from './clashes';
import type { Finding, Rule } from './finding';
import { withoutPlayer } from './fixes';

/** A player is asked for in two blocks at the same second. */
export const playerTwice: Rule = ({ playerClashes }) =>
	once(playerClashes).map((clash): Finding => {
		const { person, first, second } = clash;
		return {
			code: 'player-twice',
			severity: 'stop',
			at: {
				player: person,
				period: second.period.id,
				block: second.block.id,
				fromSecond: second.fromSecond
			},
			values: both(clash),
			fixes: [
				withoutPlayer(second.period, second.block, person),
				withoutPlayer(first.period, first.block, person)
			]
		};
	});
