import { error } from '@sveltejs/kit';
import type { Surroundings } from '$core/model/bundle';
import { toShelf } from '$core/practice';
import { useConfig, useDb } from '$lib/server/app';
import { requireTeam } from '$lib/server/pages';
import { loadHere } from '$lib/server/usecases/drillPage';
import { searchShelf, type ShelfPage } from '$lib/server/usecases/searchShelf';
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

/** The newest revisions of the drills that are shown. */
function shownOf({ drills }: Surroundings, { lines }: ShelfPage) {
	const shown = new Set(lines.map(({ drill }) => drill.id));
	return toShelf(drills).filter(({ id }) => shown.has(id));
}

export const load: PageServerLoad = async ({ params, url }) => {
	const { today } = await useConfig();
	const db = await useDb();
	const { id, name, skillAreas } = await requireTeam(db, params.team);
	const words = url.searchParams.get('words') ?? '';
	const filter = filterOf(url.searchParams);
	const around = await loadHere(db, params.team, { today, kept: () => true });
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
	return {
		team: { id, name, skillAreas },
		words,
		filter,
		...page.value,
		here: {
			...around,
			surroundings: { ...surroundings, drills: shownOf(surroundings, page.value) }
		}
	};
};
