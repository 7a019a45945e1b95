import { fail } from '@sveltejs/kit';
import { reading, useDb } from '$lib/server/app';
import { jsonField } from '$lib/server/forms';
import { requireTeam } from '$lib/server/pages';
import { listGrounds } from '$lib/server/repositories/places';
import { saveSport, teamSportOf } from '$lib/server/usecases/team/saveSport';
import { kitOf } from '$lib/server/usecases/team/sports';
import { stampOf, submissionOf } from '$lib/server/usecases/submission';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params }) =>
	reading(async (db) => {
		const team = await requireTeam(db, params.team);
		const sport = teamSportOf(team);
		// Line-ups stand on a whole ground; the team may practise on half of one.
		const ground = kitOf(team.sport)?.ground ?? (await listGrounds(db, team.id))[0];
		return { team: { id: team.id, name: team.name }, sport, ground, stamp: stampOf(sport) };
	});

export const actions: Actions = {
	default: async ({ params, request }) => {
		const form = await request.formData();
		const saved = await saveSport(await useDb(), {
			teamId: params.team,
			sport: jsonField(form, 'sport'),
			...submissionOf(form)
		});
		return saved.ok ? { saved: true } : fail(400, { misfit: saved.failure });
	}
};
