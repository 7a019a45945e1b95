import { error, fail, redirect } from '@sveltejs/kit';
import { rollup } from 'd3-array';
import { addDays } from '$core/conditions';
import { lastDayOf } from '$core/season';
import { reading, todayOf, useDb } from '$lib/server/app';
import { textField } from '$lib/server/forms';
import { requireTeam } from '$lib/server/pages';
import { saveSeasonParts } from '$lib/server/seasonParts';
import { listGrounds } from '$lib/server/repositories/places';
import { listSeasons } from '$lib/server/repositories/teams';
import { findSeason, stampOfParts } from '$lib/server/usecases/season/changeSeason';
import { createSeason } from '$lib/server/usecases/season/createSeason';
import { makePractices, slotsLeft } from '$lib/server/usecases/season/makePractices';
import { submissionOf } from '$lib/server/usecases/submission';
import { say } from '$lib/server/say';
import type { Actions, PageServerLoad } from './$types';
import texts from '$texts/refusals';

/** What the page changes of a season. */
const PARTS = ['name', 'firstDay', 'weeks', 'phases', 'patterns', 'daysOff', 'games'] as const;

export const load: PageServerLoad = ({ params, url }) =>
	reading(async (db) => {
		const team = await requireTeam(db, params.team);
		const today = await todayOf(db, team.id);
		const season = await findSeason(db, team.id, {
			id: url.searchParams.get('season'),
			day: today
		});
		if (!season) error(404, say(texts.noSeason));
		const from = today > season.firstDay ? today : season.firstDay;
		const slots = await slotsLeft(db, team.id, { seasonId: season.id, from });
		const targets = rollup(
			season.targets ?? [],
			(own) => own.length,
			({ phase }) => phase
		);
		return {
			team: { id: team.id, name: team.name },
			season,
			seasons: (await listSeasons(db, team.id)).map(({ id, name }) => ({ id, name })),
			grounds: (await listGrounds(db, team.id)).map(({ id, name }) => ({ id, name })),
			targets: [...targets],
			slots:
				slots.length === 0
					? null
					: { count: slots.length, first: slots[0].date, last: slots[slots.length - 1].date },
			next: addDays(lastDayOf(season), 1),
			stamp: stampOfParts(season, PARTS)
		};
	});

export const actions: Actions = {
	save: saveSeasonParts,
	make: async ({ params, request }) => {
		const form = await request.formData();
		const db = await useDb();
		const made = await makePractices(db, {
			teamId: params.team,
			seasonId: textField(form, 'season'),
			from: await todayOf(db, params.team),
			...submissionOf(form)
		});
		if (!made.ok) return fail(400, { misfit: made.failure });
		redirect(303, `/${encodeURIComponent(params.team)}/calendar`);
	},
	create: async ({ params, request }) => {
		const form = await request.formData();
		const created = await createSeason(await useDb(), {
			teamId: params.team,
			after: textField(form, 'season'),
			rollsOn: textField(form, 'rollsOn') !== '',
			wanted: {
				name: textField(form, 'name'),
				firstDay: textField(form, 'firstDay'),
				weeks: Number(textField(form, 'weeks') || NaN)
			},
			...submissionOf(form)
		});
		if (!created.ok) return fail(400, { newMisfit: created.failure });
		redirect(
			303,
			`/${encodeURIComponent(params.team)}/dates?season=${encodeURIComponent(created.value)}`
		);
	}
};
