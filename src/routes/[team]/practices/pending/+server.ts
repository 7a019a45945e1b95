import { json } from '@sveltejs/kit';
import { reading, troubleToStore, useDb } from '$lib/server/app';
import { countUnsummed } from '$lib/server/repositories/summaries';
import { freshenSummaries } from '$lib/server/usecases/practices/summaries';
import type { RequestHandler } from './$types';

/** How many practices of a team are still to be worked out, as `{ left }`; asking goes on with them. */
export const GET: RequestHandler = async ({ params }) => {
	await freshenSummaries(await useDb(), params.team, async () => (await troubleToStore()) === null);
	return json({ left: await reading((tx) => countUnsummed(tx, params.team)) });
};
