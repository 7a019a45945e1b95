import { error, fail, redirect } from '@sveltejs/kit';
import { reading, useDb } from '$lib/server/app';
import { listGrounds } from '$lib/server/repositories/places';
import { addGround } from '$lib/server/usecases/team/saveGround';
import type { Actions, PageServerLoad } from './$types';
import { say } from '$lib/server/say';
import texts from '$texts/refusals';

const pageOf = (teamId: string, id: string) =>
	`/${encodeURIComponent(teamId)}/ground/${encodeURIComponent(id)}`;

/** The ground that new practices are on. */
export const load: PageServerLoad = ({ params }) =>
	reading(async (db) => {
		const [first] = await listGrounds(db, params.team);
		if (!first) error(404, say(texts.teamHasNoGround));
		redirect(307, pageOf(params.team, first.id));
	});

export const actions: Actions = {
	add: async ({ params }) => {
		const added = await addGround(await useDb(), params.team);
		if (!added.ok) return fail(400, { misfit: added.failure });
		redirect(303, pageOf(params.team, added.value));
	}
};
