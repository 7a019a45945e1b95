import { error, fail } from '@sveltejs/kit';
import { reading, todayOf, useDb } from '$lib/server/app';
import { jsonField, textField } from '$lib/server/forms';
import { changeSeason } from '$lib/server/usecases/season/changeSeason';
import { loadLadderPage } from '$lib/server/usecases/season/loadLadderPage';
import { seasonOf } from '$lib/server/usecases/season/loadSeason';
import { rule, saveTallies, unrule } from '$lib/server/usecases/season/tallies';
import { submissionOf } from '$lib/server/usecases/submission';
import { say } from '$lib/server/say';
import type { Actions, PageServerLoad } from './$types';
import texts from '$texts/refusals';

export const load: PageServerLoad = ({ params, url }) =>
	reading(async (db) => {
		const today = await todayOf(db, params.team);
		const of = await seasonOf(db, params.team, { today, id: url.searchParams.get('season') });
		if (!of) error(404, say(texts.noSeason));
		const { season, seasons, around } = of;
		const { team, players } = around;
		const asked = url.searchParams.get('player');
		const player = players.find(({ id }) => id === asked);
		if (asked && !player) error(404, say(texts.noPlayer));
		return {
			team: { id: team.id, name: team.name },
			today,
			season: { id: season.id, name: season.name, courses: season.courses ?? [] },
			seasons,
			units: team.units,
			squad: players.map(({ id, name, unit }) => ({ id, name, ...(unit && { unit }) })),
			player: player ? { id: player.id, name: player.name } : null,
			...(await loadLadderPage(db, params.team, {
				...of,
				whose: player ? { player: player.id } : null,
				practiceId: url.searchParams.get('practice')
			}))
		};
	});

/** Whom a decision is about: nobody is named for the squad. */
const whomIn = (form: FormData) => ({
	whom: textField(form, 'whom'),
	...(textField(form, 'whomId') !== '' && { whomId: textField(form, 'whomId') })
});

export const actions: Actions = {
	count: async ({ params, request }) => {
		const form = await request.formData();
		const saved = await saveTallies(await useDb(), {
			teamId: params.team,
			practiceId: textField(form, 'practice'),
			tallies: jsonField(form, 'tallies'),
			...submissionOf(form)
		});
		return saved.ok ? { counted: true } : fail(400, { misfit: saved.failure });
	},
	rule: async ({ params, request }) => {
		const form = await request.formData();
		const db = await useDb();
		const rung = textField(form, 'rung');
		const ruled = await rule(db, {
			teamId: params.team,
			today: await todayOf(db, params.team),
			ruling: {
				drill: textField(form, 'drill'),
				...whomIn(form),
				rung: rung === '' ? null : rung,
				advice: textField(form, 'advice'),
				chosen: textField(form, 'chosen'),
				reason: textField(form, 'reason')
			}
		});
		if (!ruled.ok) return fail(400, { ruleMisfit: ruled.failure });
	},
	unrule: async ({ params, request }) => {
		const form = await request.formData();
		const ruling = {
			drill: textField(form, 'drill'),
			date: textField(form, 'date'),
			...whomIn(form)
		};
		const taken = await unrule(await useDb(), { teamId: params.team, ruling });
		if (!taken.ok) return fail(400, { ruleMisfit: taken.failure });
	},
	courses: async ({ params, request }) => {
		const form = await request.formData();
		const changed = await changeSeason(await useDb(), {
			teamId: params.team,
			seasonId: textField(form, 'season'),
			parts: { courses: jsonField(form, 'courses') },
			...submissionOf(form)
		});
		return changed.ok ? { saved: true } : fail(400, { courseMisfit: changed.failure });
	}
};
