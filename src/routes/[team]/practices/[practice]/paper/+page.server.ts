import { error } from '@sveltejs/kit';
import { reading } from '$lib/server/app';
import { loadPaper } from '$lib/server/usecases/views';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params }) =>
	reading(async (db) => {
		const board = await loadPaper(db, params.team, params.practice);
		if (!board) error(404, 'There is no such practice.');
		return board;
	});
