import { redirect } from '@sveltejs/kit';
import { reading } from '$lib/server/app';
import { listTeams } from '$lib/server/repositories/teams';
import type { PageServerLoad } from './$types';

/** The only team's season, or the choice of a team. */
export const load: PageServerLoad = () =>
	reading(async (db) => {
		const [team, ...others] = await listTeams(db);
		const isOnly = team && others.length === 0;
		redirect(302, isOnly ? `/${encodeURIComponent(team.id)}/season` : '/teams');
	});
