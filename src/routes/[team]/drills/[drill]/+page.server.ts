import { error } from '@sveltejs/kit';
import { useDb } from '$lib/server/app';
import { requireTeam, revisionIn } from '$lib/server/pages';
import { loadDrillPage } from '$lib/server/usecases/drillPage';
import { todayOf } from '$lib/server/today';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, url }) => {
	const today = await todayOf(params.team);
	const db = await useDb();
	const { id, name, skillAreas } = await requireTeam(db, params.team);
	const page = await loadDrillPage(db, params.team, {
		id: params.drill,
		revision: revisionIn(url),
		today
	});
	if (!page) error(404, 'There is no such drill on this shelf.');
	return { team: { id, name, skillAreas }, ...page };
};
