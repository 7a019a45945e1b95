import { error } from '@sveltejs/kit';
import { useDb } from '$lib/server/app';
import { loadSurroundings } from '$lib/server/repositories/surroundings';
import { writeSquadCsv } from '$lib/server/usecases/squadCsv';
import { todayOf } from '$lib/server/today';
import type { RequestHandler } from './$types';

/** The squad as a table file. */
export const GET: RequestHandler = async ({ params }) => {
	const today = await todayOf(params.team);
	const surroundings = await loadSurroundings(await useDb(), params.team, today);
	if (!surroundings) error(404, 'There is no such team.');
	return new Response(writeSquadCsv(surroundings.players, surroundings.team), {
		headers: {
			'content-type': 'text/csv; charset=utf-8',
			'content-disposition': 'attachment; filename="squad.csv"'
		}
	});
};
