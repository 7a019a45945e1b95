import type { Ground } from '$core/model/team';
import type { Queryable } from '../database';

/** The grounds of a team in their order: the first is the one that a new practice is on. */
export async function listGrounds(db: Queryable, teamId: string): Promise<Ground[]> {
	const { rows } = await db.query<{ body: Ground }>(
		'select body from ground where team_id = $1 order by place, id',
		[teamId]
	);
	return rows.map(({ body }) => body);
}

/** Adds a ground behind the others. */
export async function insertGround(tx: Queryable, teamId: string, ground: Ground): Promise<void> {
	await tx.query(
		`insert into ground (team_id, id, place, body)
		 values ($1, $2, (select coalesce(max(place), 0) + 1 from ground where team_id = $1), $3::jsonb)`,
		[teamId, ground.id, JSON.stringify(ground)]
	);
}

/** Puts a ground in the place of the one with its id; false where there is none. */
export async function updateGround(
	tx: Queryable,
	teamId: string,
	ground: Ground
): Promise<boolean> {
	const { affectedRows } = await tx.query(
		'update ground set body = $3::jsonb where team_id = $1 and id = $2',
		[teamId, ground.id, JSON.stringify(ground)]
	);
	return affectedRows === 1;
}

/** Takes a ground away; false where there is none of this id. */
export async function deleteGround(tx: Queryable, teamId: string, id: string): Promise<boolean> {
	const { affectedRows } = await tx.query('delete from ground where team_id = $1 and id = $2', [
		teamId,
		id
	]);
	return affectedRows === 1;
}
