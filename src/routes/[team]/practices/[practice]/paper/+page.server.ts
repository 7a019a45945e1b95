import { error } from '@sveltejs/kit';
import { reading } from '$lib/server/app';
import { loadPaper } from '$lib/server/usecases/views';
import type { PageServerLoad } from './$types';
import { say } from '$lib/server/say';
import texts from '$texts/refusals';

export const load: PageServerLoad = ({ params }) =>
	reading(async (db) => {
		const board = await loadPaper(db, params.team, params.practice);
		if (!board) error(404, say(texts.noPractice));
		return board;
	});
