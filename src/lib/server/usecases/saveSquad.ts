import { nanoid } from 'nanoid';
import { fail, ok, type Result } from '$core/base';
import { MOST_PLAYERS, SquadRows, type SquadRow } from '$core/model/squad';
import type { Player, Team } from '$core/model/team';
import { readShape, type Misfit } from '../../../doors';
import type { Db, Queryable } from '../database';
import { insertPlayer, setRating, setUnit, updatePlayer } from '../repositories/people';
import { loadSurroundings } from '../repositories/surroundings';

/** What a row says that its team does not know; the path is within the row. */
function rowFault({ name, unit, ratings }: SquadRow, team: Team): Misfit | null {
	if (name.trim() === '') return { path: 'name', message: 'needs a name' };
	if (unit !== undefined && !team.units.some(({ id }) => id === unit))
		return { path: 'unit', message: `"${unit}" is no unit of this team` };
	const stranger = Object.keys(ratings).find(
		(skill) => !team.skillAreas.some(({ id }) => id === skill)
	);
	return stranger === undefined
		? null
		: { path: `ratings.${stranger}`, message: 'is no skill area of this team' };
}

/** Writes a row: dated facts only where they change, from the day on. */
async function writeRow(
	tx: Queryable,
	row: SquadRow,
	{ teamId, day, known }: { teamId: string; day: string; known: Player | undefined }
): Promise<void> {
	const id = row.id ?? `p-${nanoid(10)}`;
	const named = { ...row, id, name: row.name.trim() };
	await (known ? updatePlayer : insertPlayer)(tx, teamId, named);
	if (row.unit !== undefined && row.unit !== known?.unit)
		await setUnit(tx, { teamId, id, day, unit: row.unit });
	for (const [skill, rating] of Object.entries(row.ratings))
		if (known?.ratings?.[skill] !== rating) await setRating(tx, { teamId, id, day, skill, rating });
}

/** How many players a saved squad changed and added. */
export interface SavedSquad {
	changed: number;
	added: number;
}

/**
 * Saves players, all or none: those with an id are changed, the others added; who is not named stays as
 * they are. Units and ratings hold from `day` on. A misfit names the row and the field.
 */
export async function saveSquad(
	db: Db,
	{ teamId, day, rows }: { teamId: string; day: string; rows: unknown }
): Promise<Result<SavedSquad, Misfit>> {
	const shape = readShape(SquadRows, rows);
	if (!shape.ok) return shape;
	const surroundings = await loadSurroundings(db, teamId, day);
	if (!surroundings) return fail({ path: '', message: 'There is no such team.' });
	const { team, players } = surroundings;
	const known = new Map(players.map((player) => [player.id, player]));
	const seen = new Set<string>();
	for (const [index, row] of shape.value.entries()) {
		const path = `[${index}]`;
		if (row.id !== undefined && !known.has(row.id))
			return fail({ path: `${path}.id`, message: 'is nobody of this squad' });
		if (row.id !== undefined && seen.has(row.id))
			return fail({ path: `${path}.id`, message: 'comes twice' });
		if (row.id !== undefined) seen.add(row.id);
		const fault = rowFault(row, team);
		if (fault) return fail({ path: `${path}.${fault.path}`, message: fault.message });
	}
	const added = shape.value.filter(({ id }) => id === undefined).length;
	if (players.length + added > MOST_PLAYERS)
		return fail({ path: '', message: `A squad holds ${MOST_PLAYERS} players at most.` });
	await db.transaction(async (tx) => {
		for (const row of shape.value)
			await writeRow(tx, row, { teamId, day, known: known.get(row.id ?? '') });
	});
	return ok({ changed: shape.value.length - added, added });
}
