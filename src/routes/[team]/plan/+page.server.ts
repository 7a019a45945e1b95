import { error, fail } from '@sveltejs/kit';
import { reading, todayOf, useDb } from '$lib/server/app';
import { jsonField } from '$lib/server/forms';
import { loadPlan, savePlan } from '$lib/server/usecases/season/planSeason';
import { loadSeason, seasonOf } from '$lib/server/usecases/season/loadSeason';
import { submissionOf } from '$lib/server/usecases/submission';
import { say } from '$lib/server/say';
import type { Actions, PageServerLoad } from './$types';
import texts from '$texts/refusals';

export const load: PageServerLoad = ({ params }) =>
	reading(async (db) => {
		const today = await todayOf(db, params.team);
		const of = await seasonOf(db, params.team, { today });
		if (!of) error(404, say(texts.noSeason));
		const { season, around } = of;
		const view = await loadSeason(db, params.team, { ...of, whose: null });
		const { practices, sums, costs, counts, jump } = view;
		return {
			team: { id: around.team.id, name: around.team.name },
			today,
			season,
			areas: around.team.skillAreas,
			units: around.team.units,
			players: around.players.map(({ id, unit }) => ({ id, ...(unit !== undefined && { unit }) })),
			practices: practices.map((practice) => ({ ...practice, summary: null })),
			...{ sums, costs, counts, jump },
			// As text: it is all plain JSON, and the way of the pages takes several times as long over it.
			plan: JSON.stringify(await loadPlan(db, params.team, { ...of, today, view }))
		};
	});

export const actions: Actions = {
	default: async ({ params, request }) => {
		const form = await request.formData();
		const saved = await savePlan(await useDb(), {
			teamId: params.team,
			...{ sent: jsonField(form, 'sent'), ...submissionOf(form) }
		});
		if (!saved.ok) return fail(400, { misfit: saved.failure });
		return { planned: saved.value };
	}
};
