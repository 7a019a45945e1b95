import { mean } from 'd3-array';
import type { Player } from '../model/team';

/** The mean of a player's ratings; undefined where there is none. */
const ratingOf = ({ ratings = {} }: Player) => mean(Object.values(ratings));

/** How strong players are on the whole: the mean of their mean ratings; undefined where nobody is rated. */
export const meanRating = (players: readonly Player[]): number | undefined =>
	mean(players, ratingOf);
