import { error, redirect } from '@sveltejs/kit';
import { useDb } from '$lib/server/app';
import { listTeams } from '$lib/server/repositories/surroundings';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => {
	const [team] = await listTeams(await useDb());
	if (!team) error(404, 'There is no team yet.');
	redirect(302, `/${encodeURIComponent(team.id)}/practices`);
};
