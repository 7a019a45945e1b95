import { error, fail, redirect, type RequestEvent } from '@sveltejs/kit';
import { lastDayOf } from '$core/season';
import { reading, todayOf, useDb } from '$lib/server/app';
import { textField } from '$lib/server/forms';
import { listPlanned } from '$lib/server/repositories/practices';
import { listGrounds } from '$lib/server/repositories/places';
import { loadFixes } from '$lib/server/usecases/season/loadScenes';
import { seasonOf } from '$lib/server/usecases/season/loadSeason';
import { removeScene, tickFix } from '$lib/server/usecases/season/scenes';
import { setUpFix } from '$lib/server/usecases/season/setUpFix';
import { submissionOf } from '$lib/server/usecases/submission';
import { say } from '$lib/server/say';
import type { Actions, PageServerLoad } from './$types';
import texts from '$texts/refusals';

export const load: PageServerLoad = ({ params, url }) =>
	reading(async (db) => {
		const today = await todayOf(db, params.team);
		const of = await seasonOf(db, params.team, { today, id: url.searchParams.get('season') });
		if (!of) error(404, say(texts.noSeason));
		const { season, around } = of;
		const coming = (await listPlanned(db, params.team, today)).filter(
			({ practice }) => practice.date <= lastDayOf(season)
		);
		return {
			team: { id: around.team.id, name: around.team.name },
			season: season.id,
			games: (season.games ?? []).map(({ id, opponent }) => ({ id, opponent })),
			lines: await loadFixes(db, params.team, season),
			grounds: await listGrounds(db, params.team),
			areas: around.team.skillAreas,
			practices: coming.map(({ practice: { id, date, start } }) => ({ id, date, start }))
		};
	});

/** What is done to one of the list. */
async function sent({ params, request }: RequestEvent<{ team: string }>) {
	const form = await request.formData();
	const { submission } = submissionOf(form);
	return {
		form,
		of: {
			...{ teamId: params.team, seasonId: textField(form, 'season'), id: textField(form, 'id') },
			...(submission !== undefined && { submission })
		}
	};
}

export const actions: Actions = {
	tick: async (event) => {
		const { of } = await sent(event);
		const db = await useDb();
		const ticked = await tickFix(db, { ...of, on: await todayOf(db, of.teamId) });
		return ticked.ok ? { done: true } : fail(400, { misfit: ticked.failure });
	},
	open: async (event) => {
		const opened = await tickFix(await useDb(), { ...(await sent(event)).of, on: null });
		return opened.ok ? { done: true } : fail(400, { misfit: opened.failure });
	},
	remove: async (event) => {
		const { of } = await sent(event);
		const removed = await removeScene(await useDb(), { ...of, list: 'fixes' });
		return removed.ok ? { done: true } : fail(400, { misfit: removed.failure });
	},
	setUp: async (event) => {
		const { form, of } = await sent(event);
		const set = await setUpFix(await useDb(), {
			...{ ...of, fixId: of.id, practiceId: textField(form, 'practice') }
		});
		if (!set.ok) return fail(400, { misfit: set.failure });
		redirect(303, `/${encodeURIComponent(of.teamId)}/practices/${encodeURIComponent(set.value)}`);
	}
};
