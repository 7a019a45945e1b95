import { fail, ok, type Result } from '$core/base';
import type { ExportPerson } from '$core/model/exportFiles';
import { PlayerFacts } from '$core/model/team';
import { readShape } from '../../../../doors';
import type { Db } from '../../database';
import { updateFacts } from '../../repositories/people';
import { readPeople } from '../../repositories/people';
import { changeTeam } from '../refusable';
import { staleness, type Refused, type Submission } from '../submission';
import { say } from '../../say';
import texts from '$texts/refusals';

/** What the form of a player's page is read from, and what a save is held against. */
export const factsStored = ({ note, restrictions }: ExportPerson): unknown => ({
	note,
	restrictions
});

/**
 * Saves what stands on a player's own page. A misfit names the place at fault; it has `newest` where the
 * page is not what it was changed from (`base`).
 */
export async function savePerson(
	db: Db,
	{ teamId, id, facts, base }: { teamId: string; id: string; facts: unknown } & Submission
): Promise<Result<null, Refused>> {
	const shape = readShape(PlayerFacts, facts);
	if (!shape.ok) return shape;
	const backwards = shape.value.restrictions.findIndex(
		({ since = '', until }) => until !== undefined && until < since
	);
	if (backwards >= 0)
		return fail({
			path: ['restrictions', backwards, 'until'],
			message: say(texts.lastDayFirst)
		});
	return changeTeam(db, { teamId }, async (tx): Promise<Result<null, Refused>> => {
		const person = (await readPeople(tx, teamId)).find((each) => each.id === id);
		if (person?.kind !== 'player') return fail({ path: [], message: say(texts.noPlayer) });
		const stale = staleness(base, factsStored(person));
		if (stale) return fail(stale);
		await updateFacts(tx, { teamId, id }, shape.value);
		return ok(null);
	});
}
