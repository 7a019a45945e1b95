import { error, fail } from '@sveltejs/kit';
import { reading, todayOf, useDb } from '$lib/server/app';
import { loadTogether } from '$lib/server/usecases/people/loadTogether';
import { jsonField } from '$lib/server/forms';
import { loadMixable, saveMixed } from '$lib/server/usecases/season/mixGroups';
import { submissionOf } from '$lib/server/usecases/submission';
import type { Actions, PageServerLoad } from './$types';
import { say } from '$lib/server/say';
import texts from '$texts/refusals';

export const load: PageServerLoad = ({ params, url: { searchParams } }) =>
	reading(async (db) => {
		const page = await loadTogether(db, params.team, {
			today: await todayOf(db, params.team),
			part: Math.trunc(Number(searchParams.get('part'))) || 1,
			isWhole: searchParams.has('all')
		});
		if (!page) error(404, say(texts.noTeam));
		return {
			...page,
			isWhole: searchParams.has('all'),
			mixable: await loadMixable(db, params.team, await todayOf(db, params.team))
		};
	});

export const actions: Actions = {
	mix: async ({ params, request }) => {
		const form = await request.formData();
		const sent = jsonField(form, 'sent');
		const saved = await saveMixed(await useDb(), {
			teamId: params.team,
			...{ sent, ...submissionOf(form) }
		});
		if (!saved.ok) return fail(400, { misfit: saved.failure });
		return { mixed: saved.value };
	}
};
