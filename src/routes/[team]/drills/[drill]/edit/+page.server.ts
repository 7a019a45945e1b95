import { error, fail, redirect } from '@sveltejs/kit';
import { withStandard } from '$core/drill';
import { reading, useDb } from '$lib/server/app';
import { jsonField } from '$lib/server/forms';
import { requireTeam, revisionIn } from '$lib/server/pages';
import { findDrill } from '$lib/server/repositories/drills';
import { drillStored, saveDrill } from '$lib/server/usecases/drills/saveDrill';
import { stampOf, submissionOf } from '$lib/server/usecases/submission';
import type { Actions, PageServerLoad } from './$types';
import { say } from '$lib/server/say';
import texts from '$texts/refusals';

/** The newest revision, or an older one that is to be taken back. */
export const load: PageServerLoad = ({ params, url }) =>
	reading(async (db) => {
		const { id, name, sport, skillAreas, units, loads } = await requireTeam(db, params.team);
		const drill = await findDrill(db, params.team, params.drill, revisionIn(url));
		if (!drill) error(404, say(texts.noDrillOnShelf));
		const newest = await findDrill(db, params.team, params.drill);
		const stamp = stampOf(drillStored(newest ?? drill));
		// One of before is ordered as its ladder was read then.
		return {
			team: { id, name, sport, skillAreas, units, loads },
			drill: withStandard(drill),
			stamp
		};
	});

export const actions: Actions = {
	default: async ({ params: { team: teamId, drill: id }, request }) => {
		const form = await request.formData();
		const drill = jsonField(form, 'drill');
		const own = typeof drill === 'object' && drill !== null ? { ...drill, id } : drill;
		const sent = { teamId, drill: own, isNew: false, ...submissionOf(form) };
		const saved = await saveDrill(await useDb(), sent);
		if (!saved.ok) return fail(400, { misfit: saved.failure });
		redirect(303, `/${encodeURIComponent(teamId)}/drills/${encodeURIComponent(saved.value)}`);
	}
};
