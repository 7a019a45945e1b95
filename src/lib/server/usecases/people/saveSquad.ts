import { nanoid } from 'nanoid';
import { fail, ok, type Result } from '$core/base';
import { MOST_PLAYERS, SquadRows, type SquadRow } from '$core/model/squad';
import type { Player, Team } from '$core/model/team';
import { readShape, type Misfit } from '../../../../doors';
import type { Db, Queryable } from '../../database';
import { insertPlayer, setRating, setUnit, updatePlayer } from '../../repositories/people';
import { loadSurroundings } from '../../repositories/teamHistory';
import { changeTeam } from '../refusable';
import { staleness, type Refused, type Submission } from '../submission';
import { say } from '../../say';
import texts from '$texts/refusals';

/** What a row says that its team does not know; the path is within the row. */
function rowFault({ name, unit, ratings }: SquadRow, team: Team): Misfit | null {
	if (name.trim() === '') return { path: ['name'], message: say(texts.nameIsEmpty) };
	if (unit !== undefined && !team.units.some(({ id }) => id === unit))
		return { path: ['unit'], message: say(texts.notAUnit, { name: unit }) };
	const stranger = Object.keys(ratings).find(
		(skill) => !team.skillAreas.some(({ id }) => id === skill)
	);
	return stranger === undefined
		? null
		: { path: ['ratings', stranger], message: say(texts.isNotASkill) };
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
	if (row.unit !== known?.unit) await setUnit(tx, { teamId, id, day, unit: row.unit ?? null });
	const before = known?.ratings ?? {};
	// What was rated and is not in the row any more was cleared.
	for (const skill of new Set([...Object.keys(before), ...Object.keys(row.ratings)])) {
		const rating = row.ratings[skill] ?? null;
		if ((before[skill] ?? null) !== rating) await setRating(tx, { teamId, id, day, skill, rating });
	}
}

/** How many players a saved squad changed and added. */
export interface SavedSquad {
	changed: number;
	added: number;
}

/** What a form of the squad is read from, and what a save is held against. */
export const squadStored = (players: readonly Player[]): unknown => players;

/** What is wrong with rows as a whole: somebody unknown, or twice, or a fact that the team does not know. */
function rowsFault(
	rows: readonly SquadRow[],
	{ team, known }: { team: Team; known: ReadonlyMap<string, Player> }
): Misfit | null {
	const seen = new Set<string>();
	for (const [index, row] of rows.entries()) {
		const path = [index];
		if (row.id !== undefined && !known.has(row.id))
			return { path: [...path, 'id'], message: say(texts.notInSquad) };
		if (row.id !== undefined && seen.has(row.id))
			return { path: [...path, 'id'], message: say(texts.isTwice) };
		if (row.id !== undefined) seen.add(row.id);
		const fault = rowFault(row, team);
		if (fault) return { path: [...path, ...fault.path], message: fault.message };
	}
	return null;
}

/**
 * Saves players, all or none: those with an id are changed, the others added; who is not named stays as
 * they are. Units and ratings hold from `day` on. A misfit names the row and the field; it has `newest`
 * where the squad is not what the rows were made from (`base`).
 */
export async function saveSquad(
	db: Db,
	{
		teamId,
		day,
		rows,
		base,
		submission
	}: { teamId: string; day: string; rows: unknown } & Submission
): Promise<Result<SavedSquad, Refused>> {
	const shape = readShape(SquadRows, rows);
	if (!shape.ok) return shape;
	return changeTeam(
		db,
		{ teamId, submission },
		async (tx): Promise<Result<SavedSquad, Refused>> => {
			const surroundings = await loadSurroundings(tx, teamId, { day });
			if (!surroundings) return fail({ path: [], message: say(texts.noTeam) });
			const { team, players } = surroundings;
			const stale = staleness(base, squadStored(players));
			if (stale) return fail(stale);
			const known = new Map(players.map((player) => [player.id, player]));
			const fault = rowsFault(shape.value, { team, known });
			if (fault) return fail(fault);
			const added = shape.value.filter(({ id }) => id === undefined).length;
			if (players.length + added > MOST_PLAYERS)
				return fail({ path: [], message: say(texts.squadIsFull, { most: MOST_PLAYERS }) });
			for (const row of shape.value)
				await writeRow(tx, row, { teamId, day, known: known.get(row.id ?? '') });
			return ok({ changed: shape.value.length - added, added });
		}
	);
}
