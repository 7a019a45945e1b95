import { fail, ok, type Result } from '$core/base';
import { suitsAges } from '$core/model/ages';
import type { Team } from '$core/model/team';
import {
	facetsOf,
	filtered,
	foundFor,
	standingIn,
	ShelfFilter,
	type Facet,
	type Here,
	type ShelfLine
} from '$core/shelf';
import { readShape, type Misfit } from '../../../../doors';
import type { Queryable } from '../../database';
import { lastUses, searchDrills } from '../../repositories/shelf';
import { listDays } from '../../repositories/practices';
import { say } from '../../say';
import texts from '$texts/refusals';

/** What a search of the shelf finds. */
export interface ShelfPage {
	/** The lines that are shown, those that can run here first. */
	lines: ShelfLine[];
	/** How many there are in all, and how many of them can run here. */
	found: number;
	fitting: number;
	facets: Facet[];
	/** What it was filtered by, as it was read. */
	filter: ShelfFilter;
}

/** The most lines that are shown at once. */
export const MOST_LINES = 60;

/**
 * The drills of a team for a practice on a day that have the words and pass the filter, at most `MOST_LINES`: those that
 * can run here for everyone first, of those the ones for the ages of the team, then by how well the words suit, then
 * by how busy they keep players.
 */
export async function searchShelf(
	db: Queryable,
	teamId: string,
	{
		words,
		filter,
		here,
		ages,
		day
	}: { words: string; filter: unknown; here: Here; ages: Team['ages']; day: string }
): Promise<Result<ShelfPage, Misfit>> {
	const shape = readShape(ShelfFilter, filter);
	if (!shape.ok) return shape;
	if (words.length > 200) return fail({ path: ['words'], message: say(texts.searchTooLong) });
	const found = await searchDrills(db, teamId, words);
	const uses = await lastUses(db, teamId);
	// Practices after the next one have no say yet in how long a drill has rested.
	const days = (await listDays(db, teamId))
		.map(({ date }) => date)
		.filter((date) => date <= day);
	const standingOf = standingIn(here);
	const all = found.map(({ drill, rank }): ShelfLine => {
		const lastUsed = uses.get(drill.id) ?? null;
		const since = lastUsed === null ? days : days.filter((day) => day > lastUsed);
		const standing = standingOf(drill);
		const skills = foundFor(drill);
		return { drill, skills, rank, lastUsed, unusedFor: since.length, standing };
	});
	const lines = filtered(all, shape.value);
	const isFree = ({ standing }: ShelfLine) => standing.obstacle === null;
	const suits = ({ drill }: ShelfLine) => suitsAges(drill, ages);
	const free = lines
		.filter(isFree)
		.sort(
			(a, b) =>
				Number(suits(b)) - Number(suits(a)) ||
				b.rank - a.rank ||
				b.standing.busyAbout - a.standing.busyAbout
		);
	return ok({
		lines: [...free, ...lines.filter((line) => !isFree(line))].slice(0, MOST_LINES),
		found: lines.length,
		fitting: free.length,
		facets: facetsOf(all, shape.value),
		filter: shape.value
	});
}
