import { fail, redirect } from '@sveltejs/kit';
import { reading, useDb } from '$lib/server/app';
import { requireTeam } from '$lib/server/pages';
import {
	readDrillFile,
	storeDrills,
	type Choice,
	type ReadDrill
} from '$lib/server/usecases/drills/drillFiles';
import type { Actions, PageServerLoad } from './$types';
import { say } from '$lib/server/say';
import texts from '$texts/refusals';

export const load: PageServerLoad = ({ params }) =>
	reading(async (db) => {
		const { id, name } = await requireTeam(db, params.team);
		return { team: { id, name } };
	});

const CHOICES: readonly Choice[] = ['leave', 'revise', 'copy'];

/** What the file of a form holds, or why it is not looked at. */
async function readForm(teamId: string, form: FormData) {
	const file = form.get('file');
	if (!(file instanceof File) || file.size === 0)
		return { ok: false as const, failure: { path: ['file'], message: say(texts.chooseAFile) } };
	const bytes = new Uint8Array(await file.arrayBuffer());
	return readDrillFile(await useDb(), teamId, { bytes, name: file.name });
}

const shown = ({ drill: _drill, ...rest }: ReadDrill) => rest;

export const actions: Actions = {
	look: async ({ params, request }) => {
		const read = await readForm(params.team, await request.formData());
		return read.ok ? { drills: read.value.map(shown) } : fail(400, { misfit: read.failure });
	},
	store: async ({ params, request }) => {
		const form = await request.formData();
		const read = await readForm(params.team, form);
		if (!read.ok) return fail(400, { misfit: read.failure });
		const choices = Object.fromEntries(
			read.value.flatMap(({ id, state }) => {
				const choice = CHOICES.find((each) => each === form.get(`choice ${id}`));
				return state === 'clash' && choice ? [[id, choice]] : [];
			})
		);
		await storeDrills(await useDb(), params.team, { drills: read.value, choices });
		redirect(303, `/${encodeURIComponent(params.team)}/drills`);
	}
};
