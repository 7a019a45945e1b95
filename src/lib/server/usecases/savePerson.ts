import { fail, ok, type Result } from '$core/base';
import { isDay } from '$core/model/fields';
import { PlayerFacts } from '$core/model/team';
import { readShape, type Misfit } from '../../../doors';
import type { Queryable } from '../database';
import { updateFacts } from '../repositories/people';

/** A day of the facts that is in no calendar: its path, or null. */
function dayFault({ restrictions }: PlayerFacts): Misfit | null {
	for (const [index, { until, cleared }] of restrictions.entries()) {
		const at = `restrictions[${index}]`;
		if (until !== undefined && !isDay(until))
			return { path: `${at}.until`, message: 'is not a day of the calendar' };
		if (cleared && !isDay(cleared.on))
			return { path: `${at}.cleared.on`, message: 'is not a day of the calendar' };
	}
	return null;
}

/** Saves what stands on a player's own page; a misfit names the place at fault. */
export async function savePerson(
	db: Queryable,
	{ teamId, id, facts }: { teamId: string; id: string; facts: unknown }
): Promise<Result<null, Misfit>> {
	const shape = readShape(PlayerFacts, facts);
	if (!shape.ok) return shape;
	const fault = dayFault(shape.value);
	if (fault) return fail(fault);
	const isThere = await updateFacts(db, { teamId, id }, shape.value);
	return isThere ? ok(null) : fail({ path: '', message: 'There is no such player in this squad.' });
}
