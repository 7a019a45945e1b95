import { error } from '@sveltejs/kit';
import { reading } from '$lib/server/app';
import { findTeam } from '$lib/server/repositories/teams';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = ({ params }) =>
	reading(async (db) => {
		const team = await findTeam(db, params.team);
		if (!team) error(404, 'There is no such team.');
		return { words: team.words ?? {} };
	});
