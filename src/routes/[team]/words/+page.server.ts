import { fail } from '@sveltejs/kit';
import { reading, useDb } from '$lib/server/app';
import { requireTeam } from '$lib/server/pages';
import { saveWords } from '$lib/server/usecases/team/saveWords';
import { stampOf, submissionOf } from '$lib/server/usecases/submission';
import type { Actions, PageServerLoad } from './$types';

/** Fields of the form that are no words. */
const BESIDE = { base: true, submission: true };

export const load: PageServerLoad = ({ params }) =>
	reading(async (db) => {
		const { id, name, words = {} } = await requireTeam(db, params.team);
		return { team: { id, name }, stamp: stampOf(words) };
	});

export const actions: Actions = {
	default: async ({ params, request }) => {
		const form = await request.formData();
		const words = Object.fromEntries(
			[...form].flatMap(([key, value]) => (key in BESIDE ? [] : [[key, String(value)]]))
		);
		const sent = { teamId: params.team, words, ...submissionOf(form) };
		const saved = await saveWords(await useDb(), sent);
		return saved.ok ? { saved: true } : fail(400, { misfit: saved.failure });
	}
};
