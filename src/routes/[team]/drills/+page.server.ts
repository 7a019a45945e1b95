import { error } from '@sveltejs/kit';
import { useConfig, useDb } from '$lib/server/app';
import { requireTeam } from '$lib/server/pages';
import { findDrills } from '$lib/server/repositories/drills';
import { loadHere } from '$lib/server/usecases/drillPage';
import { searchShelf } from '$lib/server/usecases/searchShelf';
import type { PageServerLoad } from './$types';

/** Parts of the filter in the address: numbers as numbers, empty ones left out. */
function filterOf(params: URLSearchParams): Record<string, unknown> {
	const NUMBERS = ['effort', 'contact', 'unused'];
	const keys = ['skill', 'family', 'frequency', ...NUMBERS];
	return Object.fromEntries(
		keys.flatMap((key) => {
			const value = params.get(key) ?? '';
			return value === '' ? [] : [[key, NUMBERS.includes(key) ? Number(value) : value]];
		})
	);
}

export const load: PageServerLoad = async ({ params, url }) => {
	const { today } = await useConfig();
	const db = await useDb();
	const { id, name, skillAreas } = await requireTeam(db, params.team);
	const words = url.searchParams.get('words') ?? '';
	const filter = filterOf(url.searchParams);
	const around = await loadHere(db, params.team, today);
	if (!around) error(404, 'There is no such team.');
	const { practice, surroundings } = around;
	const page = await searchShelf(db, params.team, {
		words,
		filter,
		here: {
			players: practice.expected.length,
			adults: practice.adults.length,
			zones: surroundings.ground.zones,
			kit: surroundings.kit
		}
	});
	if (!page.ok) error(400, `${page.failure.path} ${page.failure.message}`);
	const shown = page.value.lines.map(({ drill }) => drill);
	return {
		team: { id, name, skillAreas },
		words,
		filter,
		...page.value,
		here: {
			...around,
			surroundings: { ...surroundings, drills: await findDrills(db, params.team, shown) }
		}
	};
};
