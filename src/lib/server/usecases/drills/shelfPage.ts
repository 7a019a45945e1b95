import { fail, ok, type Result } from '$core/base';
import { ShelfAsk, supposing } from '$core/shelf';
import { readShape, type Misfit } from '../../../../doors';
import type { Queryable } from '../../database';
import { listArchived } from '../../repositories/drills';
import { loadHere, type Here } from './drillPage';
import { searchShelf, type ShelfPage } from './searchShelf';
import { say } from '../../say';
import texts from '$texts/refusals';

/** What the list of a team's drills is drawn from. */
export interface ShelfList extends ShelfPage {
	/** What there is, as it was asked about, with the drills that are shown. */
	here: Here;
	/** What was asked, as it was read. */
	ask: ShelfAsk;
	/** The zones that may be asked about. */
	zones: { id: string; name: string }[];
	/** How many come to the next practice, whatever was asked. */
	coming: { players: number; adults: number };
	/** Drills that are archived. */
	archived: { id: string; name: string }[];
}

/** A search of the shelf for the next practice, or as if others came to it. */
export async function loadShelfPage(
	db: Queryable,
	teamId: string,
	{ words, filter, ask, today }: { words: string; filter: unknown; ask: unknown; today: string }
): Promise<Result<ShelfList, Misfit>> {
	const shape = readShape(ShelfAsk, ask);
	if (!shape.ok) return shape;
	const around = await loadHere(db, teamId, today);
	if (!around) return fail({ path: ['team'], message: say(texts.isGone) });
	const supposed = supposing(around, shape.value);
	if (!supposed.ok) return supposed;
	const { practice, surroundings } = supposed.value;
	const page = await searchShelf(db, teamId, {
		words,
		filter,
		day: practice.date,
		ages: surroundings.team.ages,
		here: {
			players: practice.expected.length,
			adults: practice.adults.length,
			zones: surroundings.ground.zones,
			kit: surroundings.kit
		}
	});
	if (!page.ok) return page;
	const drills = page.value.lines.map(({ drill }) => drill);
	return ok({
		...page.value,
		archived: await listArchived(db, teamId),
		ask: shape.value,
		here: { ...supposed.value, surroundings: { ...surroundings, drills } },
		zones: around.surroundings.ground.zones.map(({ id, name }) => ({ id, name })),
		coming: {
			players: around.practice.expected.length,
			adults: around.practice.adults.length
		}
	});
}
