import { error, fail } from '@sveltejs/kit';
import { toContext } from '$core/practice';
import { nextGame } from '$core/scene';
import { reading, todayOf, useDb } from '$lib/server/app';
import { textField } from '$lib/server/forms';
import { listGrounds } from '$lib/server/repositories/places';
import { loadGameWeek } from '$lib/server/usecases/season/loadScenes';
import { seasonOf } from '$lib/server/usecases/season/loadSeason';
import { removeScene, setPrepares } from '$lib/server/usecases/season/scenes';
import { submissionOf } from '$lib/server/usecases/submission';
import { say } from '$lib/server/say';
import type { Actions, PageServerLoad } from './$types';
import texts from '$texts/refusals';

export const load: PageServerLoad = ({ params, url }) =>
	reading(async (db) => {
		const today = await todayOf(db, params.team);
		const of = await seasonOf(db, params.team, { today, id: url.searchParams.get('season') });
		if (!of) error(404, say(texts.noSeason));
		const { season, around, days } = of;
		const games = (season.games ?? [])
			.filter(({ date, cancelled }) => date >= today && cancelled === undefined)
			.sort((a, b) => (a.date < b.date ? -1 : 1));
		const asked = games.find(({ id }) => id === url.searchParams.get('game'));
		const game = asked ?? nextGame({ games }, { date: today, start: '' }) ?? null;
		return {
			team: { id: around.team.id, name: around.team.name },
			season: season.id,
			prepares: season.prepares ?? 'both',
			games,
			game,
			grounds: await listGrounds(db, params.team),
			talkMinutes: toContext(around).limits.gameTalkMinutes,
			...(game
				? await loadGameWeek(db, params.team, { season, days, today, game })
				: { seeds: [], practices: [] })
		};
	});

export const actions: Actions = {
	prepare: async ({ params, request }) => {
		const form = await request.formData();
		const { submission } = submissionOf(form);
		const set = await setPrepares(await useDb(), {
			...{ teamId: params.team, seasonId: textField(form, 'season') },
			prepares: textField(form, 'prepares'),
			...(submission !== undefined && { submission })
		});
		return set.ok ? { done: true } : fail(400, { misfit: set.failure });
	},
	remove: async ({ params, request }) => {
		const form = await request.formData();
		const removed = await removeScene(await useDb(), {
			...{ teamId: params.team, seasonId: textField(form, 'season') },
			...{ id: textField(form, 'id'), list: 'seeds' }
		});
		return removed.ok ? { done: true } : fail(400, { misfit: removed.failure });
	}
};
