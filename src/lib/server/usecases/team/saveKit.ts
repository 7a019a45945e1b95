import Type from 'typebox';
import { fail, ok, type Result } from '$core/base';
import { KitItem } from '$core/model/team';
import { readShape } from '../../../../doors';
import type { Db } from '../../database';
import { findKit, saveSetting } from '../../repositories/settings';
import { findTeam } from '../../repositories/teams';
import { changeTeam } from '../refusable';
import { staleness, type Refused, type Submission } from '../submission';
import { say } from '../../say';
import texts from '$texts/refusals';

const Kit = Type.Array(KitItem, { maxItems: 300 });

/**
 * Puts this kit in the place of all that a team had, from a day on. A misfit names the row and the field; it has `newest`
 * where the kit is not what the rows were made from (`base`).
 */
export async function saveKit(
	db: Db,
	{ teamId, day, rows, base }: { teamId: string; day: string; rows: unknown } & Submission
): Promise<Result<null, Refused>> {
	const shape = readShape(Kit, rows);
	if (!shape.ok) return shape;
	const seen = new Set<string>();
	for (const [index, { item, count, broken = 0 }] of shape.value.entries()) {
		const fault = (field: string, message: string) => fail({ path: [index, field], message });
		if (item.trim() === '') return fault('item', say(texts.isEmpty));
		if (seen.has(item.trim())) return fault('item', say(texts.isTwice));
		seen.add(item.trim());
		if (broken > count) return fault('broken', say(texts.moreBroken, { count }));
	}
	const kit = shape.value.map((row) => ({ ...row, item: row.item.trim() }));
	return changeTeam(db, { teamId }, async (tx): Promise<Result<null, Refused>> => {
		if (!(await findTeam(tx, teamId))) return fail({ path: [], message: say(texts.noTeam) });
		const stale = staleness(base, await findKit(tx, teamId, day));
		if (stale) return fail(stale);
		await saveSetting(tx, teamId, { what: 'kit', value: kit, since: day });
		return ok(null);
	});
}
