import type { Drill } from '../model/drill';
import { isGame, isLikeAGame } from '../model/family';
import type { Period } from '../model/practice';
import { drillOf, unsuited, type Context, type EditOf, type Plan } from '../practice';
import { anotherInside } from './newPeriod';
import { sizeHere } from './sizeHere';

/** Other drills of the shelf that may stand in the place of a game: games of its family, other games, then live play of two sides. */
function gamesBeside(game: Drill, context: Context): Drill[] {
	const rank = (drill: Drill) => (drill.family === game.family ? 0 : isGame(drill) ? 1 : 2);
	return context.shelf
		.filter(
			(drill) =>
				drill.id !== game.id && (isGame(drill) || isLikeAGame(drill)) && !unsuited(drill, context)
		)
		.toSorted((a, b) => rank(a) - rank(b));
}

/**
 * Other games in the place of the one that a period is all about, for however many come, those of its family first:
 * each that they can all play here. None where the period is no game.
 */
export function* otherGames(plan: Plan, period: Period): Generator<EditOf<'all'>> {
	const { practice, context } = plan;
	const [lane, ...others] = period.lanes;
	if (others.length > 0 || lane?.blocks.length !== 1) return;
	const game = drillOf(context, lane.blocks[0].drill);
	if (!game || !isGame(game)) return;
	for (const drill of gamesBeside(game, context)) {
		const sized = sizeHere(plan, {
			...{ period, drill, players: practice.expected.length },
			...{ minutes: period.minutes, beside: [] }
		});
		if (!sized.ok || sized.value.output.best === null) continue;
		const edit = anotherInside(plan, period, drill);
		if (edit) yield edit;
	}
}
