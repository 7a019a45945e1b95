import type { CostSum, RungRun } from '$core/season';
import type { Queryable } from '../database';
import type { SeasonDays } from './season';

/** What counts of a practice that is not archived: of one that was held what was done, of one to come its plan. */
const COUNTS = `not p.archived and ((p.state = 'held' and g.state = 'done')
	or (p.state = 'planned' and g.state = 'planned'))`;

/** One JSON text of a query: thousands of rows one by one take several times as long. */
async function readText(db: Queryable, sql: string, values: readonly unknown[]): Promise<string> {
	const { rows } = await db.query<{ text: string | null }>(sql, [...values]);
	return rows[0].text ?? '[]';
}

/** Rows of a query, which travel as one JSON text. */
const readJson = async <Row>(
	db: Queryable,
	sql: string,
	values: readonly unknown[]
): Promise<Row[]> =>
	JSON.parse(await readText(db, `select json_agg(q)::text as text from (${sql}) q`, values));

/** Sums packed as `unpackSums` reads them, of a query that gives them. */
const packed = (sql: string) =>
	`select json_agg(json_build_array(practice, skill, (focus = 'main')::int, unit, seconds))::text as text
	 from (${sql}) q`;

/**
 * What the players of each unit had, or are to have, of each skill in the practices between two days: seconds
 * of all of them together, packed. Only players who are in the team now, each of the unit that is theirs now.
 */
export const sumSkills = (
	db: Queryable,
	teamId: string,
	{ first, last }: SeasonDays
): Promise<string> =>
	readText(
		db,
		packed(`select g.practice_id as practice, g.skill, g.focus, g.unit, sum(g.seconds) as seconds
		 from given g join practice p on p.team_id = g.team_id and p.id = g.practice_id
		 where g.team_id = $1 and p.date between $2::date and $3::date and ${COUNTS}
		 group by g.practice_id, g.skill, g.focus, g.unit`),
		[teamId, first, last]
	);

/** What a player had, or is to have, of a skill from a drill on a rung in a practice. */
export interface PlayerRow {
	practice: string;
	date: string;
	drill: string;
	rung: string | null;
	skill: string;
	focus: 'main' | 'second';
	seconds: number;
	isDone: boolean;
}

/** What one player had, or is to have, in the practices between two days: one way through the rows for all of it. */
export const readOfPlayer = (
	db: Queryable,
	teamId: string,
	{ first, last, player }: SeasonDays & { player: string }
): Promise<PlayerRow[]> =>
	readJson(
		db,
		`select g.practice_id as practice, p.date::text as date, g.drill_id as drill, g.rung, g.skill, g.focus,
			sum(g.seconds::float8) as seconds, g.state = 'done' as "isDone"
		 from ledger g join practice p on p.team_id = g.team_id and p.id = g.practice_id
		 where g.team_id = $1 and g.player_id = $4 and p.date between $2::date and $3::date and ${COUNTS}
		 group by g.practice_id, p.date, g.drill_id, g.rung, g.skill, g.focus, g.state`,
		[teamId, first, last, player]
	);

/** Seconds that each player of the team had of each skill in the practices that were held between two days. */
export const sumByPlayer = (
	db: Queryable,
	teamId: string,
	{ first, last }: SeasonDays
): Promise<{ player: string; skill: string; seconds: number }[]> =>
	readJson(
		db,
		`select g.player_id as player, g.skill, sum(g.seconds::float8) as seconds
		 from ledger g join practice p on p.team_id = g.team_id and p.id = g.practice_id
		 join person o on o.team_id = g.team_id and o.id = g.player_id
		 where g.team_id = $1 and g.state = 'done' and p.state = 'held' and not p.archived
			and p.date between $2::date and $3::date
		 group by g.player_id, g.skill`,
		[teamId, first, last]
	);

/** What practices cost the players of each unit: load (minutes times effort) and minutes of hard contact. */
export const sumCosts = (
	db: Queryable,
	teamId: string,
	{ first, last }: SeasonDays
): Promise<CostSum[]> =>
	readJson(
		db,
		`select p.id as practice, u.unit, sum((c.value ->> 0)::float8) as load,
			sum((c.value ->> 1)::float8) as contact
		 from practice p cross join lateral jsonb_each(p.cost) c (player, value)
		 join person o on o.team_id = p.team_id and o.id = c.player
		 left join (
			select distinct on (person_id) person_id, unit from person_unit
			where team_id = $1 order by person_id, since desc
		 ) u on u.person_id = c.player
		 where p.team_id = $1 and p.date between $2::date and $3::date and not p.archived
			and p.state <> 'cancelled'
		 group by p.id, u.unit`,
		[teamId, first, last]
	);

/** Drills and rungs in the practices that were held between two days, by unit. */
export const listRuns = (
	db: Queryable,
	teamId: string,
	{ first, last }: SeasonDays
): Promise<RungRun[]> =>
	readJson(
		db,
		`select distinct g.practice_id as practice, p.date::text as date, g.drill_id as drill, g.rung, g.unit
		 from given g join practice p on p.team_id = g.team_id and p.id = g.practice_id
		 where g.team_id = $1 and g.state = 'done' and p.state = 'held' and not p.archived
			and p.date between $2::date and $3::date`,
		[teamId, first, last]
	);

/** Which drills practices between two days ran, or are planned to run where they were not held: each drill of a practice once. */
export const listDrillDays = (
	db: Queryable,
	teamId: string,
	{ first, last }: SeasonDays
): Promise<{ drill: string; date: string; start: string }[]> =>
	readJson(
		db,
		`select distinct g.drill_id as drill, p.date::text as date, p.start
		 from ledger g join practice p on p.team_id = g.team_id and p.id = g.practice_id
		 where g.team_id = $1 and p.date between $2::date and $3::date and ${COUNTS}`,
		[teamId, first, last]
	);

/** Turns by drill and side in the practices that were held between two days. */
export const sumSides = (
	db: Queryable,
	teamId: string,
	{ first, last }: SeasonDays
): Promise<{ practice: string; date: string; drill: string; side: string; turns: number }[]> =>
	readJson(
		db,
		`select g.practice_id as practice, p.date::text as date, g.drill_id as drill, g.side,
			sum(g.turns) as turns
		 from given g join practice p on p.team_id = g.team_id and p.id = g.practice_id
		 where g.team_id = $1 and g.state = 'done' and p.state = 'held' and g.focus = 'main'
			and g.side is not null and not p.archived and p.date between $2::date and $3::date
		 group by g.practice_id, p.date, g.drill_id, g.side`,
		[teamId, first, last]
	);

/** What practices cost one player, of the unit that is theirs. */
export const sumCostsOf = (
	db: Queryable,
	teamId: string,
	{ first, last, player, unit }: SeasonDays & { player: string; unit: string | null }
): Promise<CostSum[]> =>
	readJson(
		db,
		`select id as practice, $5::text as unit, (cost -> $4 ->> 0)::float8 as load,
			(cost -> $4 ->> 1)::float8 as contact
		 from practice where team_id = $1 and date between $2::date and $3::date and not archived
			and state <> 'cancelled' and cost ? $4`,
		[teamId, first, last, player, unit]
	);
