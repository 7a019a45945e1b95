import { fail, ok, type Result } from '$core/base';
import { drillMisfit, withStandard } from '$core/drill';
import { Drill } from '$core/model/drill';
import { readShape } from '../../../../doors';
import type { Db, Queryable } from '../../database';
import { findDrill, insertDrill, insertRevision } from '../../repositories/drills';
import { changeTeam } from '../refusable';
import { slugOf } from '../team/slug';
import { staleness, type Refused, type Submission } from '../submission';
import { say } from '../../say';
import texts from '$texts/refusals';

/** What the form of a drill is read from, and what a save is held against: which revision is the newest. */
export const drillStored = ({ revision = 1 }: Drill): unknown => revision;

/** Adds a drill under the first id made of its name that the shelf does not have; gives the id. */
async function addDrill(tx: Queryable, teamId: string, drill: Drill): Promise<string> {
	const stem = slugOf(drill.name, 'drill');
	let id = stem;
	for (let number = 2; !(await insertDrill(tx, teamId, { ...drill, id })); number += 1)
		id = `${stem}-${number}`;
	return id;
}

/**
 * Stores a drill that can run: as the next revision of itself, or, where `isNew`, under an id made of its
 * name. Gives the id; a misfit names the place at fault, and the rung where it is on one. It has `newest`
 * where the drill has another revision by now than the newest when it was read (`base`).
 */
export async function saveDrill(
	db: Db,
	{
		teamId,
		drill,
		isNew,
		base,
		submission
	}: { teamId: string; drill: unknown; isNew: boolean } & Submission
): Promise<Result<string, Refused>> {
	const shape = readShape(Drill, drill);
	if (!shape.ok) return shape;
	if (shape.value.name.trim() === '') return fail({ path: ['name'], message: say(texts.isEmpty) });
	const misfit = drillMisfit(shape.value);
	if (misfit) return fail(misfit);
	// What is stored from now on says where the drill stands in its ladder.
	const own = withStandard(shape.value);
	return changeTeam(db, { teamId, submission }, async (tx): Promise<Result<string, Refused>> => {
		if (isNew) return ok(await addDrill(tx, teamId, own));
		const newest = await findDrill(tx, teamId, own.id);
		if (!newest) return fail({ path: ['id'], message: say(texts.notADrill) });
		const stale = staleness(base, drillStored(newest));
		if (stale) return fail(stale);
		await insertRevision(tx, teamId, own);
		return ok(own.id);
	});
}
