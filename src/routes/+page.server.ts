import { redirect } from '@sveltejs/kit';
import { useDb } from '$lib/server/app';
import { listTeams } from '$lib/server/repositories/surroundings';
import type { PageServerLoad } from './$types';

/** The only team's practices, or the choice of a team. */
export const load: PageServerLoad = async () => {
	const [team, ...others] = await listTeams(await useDb());
	const isOnly = team && others.length === 0;
	redirect(302, isOnly ? `/${encodeURIComponent(team.id)}/practices` : '/teams');
};
