import { nanoid } from 'nanoid';
import { fail, ok, type Result } from '$core/base';
import { AdultRows, type AdultRow } from '$core/model/squad';
import type { Adult, Team } from '$core/model/team';
import { readShape, type Misfit } from '../../../../doors';
import type { Db } from '../../database';
import { writeAdult } from '../../repositories/people';
import { loadSurroundings } from '../../repositories/teamHistory';
import { changeTeam } from '../refusable';
import { staleness, type Refused, type Submission } from '../submission';
import { say } from '../../say';
import texts from '$texts/refusals';

/** What a row says that its team does not know. */
function rowFault({ name, role, units, skills, ages }: AdultRow, team: Team): Misfit | null {
	if (name.trim() === '') return { path: ['name'], message: say(texts.nameIsEmpty) };
	if (role.trim() === '') return { path: ['role'], message: say(texts.roleIsEmpty) };
	const unit = units.find((each) => !team.units.some(({ id }) => id === each));
	if (unit !== undefined) return { path: ['units'], message: say(texts.notAUnit, { name: unit }) };
	const skill = skills.find((each) => !team.skillAreas.some(({ id }) => id === each));
	if (skill !== undefined)
		return { path: ['skills'], message: say(texts.notASkill, { name: skill }) };
	if (ages && ages.to < ages.from)
		return { path: ['ages'], message: say(texts.agesUpsideDown, { to: ages.to, from: ages.from }) };
	return null;
}

/** What a form of the adults is read from, and what a save is held against. */
export const adultsStored = (adults: readonly Adult[]): unknown => adults;

/**
 * Saves adults, all or none: those with an id are changed, the others added. A misfit names row and field;
 * it has `newest` where the adults are not what the rows were made from (`base`).
 */
export async function saveAdults(
	db: Db,
	{
		teamId,
		day,
		rows,
		base,
		submission
	}: { teamId: string; day: string; rows: unknown } & Submission
): Promise<Result<null, Refused>> {
	const shape = readShape(AdultRows, rows);
	if (!shape.ok) return shape;
	return changeTeam(db, { teamId, submission }, async (tx): Promise<Result<null, Refused>> => {
		const surroundings = await loadSurroundings(tx, teamId, { day });
		if (!surroundings) return fail({ path: [], message: say(texts.noTeam) });
		const stale = staleness(base, adultsStored(surroundings.adults));
		if (stale) return fail(stale);
		const left = new Set(surroundings.adults.map(({ id }) => id));
		for (const [index, row] of shape.value.entries()) {
			if (row.id !== undefined && !left.delete(row.id))
				return fail({ path: [index, 'id'], message: say(texts.notInTeamOrTwice) });
			const fault = rowFault(row, surroundings.team);
			if (fault) return fail({ path: [index, ...fault.path], message: fault.message });
		}
		for (const row of shape.value) {
			const [name, role] = [row.name.trim(), row.role.trim()];
			const id = row.id ?? `a-${nanoid(10)}`;
			await writeAdult(tx, teamId, { ...row, name, role, id, isNew: row.id === undefined });
		}
		return ok(null);
	});
}
