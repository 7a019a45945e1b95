import { error } from '@sveltejs/kit';
import { reading } from '$lib/server/app';
import { listDays } from '$lib/server/repositories/practices';
import { loadBoard } from '$lib/server/usecases/views';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params }) =>
	reading(async (db) => {
		const board = await loadBoard(db, params.team, params.practice);
		if (!board) error(404, 'There is no such practice.');
		const days = await listDays(db, params.team);
		return { ...board, others: days.filter(({ id }) => id !== params.practice) };
	});
