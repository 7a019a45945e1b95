import { error, json } from '@sveltejs/kit';
import { reading } from '$lib/server/app';
import { loadBoard } from '$lib/server/usecases/views';
import { loadDueFor } from '$lib/server/usecases/season/dueFor';
import type { RequestHandler } from './$types';
import { say } from '$lib/server/say';
import texts from '$texts/refusals';

/** A practice with all that a draft of it is made from. */
export const GET: RequestHandler = ({ params }) =>
	reading(async (db) => {
		const board = await loadBoard(db, params.team, params.practice);
		const due = await loadDueFor(db, params.team, params.practice);
		if (!board || !due) error(404, say(texts.noPractice));
		return json({ stored: board.stored, surroundings: board.surroundings, due });
	});
