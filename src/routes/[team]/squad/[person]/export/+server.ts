import { error } from '@sveltejs/kit';
import { reading } from '$lib/server/app';
import { loadPerson } from '$lib/server/usecases/people/person';
import type { RequestHandler } from './$types';
import { say } from '$lib/server/say';
import texts from '$texts/refusals';

/** All that is kept of one person, as a file to give to them. */
export const GET: RequestHandler = ({ params }) =>
	reading(async (db) => {
		const kept = await loadPerson(db, params.team, params.person);
		if (!kept) error(404, say(texts.noPlayer));
		return new Response(`${JSON.stringify(kept, null, '\t')}\n`, {
			headers: {
				'content-type': 'application/json',
				'content-disposition': 'attachment; filename="player.json"'
			}
		});
	});
