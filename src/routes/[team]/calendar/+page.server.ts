import { error, fail } from '@sveltejs/kit';
import { reading, todayOf, troubleToStore, useDb } from '$lib/server/app';
import { textField } from '$lib/server/forms';
import { listSeasonPractices } from '$lib/server/repositories/season';
import { moveGame } from '$lib/server/usecases/season/changeSeason';
import { seasonOf } from '$lib/server/usecases/season/loadSeason';
import { movePractice, turnPractices } from '$lib/server/usecases/season/turnPractice';
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
		const of = await seasonOf(tx, params.team, { today, id: url.searchParams.get('season') });
		if (!of) error(404, say(texts.noSeason));
		const { season, seasons, around, days } = of;
		const practices = await listSeasonPractices(tx, params.team, days);
		return {
			team: { id: around.team.id, name: around.team.name },
			today,
			season,
			seasons,
			practices: practices.map(({ summary, slot: _slot, ...practice }) => ({
				...practice,
				summary: summary && {
					plannedMinutes: summary.plannedMinutes,
					busyShare: summary.busyShare,
					stops: summary.stops
				}
			}))
		};
	});
};

export const actions: Actions = {
	move: async ({ params, request }) => {
		const form = await request.formData();
		const to = { date: textField(form, 'date'), start: textField(form, 'start') };
		const game = textField(form, 'game');
		const db = await useDb();
		const moved = game
			? await moveGame(db, {
					teamId: params.team,
					seasonId: textField(form, 'season'),
					id: game,
					date: to.date
				})
			: await movePractice(db, {
					teamId: params.team,
					today: await todayOf(db, params.team),
					id: textField(form, 'practice'),
					to,
					...submissionOf(form)
				});
		if (!moved.ok) return fail(400, { misfit: moved.failure });
	},
	turn: async ({ params, request }) => {
		const form = await request.formData();
		const db = await useDb();
		const to = textField(form, 'to');
		const turned = await turnPractices(db, {
			teamId: params.team,
			ids: [textField(form, 'practice')],
			turn: { to, ...(to === 'cancelled' && { reason: textField(form, 'reason') }) },
			today: await todayOf(db, params.team),
			...submissionOf(form)
		});
		if (!turned.ok) return fail(400, { misfit: turned.failure });
	}
};
