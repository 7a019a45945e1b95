import { fail } from '@sveltejs/kit';
import { reading, todayOf, useDb } from '$lib/server/app';
import { jsonField, textField } from '$lib/server/forms';
import { requireSurroundings } from '$lib/server/pages';
import { deletePerson } from '$lib/server/repositories/people';
import { adultsStored, saveAdults } from '$lib/server/usecases/people/saveAdults';
import { stampOf, submissionOf } from '$lib/server/usecases/submission';
import { changeAlone } from '$lib/server/usecases/refusable';
import type { Actions, PageServerLoad } from './$types';
import { say } from '$lib/server/say';
import texts from '$texts/refusals';

export const load: PageServerLoad = ({ params }) =>
	reading(async (db) => {
		const today = await todayOf(db, params.team);
		const { team, adults } = await requireSurroundings(db, params.team, today);
		return { team, adults, stamp: stampOf(adultsStored(adults)) };
	});

export const actions: Actions = {
	save: async ({ params, request }) => {
		const db = await useDb();
		const today = await todayOf(db, params.team);
		const form = await request.formData();
		const saved = await saveAdults(db, {
			teamId: params.team,
			day: today,
			rows: jsonField(form, 'rows'),
			...submissionOf(form)
		});
		return saved.ok ? { saved: true } : fail(400, { misfit: saved.failure });
	},
	remove: async ({ params, request }) => {
		const id = textField(await request.formData(), 'adult');
		const isGone = await changeAlone(await useDb(), params.team, (tx) =>
			deletePerson(tx, params.team, id)
		);
		if (!isGone) return fail(400, { misfit: { path: ['adult'], message: say(texts.notInTeam) } });
	}
};
