import { error, fail } from '@sveltejs/kit';
import { reading, todayOf, useDb } from '$lib/server/app';
import { jsonField, textField } from '$lib/server/forms';
import { deletePerson } from '$lib/server/repositories/people';
import { loadSurroundings } from '$lib/server/repositories/teamHistory';
import { saveSquad, squadStored } from '$lib/server/usecases/people/saveSquad';
import { stampOf, submissionOf } from '$lib/server/usecases/submission';
import { changeAlone } from '$lib/server/usecases/refusable';
import type { Actions, PageServerLoad } from './$types';
import { say } from '$lib/server/say';
import texts from '$texts/refusals';

export const load: PageServerLoad = ({ params }) =>
	reading(async (db) => {
		const today = await todayOf(db, params.team);
		const surroundings = await loadSurroundings(db, params.team, { day: today });
		if (!surroundings) error(404, say(texts.noTeam));
		const { team, players } = surroundings;
		return { team, players, today, stamp: stampOf(squadStored(players)) };
	});

export const actions: Actions = {
	save: async ({ params, request }) => {
		const db = await useDb();
		const today = await todayOf(db, params.team as string);
		const form = await request.formData();
		const saved = await saveSquad(db, {
			teamId: params.team as string,
			day: today,
			rows: jsonField(form, 'rows'),
			...submissionOf(form)
		});
		return saved.ok ? { saved: saved.value } : fail(400, { misfit: saved.failure });
	},
	remove: async ({ params, request }) => {
		const id = textField(await request.formData(), 'player');
		const isGone = await changeAlone(await useDb(), params.team, (tx) =>
			deletePerson(tx, params.team, id)
		);
		if (!isGone) return fail(400, { misfit: { path: ['player'], message: say(texts.notInTeam) } });
	}
};
