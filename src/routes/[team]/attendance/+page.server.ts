import { error, fail } from '@sveltejs/kit';
import { useConfig, useDb } from '$lib/server/app';
import { jsonField } from '$lib/server/forms';
import { requireTeam } from '$lib/server/pages';
import { loadAttendance, saveAttendance } from '$lib/server/usecases/attendance';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, url }) => {
	const { today } = await useConfig();
	const db = await useDb();
	const { id, name } = await requireTeam(db, params.team);
	const asked = Number(url.searchParams.get('week') ?? NaN);
	const week = Number.isInteger(asked) ? asked : undefined;
	const attendance = await loadAttendance(db, params.team, { today, week });
	if (!attendance) error(404, 'There is no such team.');
	return { team: { id, name }, ...attendance };
};

export const actions: Actions = {
	default: async ({ params, request }) => {
		const { today } = await useConfig();
		const sent = jsonField(await request.formData(), 'sent');
		const saved = await saveAttendance(await useDb(), { teamId: params.team, today, sent });
		return saved.ok ? { saved: true } : fail(400, { misfit: saved.failure });
	}
};
