import { error, fail, redirect } from '@sveltejs/kit';
import { blankDrill, drillOfRung } from '$core/drill';
import { reading, useDb } from '$lib/server/app';
import { jsonField } from '$lib/server/forms';
import { requireTeam } from '$lib/server/pages';
import { findDrill } from '$lib/server/repositories/drills';
import { saveDrill } from '$lib/server/usecases/drills/saveDrill';
import { submissionOf } from '$lib/server/usecases/submission';
import type { Actions, PageServerLoad } from './$types';
import { say } from '$lib/server/say';
import texts from '$texts/refusals';

/** A new drill: blank, a copy of another (`from`), or one of its rungs (`rung`). */
export const load: PageServerLoad = ({ params, url }) =>
	reading(async (db) => {
		const { id, name, sport, skillAreas, units, loads } = await requireTeam(db, params.team);
		const [from, rung] = [url.searchParams.get('from'), url.searchParams.get('rung')];
		const team = { id, name, sport, skillAreas, units, loads };
		if (from === null)
			return { team, drill: blankDrill({ id: 'new', sport, skill: skillAreas[0]?.id }) };
		const model = await findDrill(db, params.team, from);
		if (!model) error(404, say(texts.noDrillOnShelf));
		if (rung === null)
			return { team, drill: { ...model, name: say(texts.copyOf, { name: model.name }) } };
		const drill = drillOfRung(model, rung);
		if (!drill) error(404, say(texts.noRung));
		return { team, drill };
	});

export const actions: Actions = {
	default: async ({ params: { team: teamId }, request }) => {
		const form = await request.formData();
		const sent = { teamId, drill: jsonField(form, 'drill'), ...submissionOf(form) };
		const saved = await saveDrill(await useDb(), { ...sent, isNew: true });
		if (!saved.ok) return fail(400, { misfit: saved.failure });
		redirect(303, `/${encodeURIComponent(teamId)}/drills/${encodeURIComponent(saved.value)}`);
	}
};
