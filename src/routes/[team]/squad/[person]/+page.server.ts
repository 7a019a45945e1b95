import { error, fail, redirect } from '@sveltejs/kit';
import { reading, todayOf, useDb } from '$lib/server/app';
import { jsonField } from '$lib/server/forms';
import { requireSurroundings } from '$lib/server/pages';
import { deletePerson } from '$lib/server/repositories/people';
import { listDrillNames } from '$lib/server/repositories/shelf';
import { loadPerson } from '$lib/server/usecases/people/person';
import { factsStored, savePerson } from '$lib/server/usecases/people/savePerson';
import { stampOf, submissionOf } from '$lib/server/usecases/submission';
import { changeAlone } from '$lib/server/usecases/refusable';
import type { Actions, PageServerLoad } from './$types';
import { say } from '$lib/server/say';
import texts from '$texts/refusals';

export const load: PageServerLoad = ({ params }) =>
	reading(async (db) => {
		const today = await todayOf(db, params.team);
		const { team } = await requireSurroundings(db, params.team, today);
		const person = await loadPerson(db, params.team, params.person);
		if (!person) error(404, say(texts.noPlayer));
		const drills = await listDrillNames(db, params.team);
		return { team, today, drills, stamp: stampOf(factsStored(person.person)), ...person };
	});

export const actions: Actions = {
	save: async ({ params: { team: teamId, person: id }, request }) => {
		const form = await request.formData();
		const facts = jsonField(form, 'facts');
		const saved = await savePerson(await useDb(), { teamId, id, facts, ...submissionOf(form) });
		return saved.ok ? { saved: true } : fail(400, { misfit: saved.failure });
	},
	remove: async ({ params: { team: teamId, person: id } }) => {
		const db = await useDb();
		const isGone = await changeAlone(db, teamId, (tx) => deletePerson(tx, teamId, id));
		if (!isGone) error(404, say(texts.noPlayerAnywhere));
		redirect(303, `/${encodeURIComponent(teamId)}/squad`);
	}
};
