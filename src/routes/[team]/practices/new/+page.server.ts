import { error, fail, redirect } from '@sveltejs/kit';
import { nanoid } from 'nanoid';
import { dayOffOn, nextFreeDay, usualOn } from '$core/season';
import { reading, todayOf, useDb } from '$lib/server/app';
import { textField, textFields } from '$lib/server/forms';
import { listPracticeFacts } from '$lib/server/repositories/practices';
import { listGrounds } from '$lib/server/repositories/places';
import { loadSurroundings } from '$lib/server/repositories/teamHistory';
import { listTemplates } from '$lib/server/repositories/templates';
import { createPractice, findModel } from '$lib/server/usecases/practices/createPractice';
import { slotsLeft } from '$lib/server/usecases/season/makePractices';
import { submissionOf } from '$lib/server/usecases/submission';
import type { Actions, PageServerLoad } from './$types';
import { say } from '$lib/server/say';
import texts from '$texts/refusals';

export const load: PageServerLoad = ({ params, url }) =>
	reading(async (db) => {
		const today = await todayOf(db, params.team);
		const model = await findModel(db, params.team, {
			from: url.searchParams.get('from') ?? undefined,
			template: url.searchParams.get('template') ?? undefined
		});
		if (!model.ok) error(404, say(texts.nothingToStartWith));
		const surroundings = await loadSurroundings(db, params.team, { day: today });
		if (!surroundings) error(404, say(texts.noTeam));
		const { team, players, adults, season } = surroundings;
		const grounds = await listGrounds(db, params.team);
		const practices = await listPracticeFacts(db, params.team);
		// The next day that the season's patterns leave open; what is usual where there is none.
		const [slot] = await slotsLeft(db, params.team, { seasonId: season.id, from: today });
		const date =
			slot?.date ?? nextFreeDay(practices, today, (day) => dayOffOn(season, day) !== undefined);
		return {
			team: { id: team.id, name: team.name, units: team.units },
			players,
			adults,
			grounds: grounds.map(({ id, name }) => ({ id, name })),
			date,
			usual: slot ?? usualOn(practices, date) ?? null,
			taken: practices.filter((practice) => practice.date >= today),
			model: model.value,
			templates: (await listTemplates(db, params.team)).map(({ id, name }) => ({
				id,
				name
			}))
		};
	});

export const actions: Actions = {
	default: async ({ params, request }) => {
		const form = await request.formData();
		const wanted = {
			date: textField(form, 'date'),
			start: textField(form, 'start'),
			minutes: Number(textField(form, 'minutes') || NaN),
			place: textField(form, 'place'),
			expected: textFields(form, 'expected'),
			adults: textFields(form, 'adults'),
			...(textField(form, 'groundId') !== '' && { groundId: textField(form, 'groundId') }),
			...(form.has('from') && { from: textField(form, 'from') }),
			...(form.has('template') && { template: textField(form, 'template') })
		};
		const created = await createPractice(await useDb(), {
			teamId: params.team,
			id: nanoid(12),
			wanted,
			...submissionOf(form)
		});
		if (!created.ok) return fail(400, { misfit: created.failure });
		redirect(303, `/${encodeURIComponent(params.team)}/practices/${created.value.id}`);
	}
};
