import { fail, ok, type Result } from '$core/base';
import {
	facetsOf,
	filtered,
	obstaclesOf,
	ShelfFilter,
	type Facet,
	type Here,
	type Obstacle,
	type ShelfLine
} from '$core/shelf';
import { readShape, type Misfit } from '../../../doors';
import type { Queryable } from '../database';
import { lastUses, searchDrills } from '../repositories/drills';
import { listDays } from '../repositories/practices';

/** A line of the shelf with what keeps it from running here. */
export interface ShelfFinding extends ShelfLine {
	obstacles: Obstacle[];
}

/** What a search of the shelf finds. */
export interface ShelfPage {
	/** The lines that are shown, those that can run here first. */
	lines: ShelfFinding[];
	/** How many there are in all, and how many of them can run here. */
	found: number;
	fitting: number;
	facets: Facet[];
}

/** The most lines that are shown at once. */
export const MOST_LINES = 60;

/**
 * The drills of a team that have the words and pass the filter, at most `MOST_LINES` of them: those that
 * can run here first, then by how well the words suit, then by name.
 */
export async function searchShelf(
	db: Queryable,
	teamId: string,
	{ words, filter, here }: { words: string; filter: unknown; here: Here }
): Promise<Result<ShelfPage, Misfit>> {
	const shape = readShape(ShelfFilter, filter);
	if (!shape.ok) return shape;
	if (words.length > 200) return fail({ path: 'words', message: 'are longer than 200 letters' });
	const found = await searchDrills(db, teamId, words);
	const uses = await lastUses(db, teamId);
	const days = (await listDays(db, teamId)).map(({ date }) => date);
	const all = found.map(({ facts, rank }): ShelfLine => {
		const lastUsed = uses.get(facts.id) ?? null;
		const since = lastUsed === null ? days : days.filter((day) => day > lastUsed);
		return { drill: facts, rank, lastUsed, unusedFor: since.length };
	});
	const lines = filtered(all, shape.value).map((line) => ({
		...line,
		obstacles: obstaclesOf(line.drill, here)
	}));
	const isFree = ({ obstacles }: ShelfFinding) => obstacles.length === 0;
	const free = lines.filter(isFree);
	return ok({
		lines: [...free, ...lines.filter((line) => !isFree(line))].slice(0, MOST_LINES),
		found: lines.length,
		fitting: free.length,
		facets: facetsOf(all, shape.value)
	});
}
