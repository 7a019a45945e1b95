import type { Player } from '$core/model/team';
import { pairsIn, partOf, togetherOf, type Together } from '$core/season';
import type { Queryable } from '../../database';
import { loadSurroundings } from '../../repositories/teamHistory';
import { listAttended } from '../practices/attendance';

/** Players that a matrix shows at once: more can be told apart on no screen. */
export const MOST_TOGETHER = 48;
/** Pairs that the table shows at first. */
export const FEW_PAIRS = 12;
/** Pairs that the whole table shows at most. */
const MOST_PAIRS = 1200;

/** Who of a team was with whom, as far as it is shown. */
export interface TogetherPage {
	team: { id: string; name: string };
	players: Pick<Player, 'id' | 'name' | 'number' | 'unit'>[];
	/** How many practices were held. */
	held: number;
	together: Together;
	/** How many pairs there are, and how many of them never met. */
	pairs: number;
	never: number;
	/** How many pairs the whole table shows at most. */
	mostPairs: number;
	/** Which part of the squad the matrix shows, from 1, and how many there are. */
	part: number;
	parts: number;
}

/** Who has worked with whom, in parts of the squad that worked together most; undefined where there is no such team. */
export async function loadTogether(
	db: Queryable,
	teamId: string,
	{ today, part, isWhole }: { today: string; part: number; isWhole: boolean }
): Promise<TogetherPage | undefined> {
	const surroundings = await loadSurroundings(db, teamId, { day: today });
	if (!surroundings) return undefined;
	const { team, players } = surroundings;
	const held = (await listAttended(db, teamId)).filter(({ isDone }) => isDone);
	const ids = players.map(({ id }) => id);
	const all = togetherOf(ids, pairsIn(held.map(({ practice }) => practice)));
	const parts = Math.max(1, Math.ceil(ids.length / MOST_TOGETHER));
	const shown = Math.min(parts, Math.max(1, part));
	return {
		team: { id: team.id, name: team.name },
		players: players.map(({ id, name, number, unit }) => ({
			...{ id, name, number },
			...(unit !== undefined && { unit })
		})),
		held: held.length,
		together: partOf(all, {
			from: (shown - 1) * MOST_TOGETHER,
			most: MOST_TOGETHER,
			mostPairs: isWhole ? MOST_PAIRS : FEW_PAIRS
		}),
		pairs: all.pairs.length,
		never: all.pairs.filter(({ times }) => times === 0).length,
		mostPairs: MOST_PAIRS,
		part: shown,
		parts
	};
}
