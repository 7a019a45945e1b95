import { fail, ok, type Result } from '$core/base';
import type { ExportPerson } from '$core/model/exportFiles';
import { PlayerFacts, type Restriction } from '$core/model/team';
import { readShape, type Misfit } from '../../../../doors';
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

/** Whether a restriction is still there: the same, lifted by a practitioner, or set for longer. */
function isKept(was: Restriction, restrictions: readonly Restriction[]): boolean {
	const lasts = (until = '9999-12-31') => until;
	return restrictions.some(
		({ from, since = '', until, setBy, cleared, by = 'practitioner' }) =>
			from === was.from &&
			by === 'practitioner' &&
			setBy === was.setBy &&
			since <= (was.since ?? '') &&
			lasts(until) >= lasts(was.until) &&
			(was.cleared === undefined || cleared !== undefined)
	);
}

/** What practitioners have set and is not lifted by one. */
function wronglyLifted(
	{ restrictions: stored = [] }: ExportPerson,
	{ restrictions }: PlayerFacts
): Misfit | null {
	const gone = stored.find(
		(was) => (was.by ?? 'practitioner') === 'practitioner' && !isKept(was, restrictions)
	);
	return gone
		? { path: ['restrictions'], message: say(texts.onlyAPractitionerLifts, { name: gone.setBy }) }
		: null;
}

/** What is wrong with restrictions by themselves. */
function restrictionFault({ restrictions }: PlayerFacts): Misfit | null {
	for (const [index, each] of restrictions.entries()) {
		const { since = '', until, from, drills = [], skills = [], by, cleared } = each;
		const at = (field: string) => ['restrictions', index, field];
		if (until !== undefined && until < since)
			return { path: at('until'), message: say(texts.lastDayFirst) };
		if (from === 'drills' && drills.length + skills.length === 0)
			return { path: at('drills'), message: say(texts.outOfWhat) };
		if (by === 'coach' && cleared)
			return { path: at('cleared'), message: say(texts.aCoachsOwnEnds) };
	}
	return null;
}

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
	const fault = restrictionFault(shape.value);
	if (fault) return fail(fault);
	return changeTeam(db, { teamId }, async (tx): Promise<Result<null, Refused>> => {
		const person = (await readPeople(tx, teamId)).find((each) => each.id === id);
		if (person?.kind !== 'player') return fail({ path: [], message: say(texts.noPlayer) });
		const stale = staleness(base, factsStored(person));
		if (stale) return fail(stale);
		const lifted = wronglyLifted(person, shape.value);
		if (lifted) return fail(lifted);
		await updateFacts(tx, { teamId, id }, shape.value);
		return ok(null);
	});
}
