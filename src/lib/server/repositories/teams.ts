import type { Season } from '$core/model/season';
import type { Team } from '$core/model/team';
import type { Queryable } from '../database';

/**
 * Waits until nobody else changes what a team has, and keeps it so until the transaction ends: what is read
 * to be written, and ids and places that are counted up, rest on it.
 */
export async function lockTeam(tx: Queryable, teamId: string): Promise<void> {
	await tx.query('select from team where id = $1 for no key update', [teamId]);
}

/** Waits for changes of what a team has and holds new ones up until the transaction ends; others may hold it so too. */
export async function holdTeam(tx: Queryable, teamId: string): Promise<void> {
	await tx.query('select from team where id = $1 for share', [teamId]);
}

/** Adds a team; false where its id is taken. */
export async function insertTeam(tx: Queryable, team: Team): Promise<boolean> {
	const { affectedRows } = await tx.query(
		'insert into team (id, body) values ($1, $2::jsonb) on conflict do nothing',
		[team.id, JSON.stringify(team)]
	);
	return affectedRows === 1;
}

/** Teams in order of their names: id and name. */
export async function listTeams(db: Queryable): Promise<{ id: string; name: string }[]> {
	const { rows } = await db.query<{ id: string; name: string }>(
		`select id, body ->> 'name' as name from team order by body ->> 'name'`
	);
	return rows;
}

/** A team in a list. */
export interface TeamLine {
	id: string;
	name: string;
	sport: string;
	sportName: string | null;
	players: number;
	practices: number;
}

/** Teams in order of their names, with how much there is of them. */
export async function listTeamLines(db: Queryable): Promise<TeamLine[]> {
	const { rows } = await db.query<TeamLine>(
		`select t.id, t.body ->> 'name' as name, t.body ->> 'sport' as sport,
			t.body ->> 'sportName' as "sportName",
			(select count(*)::int from person p where p.team_id = t.id and p.kind = 'player') as players,
			(select count(*)::int from practice q where q.team_id = t.id) as practices
		 from team t order by t.body ->> 'name', t.id`
	);
	return rows;
}

/** Takes a team away with all that is its own; false where there is none of this id. */
export async function deleteTeam(db: Queryable, teamId: string): Promise<boolean> {
	const { affectedRows } = await db.query('delete from team where id = $1', [teamId]);
	return affectedRows === 1;
}

/** The team, or undefined. */
export async function findTeam(db: Queryable, teamId: string): Promise<Team | undefined> {
	const { rows } = await db.query<{ body: Team }>('select body from team where id = $1', [teamId]);
	return rows[0]?.body;
}

/** Puts a team in the place of the one with its id. */
export async function updateTeam(db: Queryable, team: Team): Promise<void> {
	await db.query('update team set body = $2::jsonb where id = $1', [team.id, JSON.stringify(team)]);
}

/** The seasons of a team in order of time. */
export async function listSeasons(db: Queryable, teamId: string): Promise<Season[]> {
	const { rows } = await db.query<Season & { plan: Partial<Season> }>(
		`select id, name, first_day::text as "firstDay", weeks, plan from season
		 where team_id = $1 order by first_day, id`,
		[teamId]
	);
	return rows.map(({ plan, ...season }) => ({ ...season, ...plan }));
}
