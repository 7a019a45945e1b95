import { error, fail } from '@sveltejs/kit';
import { reading, todayOf, troubleToStore, useDb } from '$lib/server/app';
import { textField } from '$lib/server/forms';
import { loadSeason, seasonOf, shownLadders } from '$lib/server/usecases/season/loadSeason';
import { changePush } from '$lib/server/usecases/season/pushes';
import { turnPractices } from '$lib/server/usecases/season/turnPractice';
import { freshenSummaries } from '$lib/server/usecases/practices/summaries';
import { submissionOf } from '$lib/server/usecases/submission';
import { say } from '$lib/server/say';
import type { Actions, PageServerLoad } from './$types';
import texts from '$texts/refusals';

export const load: PageServerLoad = async ({ params, url }) => {
	const db = await useDb();
	await freshenSummaries(db, params.team, async () => (await troubleToStore()) === null);
	return reading(async (tx) => {
		const today = await todayOf(tx, params.team);
		const id = url.searchParams.get('season');
		const of = await seasonOf(tx, params.team, { today, id });
		if (!of) error(404, say(texts.noSeason));
		const { season, seasons, around } = of;
		const asked = url.searchParams.get('player');
		const player = around.players.find((each) => each.id === asked);
		if (asked && !player) error(404, say(texts.noPlayer));
		const whose = player ? { player: player.id } : null;
		const { practices, ladders, ...view } = await loadSeason(tx, params.team, { ...of, whose });
		const { team, players } = around;
		return {
			team: { id: team.id, name: team.name },
			today,
			season,
			seasons,
			areas: team.skillAreas,
			units: team.units,
			squad: players.map(({ id: key, name, unit }) => ({
				id: key,
				name,
				...(unit !== undefined && { unit })
			})),
			player: player ? { id: player.id, name: player.name } : null,
			practices: practices.map(({ summary, ...practice }) => ({
				...practice,
				summary: summary && {
					plannedMinutes: summary.plannedMinutes,
					opposedShare: summary.opposedShare,
					stops: summary.stops
				}
			})),
			...view,
			tallies: ladders.tallies,
			ladders: shownLadders(ladders, { around, whose }),
			// What tries of a drill count for.
			drills: ladders.drills.map(({ id: drill, skills }) => ({ id: drill, skills }))
		};
	});
};

export const actions: Actions = {
	push: async ({ params, request }) => {
		const form = await request.formData();
		const db = await useDb();
		const changed = await changePush(db, {
			teamId: params.team,
			today: await todayOf(db, params.team),
			push: {
				season: textField(form, 'season'),
				skill: textField(form, 'skill'),
				...(textField(form, 'unit') !== '' && { unit: textField(form, 'unit') }),
				push: textField(form, 'push'),
				...(textField(form, 'push') === 'day' && { day: textField(form, 'day') })
			}
		});
		if (!changed.ok) return fail(400, { misfit: changed.failure });
	},
	hold: async ({ params, request }) => {
		const form = await request.formData();
		const db = await useDb();
		const held = await turnPractices(db, {
			teamId: params.team,
			ids: form.getAll('practice').map(String),
			turn: { to: 'held' },
			today: await todayOf(db, params.team),
			...submissionOf(form)
		});
		if (!held.ok) return fail(400, { misfit: held.failure });
	}
};
