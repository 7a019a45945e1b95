import { error } from '@sveltejs/kit';
import { useDb } from '$lib/server/app';
import { loadBoard } from '$lib/server/usecases/views';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
	const board = await loadBoard(await useDb(), params.team, params.practice);
	if (!board) error(404, 'There is no such practice.');
	return board;
};
