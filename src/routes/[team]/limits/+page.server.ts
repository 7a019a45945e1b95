import { error, fail } from '@sveltejs/kit';
import { DEFAULT_LIMITS, LIMIT_FACTS } from '$core/practice';
import { reading, todayOf, useDb } from '$lib/server/app';
import { jsonField } from '$lib/server/forms';
import { findLimits } from '$lib/server/repositories/settings';
import { findTeam } from '$lib/server/repositories/teams';
import { kitOf } from '$lib/server/usecases/team/sports';
import { setLimits } from '$lib/server/usecases/team/setLimits';
import { stampOf, submissionOf, type Submission } from '$lib/server/usecases/submission';
import type { Actions, PageServerLoad } from './$types';
import { say } from '$lib/server/say';
import texts from '$texts/refusals';

export const load: PageServerLoad = ({ params }) =>
	reading(async (db) => {
		const team = await findTeam(db, params.team);
		if (!team) error(404, say(texts.noTeam));
		const own = await findLimits(db, params.team, await todayOf(db, params.team));
		const sport = kitOf(team.sport);
		return {
			team: { id: team.id, name: team.name },
			limits: { ...DEFAULT_LIMITS, ...own },
			stamp: stampOf(own),
			loads: team.loads ?? sport?.loads ?? [],
			cautions: team.cautions ?? sport?.cautions ?? []
		};
	});

/** Numbers of the form; shares come in percent, ages in pairs. */
function readForm(form: FormData): Record<string, unknown> {
	const number = (key: string) => Number(String(form.get(key) ?? '') || NaN);
	const values = LIMIT_FACTS.map(({ key, unit }) => [
		key,
		unit === '%' ? Math.round(number(key) * 100) / 10_000 : number(key)
	]);
	/** Numbers by age, as the table of that name sends them. */
	const byAge = (name: string) => {
		const values = form.getAll(name).map(Number);
		return form.getAll(`${name}Under`).map((age, index) => ({
			under: Number(age),
			[name]: values[index]
		}));
	};
	return {
		...Object.fromEntries(values),
		playersAnAdult: byAge('players'),
		standSeconds: byAge('seconds'),
		effortCaps: byAge('effort'),
		contactCaps: byAge('contact'),
		drillMinutes: byAge('minutes'),
		loads: jsonField(form, 'loads') ?? [],
		rest: jsonField(form, 'rest') ?? []
	};
}

/** Sets limits of a team from today on. */
async function setFor(teamId: string, wanted: { wanted: Record<string, unknown> } & Submission) {
	const db = await useDb();
	return setLimits(db, teamId, { ...wanted, day: await todayOf(db, teamId) });
}

export const actions: Actions = {
	save: async ({ params, request }) => {
		const form = await request.formData();
		const set = await setFor(params.team as string, {
			wanted: readForm(form),
			...submissionOf(form)
		});
		return set.ok ? { saved: true } : fail(400, { misfit: set.failure });
	},
	reset: async ({ params }) => {
		const set = await setFor(params.team as string, { wanted: {} });
		return set.ok ? { saved: true } : fail(400, { misfit: set.failure });
	}
};
