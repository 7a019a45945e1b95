import { error, json } from '@sveltejs/kit';
import { reading } from '$lib/server/app';
import { loadMeetings } from '$lib/server/usecases/views';
import type { RequestHandler } from './$types';
import { say } from '$lib/server/say';
import texts from '$texts/refusals';

/** How often players were in a group together before a practice. */
export const GET: RequestHandler = ({ params }) =>
	reading(async (db) => {
		const met = await loadMeetings(db, params.team, params.practice);
		if (!met) error(404, say(texts.noPractice));
		return json(met);
	});
