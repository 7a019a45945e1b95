import { error } from '@sveltejs/kit';
import { useDb } from '$lib/server/app';
import { findTeam } from '$lib/server/repositories/teams';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ params }) => {
	const team = await findTeam(await useDb(), params.team);
	if (!team) error(404, 'There is no such team.');
	return { words: team.words ?? {} };
};
