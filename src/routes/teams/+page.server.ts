import { fail } from '@sveltejs/kit';
import { reading, useDb } from '$lib/server/app';
import { textField } from '$lib/server/forms';
import { deleteTeam, listTeamLines } from '$lib/server/repositories/teams';
import { demoTeams } from '$lib/server/usecases/team/seedDemo';
import { listSports } from '$lib/server/usecases/team/sports';
import type { Actions, PageServerLoad } from './$types';
import { say } from '$lib/server/say';
import texts from '$texts/refusals';

export const load: PageServerLoad = () =>
	reading(async (db) => {
		const demo = demoTeams();
		const sports = new Map(listSports().map(({ id, name }) => [id, name]));
		const teams = await listTeamLines(db);
		return {
			teams: teams.map((team) => ({
				...team,
				sport: team.sportName ?? sports.get(team.sport) ?? team.sport,
				isDemo: demo.includes(team.id)
			}))
		};
	});

export const actions: Actions = {
	remove: async ({ request }) => {
		const id = textField(await request.formData(), 'team');
		if (!(await deleteTeam(await useDb(), id))) return fail(400, { message: say(texts.noTeam) });
	}
};
