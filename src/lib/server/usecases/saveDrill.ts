import { fail, ok, type Result } from '$core/base';
import { faultOf } from '$core/drill';
import { Drill } from '$core/model/drill';
import { readShape, type Misfit } from '../../../doors';
import type { Db } from '../database';
import { findDrill, insertRevision } from '../repositories/drills';
import { slugOf } from './slug';

/** An id made of a drill's name that the shelf does not have. */
async function freeId(db: Db, teamId: string, name: string): Promise<string> {
	const stem = slugOf(name, 'drill');
	let id = stem;
	for (let number = 2; await findDrill(db, teamId, id); number += 1) id = `${stem}-${number}`;
	return id;
}

/**
 * Stores a drill that can run: as the next revision of itself, or, where `isNew`, under an id made of its
 * name. Gives the id; a misfit names the place at fault, and the rung where it is on one.
 */
export async function saveDrill(
	db: Db,
	{ teamId, drill, isNew }: { teamId: string; drill: unknown; isNew: boolean }
): Promise<Result<string, Misfit>> {
	const shape = readShape(Drill, drill);
	if (!shape.ok) return shape;
	if (shape.value.name.trim() === '') return fail({ path: 'name', message: 'needs a word' });
	const fault = faultOf(shape.value);
	if (fault) {
		const place = ('path' in fault && fault.path) || '';
		const path = fault.onRung ? `rung ${fault.onRung} ${place}`.trim() : place;
		return fail({ path, message: fault.message });
	}
	const id = isNew ? await freeId(db, teamId, shape.value.name) : shape.value.id;
	if (!isNew && !(await findDrill(db, teamId, id)))
		return fail({ path: 'id', message: 'is no drill of this shelf' });
	await db.transaction((tx) => insertRevision(tx, teamId, { ...shape.value, id }));
	return ok(id);
}
