import { error, json } from '@sveltejs/kit';
import { useDb } from '$lib/server/app';
import { loadMeetings } from '$lib/server/usecases/views';
import type { RequestHandler } from './$types';

/** How often players were in a group together before a practice. */
export const GET: RequestHandler = async ({ params }) => {
	const met = await loadMeetings(await useDb(), params.team, params.practice);
	if (!met) error(404, 'There is no such practice.');
	return json(met);
};
