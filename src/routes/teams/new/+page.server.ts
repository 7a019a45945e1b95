import { fail, redirect } from '@sveltejs/kit';
import { isTimeZone } from '$core/conditions';
import { useClock, useDb } from '$lib/server/app';
import { textField } from '$lib/server/forms';
import { createTeam, NewTeam } from '$lib/server/usecases/team/createTeam';
import { listSports } from '$lib/server/usecases/team/sports';
import { submissionOf } from '$lib/server/usecases/submission';
import { readShape } from '../../../doors';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = () => ({
	sports: listSports().map(({ id, name }) => ({ id, name }))
});

/** The kit that was chosen, or what was said of a sport that no kit ships for. */
function sportOf(form: FormData) {
	const sport = textField(form, 'sport');
	if (sport !== '') return { sport };
	return {
		ownSport: {
			name: textField(form, 'sportName'),
			length: Number(textField(form, 'length') || NaN),
			width: Number(textField(form, 'width') || NaN),
			indoors: textField(form, 'indoors') !== '',
			ball: textField(form, 'ball')
		}
	};
}

export const actions: Actions = {
	default: async ({ request }) => {
		const form = await request.formData();
		const wanted = readShape(NewTeam, {
			name: textField(form, 'name'),
			...sportOf(form),
			from: Number(textField(form, 'from') || NaN),
			to: Number(textField(form, 'to') || NaN),
			coach: textField(form, 'coach'),
			timeZone: textField(form, 'timeZone'),
			players: textField(form, 'players')
		});
		if (!wanted.ok) return fail(400, { misfit: wanted.failure });
		const { timeZone } = wanted.value;
		const today = (await useClock()).today(isTimeZone(timeZone) ? timeZone : 'UTC');
		const created = await createTeam(await useDb(), {
			wanted: wanted.value,
			today,
			...submissionOf(form)
		});
		if (!created.ok) return fail(400, { misfit: created.failure });
		const { team, practice } = created.value;
		redirect(303, `/${encodeURIComponent(team)}/practices/${practice}`);
	}
};
