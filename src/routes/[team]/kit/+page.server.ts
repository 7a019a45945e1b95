import { fail } from '@sveltejs/kit';
import { reading, todayOf, useDb } from '$lib/server/app';
import { jsonField } from '$lib/server/forms';
import { requireTeam } from '$lib/server/pages';
import { findKit } from '$lib/server/repositories/settings';
import { kitAskedFor } from '$lib/server/repositories/shelf';
import { saveKit } from '$lib/server/usecases/team/saveKit';
import { stampOf, submissionOf } from '$lib/server/usecases/submission';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params }) =>
	reading(async (db) => {
		const { id, name } = await requireTeam(db, params.team);
		const kit = await findKit(db, params.team, await todayOf(db, params.team));
		return {
			team: { id, name },
			kit,
			stamp: stampOf(kit),
			asked: await kitAskedFor(db, params.team)
		};
	});

export const actions: Actions = {
	default: async ({ params, request }) => {
		const form = await request.formData();
		const rows = jsonField(form, 'rows');
		const db = await useDb();
		const saved = await saveKit(db, {
			teamId: params.team,
			day: await todayOf(db, params.team),
			rows,
			...submissionOf(form)
		});
		return saved.ok ? { saved: true } : fail(400, { misfit: saved.failure });
	}
};
