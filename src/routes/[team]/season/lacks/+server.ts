import { error, json } from '@sveltejs/kit';
import { reading, todayOf } from '$lib/server/app';
import { loadLacks, seasonOf } from '$lib/server/usecases/season/loadSeason';
import { say } from '$lib/server/say';
import type { RequestHandler } from './$types';
import texts from '$texts/refusals';

/** Players of a season who have not had what the others had: asked for beside the page, since it adds up every row. */
export const GET: RequestHandler = ({ params, url }) =>
	reading(async (db) => {
		const today = await todayOf(db, params.team);
		const of = await seasonOf(db, params.team, { today, id: url.searchParams.get('season') });
		if (!of) error(404, say(texts.noSeason));
		return json(await loadLacks(db, params.team, of));
	});
