import { error, json } from '@sveltejs/kit';
import { reading } from '$lib/server/app';
import { loadDueFor } from '$lib/server/usecases/season/dueFor';
import { say } from '$lib/server/say';
import type { RequestHandler } from './$types';
import texts from '$texts/refusals';

/** What is due in a practice, and the rungs on which drills go on. */
export const GET: RequestHandler = ({ params }) =>
	reading(async (db) => {
		const due = await loadDueFor(db, params.team, params.practice);
		if (!due) error(404, say(texts.noPractice));
		return json(due);
	});
