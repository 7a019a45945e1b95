import { error } from '@sveltejs/kit';
import { trained } from '$core/model/skill';
import { reading, todayOf } from '$lib/server/app';
import { saveSeasonParts } from '$lib/server/seasonParts';
import { listSeasonPractices } from '$lib/server/repositories/season';
import { stampOfParts } from '$lib/server/usecases/season/changeSeason';
import { seasonOf } from '$lib/server/usecases/season/loadSeason';
import { kitOf } from '$lib/server/usecases/team/sports';
import { say } from '$lib/server/say';
import type { Actions, PageServerLoad } from './$types';
import texts from '$texts/refusals';

/** Share of practice that all areas together get where no kit says more. */
const ALL_SHARES = 0.7;

/** Shares of practice by area: those of the sport's kit that the team trains, else even ones. */
function sharesOf(sport: string, areas: readonly { id: string }[]): Record<string, number> {
	const usual = kitOf(sport)?.shares ?? {};
	const known = areas.filter(({ id }) => usual[id] !== undefined);
	return known.length > 0
		? Object.fromEntries(known.map(({ id }) => [id, usual[id]]))
		: Object.fromEntries(areas.map(({ id }) => [id, ALL_SHARES / areas.length]));
}

export const load: PageServerLoad = ({ params, url }) =>
	reading(async (db) => {
		const today = await todayOf(db, params.team);
		const of = await seasonOf(db, params.team, { today, id: url.searchParams.get('season') });
		if (!of) error(404, say(texts.noSeason));
		const { season, seasons, around, days } = of;
		const { id, name, sport, skillAreas, units } = around.team;
		const practices = await listSeasonPractices(db, id, days);
		return {
			team: { id, name },
			season,
			seasons,
			areas: skillAreas,
			units,
			practices: practices.map(({ date, minutes, state }) => ({
				date,
				minutes,
				isCancelled: state === 'cancelled'
			})),
			shares: sharesOf(sport, trained(skillAreas)),
			stamp: stampOfParts(season, ['targets', 'floors'])
		};
	});

export const actions: Actions = {
	default: saveSeasonParts
};
