import { misfitText } from '$core/base';
import { error } from '@sveltejs/kit';
import { reading, todayOf } from '$lib/server/app';
import { requireTeam } from '$lib/server/pages';
import { loadShelfPage } from '$lib/server/usecases/drills/shelfPage';
import type { PageServerLoad } from './$types';

const NUMBERS = ['effort', 'contact', 'unused', 'players', 'adults', 'minutes'];

/** Parts of the address that are there: numbers as numbers, a tick as true. */
function partsOf(params: URLSearchParams, keys: readonly string[]): Record<string, unknown> {
	return Object.fromEntries(
		keys.flatMap((key) => {
			const value = params.get(key) ?? '';
			if (value === '') return [];
			return [[key, NUMBERS.includes(key) ? Number(value) : key === 'fits' ? true : value]];
		})
	);
}

export const load: PageServerLoad = ({ params, url: { searchParams } }) =>
	reading(async (db) => {
		const today = await todayOf(db, params.team);
		const { id, name, skillAreas } = await requireTeam(db, params.team);
		const words = searchParams.get('words') ?? '';
		const keys = ['skill', 'family', 'frequency', 'effort', 'contact', 'unused', 'fits'];
		const filter = partsOf(searchParams, keys);
		const ask = partsOf(searchParams, ['players', 'adults', 'zone', 'minutes']);
		const page = await loadShelfPage(db, params.team, { words, filter, ask, today });
		if (!page.ok) error(400, misfitText(page.failure));
		return { team: { id, name, skillAreas }, words, ...page.value };
	});
