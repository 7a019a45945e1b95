import { error, fail } from '@sveltejs/kit';
import { reading, todayOf, useDb } from '$lib/server/app';
import { jsonField, textField } from '$lib/server/forms';
import { requireTeam } from '$lib/server/pages';
import { findSeason } from '$lib/server/usecases/season/changeSeason';
import { importGames, lookAtGames } from '$lib/server/usecases/season/importGames';
import { submissionOf } from '$lib/server/usecases/submission';
import { say } from '$lib/server/say';
import type { Actions, PageServerLoad } from './$types';
import texts from '$texts/refusals';

export const load: PageServerLoad = ({ params, url }) =>
	reading(async (db) => {
		const team = await requireTeam(db, params.team);
		const day = await todayOf(db, team.id);
		const season = await findSeason(db, team.id, { id: url.searchParams.get('season'), day });
		if (!season) error(404, say(texts.noSeason));
		return {
			team: { id: team.id, name: team.name },
			season: { id: season.id, name: season.name }
		};
	});

export const actions: Actions = {
	look: async ({ params, request }) => {
		const form = await request.formData();
		const file = form.get('file');
		if (!(file instanceof File) || file.size === 0)
			return fail(400, { refusal: say(texts.chooseAFile) });
		const looked = await reading(async (db) =>
			lookAtGames(db, {
				teamId: params.team,
				seasonId: textField(form, 'season'),
				text: await file.text()
			})
		);
		return looked.ok ? { found: looked.value } : fail(400, { refusal: looked.failure });
	},
	import: async ({ params, request }) => {
		const form = await request.formData();
		const imported = await importGames(await useDb(), {
			teamId: params.team,
			seasonId: textField(form, 'season'),
			taken: jsonField(form, 'taken'),
			...submissionOf(form)
		});
		return imported.ok ? { imported: imported.value } : fail(400, { misfit: imported.failure });
	}
};
