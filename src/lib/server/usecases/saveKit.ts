import Type from 'typebox';
import { fail, ok, type Result } from '$core/base';
import { KitItem } from '$core/model/team';
import { readShape, type Misfit } from '../../../doors';
import type { Db } from '../database';
import { replaceKit } from '../repositories/places';
import { findTeam } from '../repositories/surroundings';

const Kit = Type.Array(KitItem, { maxItems: 300 });

/** Puts this kit in the place of all that a team had; a misfit names the row and the field. */
export async function saveKit(
	db: Db,
	{ teamId, rows }: { teamId: string; rows: unknown }
): Promise<Result<null, Misfit>> {
	const shape = readShape(Kit, rows);
	if (!shape.ok) return shape;
	if (!(await findTeam(db, teamId))) return fail({ path: '', message: 'There is no such team.' });
	const seen = new Set<string>();
	for (const [index, { item, count, broken = 0 }] of shape.value.entries()) {
		const fault = (field: string, message: string) =>
			fail({ path: `[${index}].${field}`, message });
		if (item.trim() === '') return fault('item', 'needs a word');
		if (seen.has(item.trim())) return fault('item', 'comes twice');
		seen.add(item.trim());
		if (broken > count) return fault('broken', `are more than the ${count} that there are`);
	}
	const kit = shape.value.map((row) => ({ ...row, item: row.item.trim() }));
	await db.transaction((tx) => replaceKit(tx, teamId, kit));
	return ok(null);
}
