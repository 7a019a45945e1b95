import Type from 'typebox';
import { fail, ok, type Result } from '$core/base';
import { closed, Id } from '$core/model/fields';
import type { Drill } from '$core/model/drill';
import { readShape, type Misfit } from '../../../../doors';
import type { Queryable } from '../../database';
import { listNewest, listRevisionsOf } from '../../repositories/drills';
import { searchDrills } from '../../repositories/shelf';
import { say } from '../../say';
import texts from '$texts/refusals';

/** The most drills that are given at once. */
const MOST = 30;

const Named = Type.Array(Type.Object({ id: Id, revision: Type.Integer({ minimum: 1 }) }, closed), {
	maxItems: 300
});

/** Revisions of drills that are named `id@3,other@1`; a misfit where one is named otherwise. */
export async function namedDrills(
	db: Queryable,
	teamId: string,
	names: string
): Promise<Result<Drill[], Misfit>> {
	const read = readShape(
		Named,
		names.split(',').map((name) => {
			const [id, revision] = name.split('@');
			return { id, revision: Number(revision) };
		})
	);
	return read.ok ? ok(await listRevisionsOf(db, teamId, read.value)) : read;
}

/** The drills on a team's shelf that suit some words best, whole, at most 30. */
export async function drillsFor(
	db: Queryable,
	teamId: string,
	words: string
): Promise<Result<Drill[], Misfit>> {
	if (words.length > 200) return fail({ path: ['words'], message: say(texts.searchTooLong) });
	const found = (await searchDrills(db, teamId, words)).slice(0, MOST);
	return ok(
		await listNewest(
			db,
			teamId,
			found.map(({ drill }) => drill.id)
		)
	);
}
