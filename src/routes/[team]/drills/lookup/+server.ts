import { misfitText } from '$core/base';
import { error, json } from '@sveltejs/kit';
import { reading } from '$lib/server/app';
import { drillsFor, namedDrills } from '$lib/server/usecases/drills/lookUpDrills';
import type { RequestHandler } from './$types';

/** Drills for a board that does not have them at hand: those with `words`, or the revisions that are `named`. */
export const GET: RequestHandler = ({ params, url: { searchParams } }) =>
	reading(async (db) => {
		const named = searchParams.get('named');
		const found =
			named === null
				? await drillsFor(db, params.team, searchParams.get('words') ?? '')
				: await namedDrills(db, params.team, named);
		if (!found.ok) error(400, misfitText(found.failure));
		return json(found.value);
	});
