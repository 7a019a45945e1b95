import { reading, todayOf } from '$lib/server/app';
import { requireSurroundings } from '$lib/server/pages';
import { pairsIn, togetherOf } from '$core/season';
import { listAttended } from '$lib/server/usecases/attendance';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params }) =>
	reading(async (db) => {
		const today = await todayOf(db, params.team);
		const { team, players } = await requireSurroundings(db, params.team, today);
		const held = (await listAttended(db, params.team)).filter(({ isDone }) => isDone);
		const met = pairsIn(held.map(({ practice }) => practice));
		return {
			team: { id: team.id, name: team.name },
			players: players.map(({ id, name, number }) => ({ id, name, number })),
			held: held.length,
			together: togetherOf(
				players.map(({ id }) => id),
				met
			)
		};
	});
