import { error } from '@sveltejs/kit';
import { reading, todayOf } from '$lib/server/app';
import { loadTogether } from '$lib/server/usecases/people/loadTogether';
import type { PageServerLoad } from './$types';
import { say } from '$lib/server/say';
import texts from '$texts/refusals';

export const load: PageServerLoad = ({ params, url: { searchParams } }) =>
	reading(async (db) => {
		const page = await loadTogether(db, params.team, {
			today: await todayOf(db, params.team),
			part: Math.trunc(Number(searchParams.get('part'))) || 1,
			isWhole: searchParams.has('all')
		});
		if (!page) error(404, say(texts.noTeam));
		return { ...page, isWhole: searchParams.has('all') };
	});
