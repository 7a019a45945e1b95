import { error, fail } from '@sveltejs/kit';
import { useDb } from '$lib/server/app';
import { requireTeam, revisionIn } from '$lib/server/pages';
import { setDrillArchived } from '$lib/server/repositories/drills';
import { loadDrillPage } from '$lib/server/usecases/drillPage';
import { todayOf } from '$lib/server/today';
import type { Actions, PageServerLoad } from './$types';

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

const archive =
	(archived: boolean): Actions[string] =>
	async ({ params }) => {
		const { team, drill } = params as { team: string; drill: string };
		const isDone = await setDrillArchived(await useDb(), team, { id: drill, archived });
		if (!isDone) return fail(400, { message: 'There is no such drill.' });
	};

export const actions: Actions = { archive: archive(true), restore: archive(false) };
