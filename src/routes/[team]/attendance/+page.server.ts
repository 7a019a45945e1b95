import { error, fail } from '@sveltejs/kit';
import { useDb } from '$lib/server/app';
import { jsonField } from '$lib/server/forms';
import { requireTeam } from '$lib/server/pages';
import { loadAttendance, saveAttendance } from '$lib/server/usecases/attendance';
import { submissionOf } from '$lib/server/usecases/submission';
import { todayOf } from '$lib/server/today';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, url }) => {
	const today = await todayOf(params.team);
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
		const today = await todayOf(params.team);
		const form = await request.formData();
		const sent = { sent: jsonField(form, 'sent'), ...submissionOf(form) };
		const saved = await saveAttendance(await useDb(), { teamId: params.team, today, ...sent });
		if (saved.ok) return { saved: true };
		const { isStale = false, ...misfit } = saved.failure;
		return fail(isStale ? 409 : 400, { misfit, isStale });
	}
};
