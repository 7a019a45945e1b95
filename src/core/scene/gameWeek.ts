import type { Game, Season } from '../model/season';
import type { Seed } from '../model/scene';
import type { Drill } from '../model/drill';
import { rungsRun } from '../playing';
import { blocksOf, drillOf, type Found, type Plan } from '../practice';

/** When somebody practises, and whether they will. */
export interface DatedPractice {
	id: string;
	date: string;
	start: string;
	isCancelled: boolean;
}

/** At most every so manieth start is one of the next opponent's: before the last practices it is no more than this. */
const SELDOM = 6;

/** What a practice does to get ready for the next game. Coaches alone see it. */
export interface GameWeek {
	game: Game;
	/** Practices up to the game, this one included. */
	left: number;
	/** How the opponent begins; none where the team gets ready by a talk alone. */
	seeds: Seed[];
	/** Every so manieth start of live play is one of the seeds: the fewer practices are left, the more often. */
	every: number;
	/** Whether the talk about the opponent belongs here: in the last practice before the game. */
	hasTalk: boolean;
}

type Moment = { date: string; start?: string };

/** Whether one is before another; without a time of its own a game is after all practices of its day. */
const isBefore = (a: Moment, b: Moment) =>
	`${a.date} ${a.start ?? '99'}` < `${b.date} ${b.start ?? '99'}`;

/** The next game after a moment that is not cancelled; undefined where there is none. */
export function nextGame({ games = [] }: Pick<Season, 'games'>, at: Moment): Game | undefined {
	return games
		.filter((game) => game.cancelled === undefined && isBefore(at, game))
		.reduce<Game | undefined>((a, b) => (a && !isBefore(b, a) ? a : b), undefined);
}

/**
 * How a practice gets ready for the next game; null where it is cancelled or no game comes. Nothing of it is kept
 * in the practice: it follows when a game is moved or cancelled, and goes nowhere with the practice.
 */
export function gameWeekOf(
	season: Pick<Season, 'games' | 'seeds' | 'prepares'>,
	practice: DatedPractice,
	practices: readonly DatedPractice[]
): GameWeek | null {
	const game = practice.isCancelled ? undefined : nextGame(season, practice);
	if (!game) return null;
	const others = practices.filter(
		(each) =>
			!each.isCancelled &&
			each.id !== practice.id &&
			isBefore(practice, each) &&
			isBefore(each, game)
	);
	const { prepares = 'both', seeds = [] } = season;
	const left = others.length + 1;
	return {
		game,
		left,
		seeds: prepares === 'talk' ? [] : seeds.filter((seed) => seed.game === game.id),
		every: Math.min(SELDOM, left + 1),
		hasTalk: left === 1 && prepares !== 'seeds'
	};
}

/** The seed that a start of live play begins with, starts counted from 0; null where it begins as it always does. */
function seedAt({ seeds, every }: Pick<GameWeek, 'seeds' | 'every'>, start: number): Seed | null {
	if (seeds.length === 0 || (start + 1) % every !== 0) return null;
	return seeds[((start + 1) / every - 1) % seeds.length];
}

/** The starts of live play, counted from 1, that begin with one of the seeds, of so many. */
export const startsOf = (
	week: Pick<GameWeek, 'seeds' | 'every'>,
	seed: Seed,
	of: number
): number[] =>
	Array.from({ length: of }, (_, start) => start + 1).filter(
		(start) => seedAt(week, start - 1)?.id === seed.id
	);

/** The blocks of live play in a practice, in which a seed may be a start: live on some rung that is run. */
export const liveBlocksIn = ({ practice, context }: Plan): (Found & { drill: Drill })[] =>
	[...blocksOf(practice)].flatMap((found) => {
		const drill = drillOf(context, found.block.drill);
		return drill && rungsRun(found.block, drill).some(({ live }) => live)
			? [{ ...found, drill }]
			: [];
	});
