import type { Template } from '$core/model/practice';
import type { Queryable } from '../database';

/** The templates of a team by name. */
export async function listTemplates(db: Queryable, teamId: string): Promise<Template[]> {
	const { rows } = await db.query<{ body: Template }>(
		'select body from template where team_id = $1 order by name, id',
		[teamId]
	);
	return rows.map(({ body }) => body);
}

/** The template, or undefined where the team has none of this id. */
export async function findTemplate(
	db: Queryable,
	teamId: string,
	id: string
): Promise<Template | undefined> {
	const { rows } = await db.query<{ body: Template }>(
		'select body from template where team_id = $1 and id = $2',
		[teamId, id]
	);
	return rows[0]?.body;
}

/** Adds a template; false where the team has one of this name. */
export async function insertTemplate(
	tx: Queryable,
	teamId: string,
	template: Template
): Promise<boolean> {
	const { affectedRows } = await tx.query(
		`insert into template (team_id, id, name, body) values ($1, $2, $3, $4::jsonb)
		 on conflict (team_id, name) do nothing`,
		[teamId, template.id, template.name, JSON.stringify(template)]
	);
	return affectedRows === 1;
}

/** Takes a template away; false where the team has none of this id. */
export async function deleteTemplate(db: Queryable, teamId: string, id: string): Promise<boolean> {
	const { affectedRows } = await db.query('delete from template where team_id = $1 and id = $2', [
		teamId,
		id
	]);
	return affectedRows === 1;
}
