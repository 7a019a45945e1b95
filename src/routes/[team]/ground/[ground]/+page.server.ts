import { error, fail, redirect } from '@sveltejs/kit';
import { toContext } from '$core/practice';
import { reading, todayOf, useDb } from '$lib/server/app';
import { jsonField } from '$lib/server/forms';
import { searchDrills } from '$lib/server/repositories/shelf';
import { requireSurroundings } from '$lib/server/pages';
import { listGrounds } from '$lib/server/repositories/places';
import { findKit } from '$lib/server/repositories/settings';
import { nextPractice } from '$lib/server/repositories/practices';
import { removeGround, saveGround } from '$lib/server/usecases/team/saveGround';
import { stampOf, submissionOf } from '$lib/server/usecases/submission';
import type { Actions, PageServerLoad } from './$types';
import { say } from '$lib/server/say';
import texts from '$texts/refusals';

export const load: PageServerLoad = ({ params }) =>
	reading(async (db) => {
		const today = await todayOf(db, params.team);
		const { limits, team } = toContext(await requireSurroundings(db, params.team, today));
		const shelf = await searchDrills(db, params.team, '');
		const grounds = await listGrounds(db, params.team);
		const ground = grounds.find(({ id }) => id === params.ground);
		if (!ground) error(404, say(texts.noGround));
		const next = await nextPractice(db, params.team, today);
		return {
			team: { id: team.id, name: team.name, timeZone: team.timeZone },
			ground,
			stamp: stampOf(ground),
			grounds: grounds.map(({ id, name }) => ({ id, name })),
			items: (await findKit(db, params.team, today)).map(({ item }) => item),
			drills: shelf.map(({ drill: { id, name, group, ground: size, fixtures } }) => ({
				id,
				name,
				group,
				ground: size,
				fixtures
			})),
			clearMetres: limits.swingMetres,
			next: next ?? { date: today, start: '18:00', minutes: 90 }
		};
	});

export const actions: Actions = {
	save: async ({ params, request }) => {
		const form = await request.formData();
		const saved = await saveGround(await useDb(), {
			teamId: params.team,
			ground: jsonField(form, 'ground'),
			...submissionOf(form)
		});
		return saved.ok ? { saved: true } : fail(400, { misfit: saved.failure });
	},
	remove: async ({ params: { team: teamId, ground: id } }) => {
		const removed = await removeGround(await useDb(), { teamId, id });
		if (!removed.ok) return fail(400, { misfit: removed.failure });
		redirect(303, `/${encodeURIComponent(teamId)}/ground`);
	}
};
