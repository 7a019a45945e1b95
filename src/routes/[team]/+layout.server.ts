import { error } from '@sveltejs/kit';
import { useDb } from '$lib/server/app';
import { findTeam } from '$lib/server/repositories/teams';
import type { LayoutServerLoad } from './$types';
import { say } from '$lib/server/say';
import texts from '$texts/refusals';

export const load: LayoutServerLoad = async ({ params }) => {
	const team = await findTeam(await useDb(), params.team);
	if (!team) error(404, say(texts.noTeam));
	return { words: team.words ?? {} };
};
