import { error, fail, redirect } from '@sveltejs/kit';
import { nanoid } from 'nanoid';
import { useConfig, useDb } from '$lib/server/app';
import { listGrounds } from '$lib/server/repositories/places';
import { loadSurroundings } from '$lib/server/repositories/surroundings';
import { listTemplates } from '$lib/server/repositories/templates';
import { createPractice, findModel, NewPractice } from '$lib/server/usecases/createPractice';
import { readShape } from '../../../../doors';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, url }) => {
	const { today } = await useConfig();
	const model = await findModel(await useDb(), params.team, {
		from: url.searchParams.get('from') ?? undefined,
		template: url.searchParams.get('template') ?? undefined
	});
	if (!model.ok) error(404, 'There is nothing of this name to start with.');
	const surroundings = await loadSurroundings(await useDb(), params.team, today);
	if (!surroundings) error(404, 'There is no such team.');
	const { team, players, adults } = surroundings;
	const grounds = await listGrounds(await useDb(), params.team);
	return {
		team: { id: team.id, name: team.name, units: team.units },
		players,
		adults,
		grounds: grounds.map(({ id, name }) => ({ id, name })),
		today,
		model: model.value,
		templates: (await listTemplates(await useDb(), params.team)).map(({ id, name }) => ({
			id,
			name
		}))
	};
};

const text = (form: FormData, key: string) => String(form.get(key) ?? '');

export const actions: Actions = {
	default: async ({ params, request }) => {
		const form = await request.formData();
		const values = {
			date: text(form, 'date'),
			start: text(form, 'start'),
			minutes: Number(text(form, 'minutes') || NaN),
			place: text(form, 'place'),
			expected: form.getAll('expected').map(String),
			adults: form.getAll('adults').map(String),
			...(text(form, 'groundId') !== '' && { groundId: text(form, 'groundId') }),
			...(form.has('from') && { from: text(form, 'from') }),
			...(form.has('template') && { template: text(form, 'template') })
		};
		const wanted = readShape(NewPractice, values);
		if (!wanted.ok) return fail(400, { misfit: wanted.failure });
		const created = await createPractice(await useDb(), {
			teamId: params.team,
			id: nanoid(12),
			wanted: wanted.value
		});
		if (!created.ok) return fail(400, { misfit: created.failure });
		redirect(303, `/${encodeURIComponent(params.team)}/practices/${created.value.id}`);
	}
};
