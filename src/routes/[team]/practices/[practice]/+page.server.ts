import { error } from '@sveltejs/kit';
import { useDb } from '$lib/server/app';
import { listDays } from '$lib/server/repositories/practices';
import { loadBoard } from '$lib/server/usecases/views';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
	const board = await loadBoard(await useDb(), params.team, params.practice);
	if (!board) error(404, 'There is no such practice.');
	const days = await listDays(await useDb(), params.team);
	return { ...board, others: days.filter(({ id }) => id !== params.practice) };
};
