import type { SquadRow } from '$core/model/squad';
import type { Queryable } from '../database';

/** Adds a player at the end of the squad. */
export async function insertPlayer(
	tx: Queryable,
	teamId: string,
	{ id, name, number, positions, usuallyLate }: SquadRow & { id: string }
): Promise<void> {
	await tx.query(
		`insert into person (team_id, id, kind, place, name, number, usually_late, positions)
		 values ($1, $2, 'player', (select coalesce(max(place), 0) + 1 from person where team_id = $1),
			$3, $4, $5, $6::jsonb)`,
		[
			teamId,
			id,
			name,
			number ?? null,
			usuallyLate,
			positions.length > 0 ? JSON.stringify(positions) : null
		]
	);
}

/** Changes what is said of a player, but for dated facts. */
export async function updatePlayer(
	tx: Queryable,
	teamId: string,
	{ id, name, number, positions, usuallyLate }: SquadRow & { id: string }
): Promise<void> {
	await tx.query(
		`update person set name = $3, number = $4, usually_late = $5, positions = $6::jsonb
		 where team_id = $1 and id = $2 and kind = 'player'`,
		[
			teamId,
			id,
			name,
			number ?? null,
			usuallyLate,
			positions.length > 0 ? JSON.stringify(positions) : null
		]
	);
}

/** A player is of this unit from a day on. */
export async function setUnit(
	tx: Queryable,
	{ teamId, id, day, unit }: { teamId: string; id: string; day: string; unit: string }
): Promise<void> {
	await tx.query(
		`insert into person_unit (team_id, person_id, since, unit) values ($1, $2, $3::date, $4)
		 on conflict (team_id, person_id, since) do update set unit = excluded.unit`,
		[teamId, id, day, unit]
	);
}

/** A player is rated so in a skill area from a day on. */
export async function setRating(
	tx: Queryable,
	{
		teamId,
		id,
		day,
		skill,
		rating
	}: { teamId: string; id: string; day: string; skill: string; rating: number }
): Promise<void> {
	await tx.query(
		`insert into rating (team_id, person_id, skill, since, rating) values ($1, $2, $3, $4::date, $5)
		 on conflict (team_id, person_id, skill, since) do update set rating = excluded.rating`,
		[teamId, id, skill, day, rating]
	);
}

/** Takes a person away with units and ratings; names are nowhere else. False where there is none of this id. */
export async function deletePerson(db: Queryable, teamId: string, id: string): Promise<boolean> {
	const { affectedRows } = await db.query('delete from person where team_id = $1 and id = $2', [
		teamId,
		id
	]);
	return affectedRows === 1;
}
