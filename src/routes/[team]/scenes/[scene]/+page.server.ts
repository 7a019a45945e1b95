import { error, fail, redirect } from '@sveltejs/kit';
import { reading, todayOf, useDb } from '$lib/server/app';
import { jsonField, textField } from '$lib/server/forms';
import { drawnWith, loadScene } from '$lib/server/usecases/season/loadScenes';
import { seasonOf } from '$lib/server/usecases/season/loadSeason';
import { saveScene, SCENE_LISTS, sceneStored } from '$lib/server/usecases/season/scenes';
import { stampOf, submissionOf } from '$lib/server/usecases/submission';
import { say } from '$lib/server/say';
import type { Actions, PageServerLoad } from './$types';
import texts from '$texts/refusals';

const listOf = (asked: string | null) => SCENE_LISTS.find((list) => list === asked) ?? 'fixes';

export const load: PageServerLoad = ({ params, url }) =>
	reading(async (db) => {
		const { team: teamId, scene: id } = params;
		const today = await todayOf(db, teamId);
		const of = await seasonOf(db, teamId, { today, id: url.searchParams.get('season') });
		if (!of) error(404, say(texts.noSeason));
		const { season, around } = of;
		const list = listOf(url.searchParams.get('list'));
		const game = url.searchParams.get('game');
		const loaded = await loadScene(db, teamId, { season, list, id, game, today });
		if (!loaded) error(404, say(texts.noScene));
		return {
			team: { id: around.team.id, name: around.team.name },
			drawnWith: drawnWith(around.team),
			season: season.id,
			list,
			...loaded,
			games: (season.games ?? []).map(({ id, opponent, date }) => ({ id, opponent, date })),
			stamp: stampOf(sceneStored(season, list, id))
		};
	});

export const actions: Actions = {
	default: async ({ params: { team: teamId }, request }) => {
		const form = await request.formData();
		const [seasonId, list] = [textField(form, 'season'), listOf(textField(form, 'list'))];
		const scene = jsonField(form, 'scene');
		const sent = { teamId, seasonId, list, scene, ...submissionOf(form) };
		const saved = await saveScene(await useDb(), sent);
		if (!saved.ok) return fail(400, { misfit: saved.failure });
		const page = list === 'fixes' ? 'fixes' : 'game-week';
		redirect(303, `/${encodeURIComponent(teamId)}/${page}?season=${encodeURIComponent(seasonId)}`);
	}
};
