import type { Drill } from './drill';

/** Families that have a place of their own in a practice: its beginning, its game, its end. */
export const OWN_PLACE = ['warm-up', 'scrimmage', 'cool-down'] as const;

/** Whether a drill has a place of its own in a practice: it is no choice for the work between. */
export const hasOwnPlace = ({ family }: Pick<Drill, 'family'>): boolean =>
	OWN_PLACE.some((place) => place === family);

/** Whether a drill is a game of two sides, full or small: it may last. */
export const isGame = ({ family, spots }: Pick<Drill, 'family' | 'spots'>): boolean =>
	family === 'scrimmage' ||
	(family === 'small-games' && spots.every(({ role }) => role !== 'opponent'));

/** Whether a drill is live play of two sides: against opponents, or of several workers against each other. */
export const isTwoSided = ({ live, spots }: Pick<Drill, 'live' | 'spots'>): boolean =>
	live === true &&
	(spots.some(({ role }) => role === 'opponent') ||
		spots.reduce((sum, { role, count }) => sum + (role === 'worker' ? count : 0), 0) > 1);

/** Whether somebody works against those who work: opponents do, and the sides of a game. */
export const isOpposed = (drill: Pick<Drill, 'live' | 'spots'>): boolean =>
	drill.spots.some(({ role }) => role === 'opponent') || isTwoSided(drill);

/** Players from whom on live play of two sides is like a game. */
const LIKE_A_GAME = 6;

/** Whether a drill is live play of two sides with so many that it may stand where no game can be played. */
export const isLikeAGame = (drill: Pick<Drill, 'family' | 'spots' | 'live' | 'group'>): boolean =>
	!hasOwnPlace(drill) && !isGame(drill) && isTwoSided(drill) && drill.group.ideal >= LIKE_A_GAME;
