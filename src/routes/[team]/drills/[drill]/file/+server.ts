import { error } from '@sveltejs/kit';
import { reading } from '$lib/server/app';
import { findDrill } from '$lib/server/repositories/drills';
import type { RequestHandler } from './$types';
import { say } from '$lib/server/say';
import texts from '$texts/refusals';

/** One drill in the open format. */
export const GET: RequestHandler = ({ params }) =>
	reading(async (db) => {
		const drill = await findDrill(db, params.team, params.drill);
		if (!drill) error(404, say(texts.noDrillOnShelf));
		return new Response(`${JSON.stringify(drill, null, '\t')}\n`, {
			headers: {
				'content-type': 'application/json',
				'content-disposition': 'attachment; filename="drill.json"'
			}
		});
	});
