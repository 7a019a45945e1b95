import { error, json } from '@sveltejs/kit';
import { reading } from '$lib/server/app';
import { findPractice } from '$lib/server/repositories/practices';
import { loadGameWeekOf } from '$lib/server/usecases/season/loadScenes';
import type { RequestHandler } from './$types';
import { say } from '$lib/server/say';
import texts from '$texts/refusals';

/** What a practice does to get ready for the next game, for coaches alone; null where none comes. */
export const GET: RequestHandler = ({ params }) =>
	reading(async (db) => {
		const stored = await findPractice(db, params.team, params.practice);
		if (!stored) error(404, say(texts.noPractice));
		return json(await loadGameWeekOf(db, params.team, stored.practice));
	});
