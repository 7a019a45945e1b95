import { error, fail, redirect } from '@sveltejs/kit';
import { nanoid } from 'nanoid';
import { reading, useDb } from '$lib/server/app';
import { textField } from '$lib/server/forms';
import { listDays } from '$lib/server/repositories/practices';
import { findTeam } from '$lib/server/repositories/teams';
import { deleteTemplate, listTemplates } from '$lib/server/repositories/templates';
import { keepTemplate, NewTemplate } from '$lib/server/usecases/practices/keepTemplate';
import { readShape } from '../../../../doors';
import type { Actions, PageServerLoad } from './$types';
import { say } from '$lib/server/say';
import texts from '$texts/refusals';

export const load: PageServerLoad = ({ params, url }) =>
	reading(async (db) => {
		const team = await findTeam(db, params.team);
		if (!team) error(404, say(texts.noTeam));
		return {
			team: { id: team.id, name: team.name },
			templates: await listTemplates(db, params.team),
			days: await listDays(db, params.team),
			from: url.searchParams.get('from')
		};
	});

export const actions: Actions = {
	keep: async ({ params, request }) => {
		const form = await request.formData();
		const values = { practice: textField(form, 'practice'), name: textField(form, 'name') };
		const wanted = readShape(NewTemplate, values);
		if (!wanted.ok) return fail(400, { misfit: wanted.failure });
		const teamId = params.team as string;
		const kept = await keepTemplate(await useDb(), {
			teamId,
			id: nanoid(12),
			wanted: wanted.value
		});
		if (!kept.ok) return fail(400, { misfit: kept.failure });
		redirect(303, `/${encodeURIComponent(teamId)}/practices/templates`);
	},
	remove: async ({ params, request }) => {
		const id = textField(await request.formData(), 'template');
		const isDone = await deleteTemplate(await useDb(), params.team as string, id);
		if (!isDone) return fail(400, { misfit: { path: ['template'], message: say(texts.isGone) } });
	}
};
