import { error } from '@sveltejs/kit';
import { reading, todayOf } from '$lib/server/app';
import { loadSurroundings } from '$lib/server/repositories/teamHistory';
import { writeSquadCsv } from '$lib/server/usecases/people/squadCsv';
import type { RequestHandler } from './$types';
import { say } from '$lib/server/say';
import texts from '$texts/refusals';

/** The squad as a table file. */
export const GET: RequestHandler = ({ params }) =>
	reading(async (db) => {
		const today = await todayOf(db, params.team);
		const surroundings = await loadSurroundings(db, params.team, { day: today });
		if (!surroundings) error(404, say(texts.noTeam));
		return new Response(writeSquadCsv(surroundings.players, surroundings.team), {
			headers: {
				'content-type': 'text/csv; charset=utf-8',
				'content-disposition': 'attachment; filename="squad.csv"'
			}
		});
	});
