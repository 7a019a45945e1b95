import { fail } from '@sveltejs/kit';
import { reading, useDb } from '$lib/server/app';
import { jsonField } from '$lib/server/forms';
import { requireTeam } from '$lib/server/pages';
import { listKit } from '$lib/server/repositories/places';
import { listDrills } from '$lib/server/repositories/drills';
import { kitAskedFor } from '$lib/server/usecases/kitAskedFor';
import { saveKit } from '$lib/server/usecases/saveKit';
import { stampOf, submissionOf } from '$lib/server/usecases/submission';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params }) =>
	reading(async (db) => {
		const { id, name } = await requireTeam(db, params.team);
		const kit = await listKit(db, params.team);
		return {
			team: { id, name },
			kit,
			stamp: stampOf(kit),
			asked: kitAskedFor(await listDrills(db, params.team))
		};
	});

export const actions: Actions = {
	default: async ({ params, request }) => {
		const form = await request.formData();
		const rows = jsonField(form, 'rows');
		const saved = await saveKit(await useDb(), {
			teamId: params.team,
			rows,
			...submissionOf(form)
		});
		return saved.ok ? { saved: true } : fail(400, { misfit: saved.failure });
	}
};
