import { error, fail } from '@sveltejs/kit';
import { reading, todayOf, useDb } from '$lib/server/app';
import { jsonField } from '$lib/server/forms';
import { requireTeam } from '$lib/server/pages';
import { loadAttendance, saveAttendance } from '$lib/server/usecases/practices/attendance';
import { submissionOf } from '$lib/server/usecases/submission';
import type { Actions, PageServerLoad } from './$types';
import { say } from '$lib/server/say';
import texts from '$texts/refusals';

export const load: PageServerLoad = ({ params, url }) =>
	reading(async (db) => {
		const today = await todayOf(db, params.team);
		const { id, name } = await requireTeam(db, params.team);
		const asked = Number(url.searchParams.get('week') ?? NaN);
		const week = Number.isInteger(asked) ? asked : undefined;
		const attendance = await loadAttendance(db, params.team, { today, week });
		if (!attendance) error(404, say(texts.noTeam));
		return { team: { id, name }, ...attendance };
	});

export const actions: Actions = {
	default: async ({ params, request }) => {
		const db = await useDb();
		const today = await todayOf(db, params.team);
		const form = await request.formData();
		const sent = { sent: jsonField(form, 'sent'), ...submissionOf(form) };
		const saved = await saveAttendance(db, { teamId: params.team, today, ...sent });
		if (saved.ok) return { saved: true };
		const { isStale = false, ...misfit } = saved.failure;
		return fail(isStale ? 409 : 400, { misfit, isStale });
	}
};
