import { error, fail } from '@sveltejs/kit';
import { reading, todayOf, useDb } from '$lib/server/app';
import { requireTeam, revisionIn } from '$lib/server/pages';
import { setDrillArchived } from '$lib/server/repositories/drills';
import { listDrillNames } from '$lib/server/repositories/shelf';
import { loadDrillPage } from '$lib/server/usecases/drills/drillPage';
import { changeAlone } from '$lib/server/usecases/refusable';
import type { Actions, PageServerLoad } from './$types';
import { say } from '$lib/server/say';
import texts from '$texts/refusals';

export const load: PageServerLoad = ({ params, url }) =>
	reading(async (db) => {
		const today = await todayOf(db, params.team);
		const { id, name, skillAreas } = await requireTeam(db, params.team);
		const page = await loadDrillPage(db, params.team, {
			id: params.drill,
			revision: revisionIn(url),
			today
		});
		if (!page) error(404, say(texts.noDrillOnShelf));
		const drills = await listDrillNames(db, params.team);
		return { team: { id, name, skillAreas }, drills, ...page };
	});

const archive =
	(archived: boolean): Actions[string] =>
	async ({ params }) => {
		const { team, drill } = params as { team: string; drill: string };
		const isDone = await changeAlone(await useDb(), team, (tx) =>
			setDrillArchived(tx, team, { id: drill, archived })
		);
		if (!isDone) return fail(400, { message: say(texts.noDrill) });
	};

export const actions: Actions = { archive: archive(true), restore: archive(false) };
