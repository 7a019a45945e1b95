import { error } from '@sveltejs/kit';
import { reading } from '$lib/server/app';
import { listDays } from '$lib/server/repositories/practices';
import { listGrounds } from '$lib/server/repositories/places';
import { loadGameWeekOf } from '$lib/server/usecases/season/loadScenes';
import { loadBoard } from '$lib/server/usecases/views';
import type { PageServerLoad } from './$types';
import { say } from '$lib/server/say';
import texts from '$texts/refusals';

export const load: PageServerLoad = ({ params }) =>
	reading(async (db) => {
		const board = await loadBoard(db, params.team, params.practice);
		if (!board) error(404, say(texts.noPractice));
		const days = await listDays(db, params.team);
		const others = days.filter(({ id }) => id !== params.practice);
		const grounds = (await listGrounds(db, params.team)).map(({ id, name }) => ({ id, name }));
		const gameWeek = await loadGameWeekOf(db, params.team, board.stored.practice);
		// As text: it is all plain JSON, and the way of the pages takes several times as long over it.
		return {
			practice: params.practice,
			board: JSON.stringify({ ...board, others, grounds, gameWeek })
		};
	});
