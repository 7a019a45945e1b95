import type { Push, Ruling, Tally } from '$core/model/ladders';
import type { Season } from '$core/model/season';
import type { PracticeState } from '$core/model/exportFiles';
import type { Practice } from '$core/model/practice';
import type { PracticeSummary } from '$core/playing';
import type { CostSum, DatedTally, RungRun } from '$core/season';
import type { Queryable } from '../database';

/** A practice of a season without its document. */
export interface SeasonPractice {
	id: string;
	date: string;
	start: string;
	minutes: number;
	place: string;
	state: PracticeState;
	/** Why it is cancelled; null where it is not, or where nothing was said. */
	reason: string | null;
	/** The slot of a pattern that it was made for. */
	slot: string | null;
	/** Null while it is being worked out anew. */
	summary: PracticeSummary | null;
}

/** Days of a season, both included. */
export interface SeasonDays {
	first: string;
	last: string;
}

/** Practices of a team between two days that are not archived, in order of time. */
export async function listSeasonPractices(
	db: Queryable,
	teamId: string,
	{ first, last }: SeasonDays
): Promise<SeasonPractice[]> {
	const { rows } = await db.query<SeasonPractice>(
		`select id, date::text as date, start, (body ->> 'minutes')::int as minutes, body ->> 'place' as place,
			state, cancelled_reason as reason, slot, summary
		 from practice where team_id = $1 and date between $2::date and $3::date and not archived
		 order by practice.date, start, id`,
		[teamId, first, last]
	);
	return rows;
}

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

const TALLY = `t.practice_id as practice, t.drill_id as drill, t.rung, t.judge, t.whom, t.whom_id as "whomId",
	t.clean, t.tries`;

/** Takes a whom away that is null: the squad has no id. */
const named = <Row extends { whomId?: string | null }>({ whomId, ...row }: Row) => ({
	...row,
	...(whomId != null && { whomId })
});

/**
 * What was counted in the practices of a team, in order of time: in all of them, or in those that were held
 * between two days.
 */
export async function listTallies(
	db: Queryable,
	teamId: string,
	days?: SeasonDays
): Promise<DatedTally[]> {
	const { rows } = await db.query<DatedTally & { whomId: string | null }>(
		`select ${TALLY}, p.date::text as date
		 from tally t join practice p on p.team_id = t.team_id and p.id = t.practice_id
		 where t.team_id = $1 and ($2::date is null
			or (p.date between $2::date and $3::date and p.state = 'held' and not p.archived))
		 order by p.date, p.start, p.id, t.drill_id, t.rung nulls first, t.judge, t.whom, t.whom_id`,
		[teamId, days?.first ?? null, days?.last ?? null]
	);
	return rows.map((row) => named(row) as DatedTally);
}

/** What was counted in one practice. */
export async function listTalliesIn(
	db: Queryable,
	teamId: string,
	practice: string
): Promise<Tally[]> {
	const { rows } = await db.query<Tally & { whomId: string | null }>(
		`select ${TALLY} from tally t where t.team_id = $1 and t.practice_id = $2
		 order by t.drill_id, t.rung nulls first, t.judge, t.whom, t.whom_id`,
		[teamId, practice]
	);
	return rows.map((row) => named(row) as Tally);
}

/** Adds tallies; the practices must be there. */
export async function insertTallies(
	tx: Queryable,
	teamId: string,
	tallies: readonly Tally[]
): Promise<void> {
	await tx.query(
		`insert into tally (team_id, practice_id, drill_id, rung, judge, whom, whom_id, clean, tries)
		 select $1, practice, drill, rung, judge, whom, "whomId", clean, tries
		 from jsonb_to_recordset($2::jsonb) as t (practice text, drill text, rung text, judge text, whom text,
			"whomId" text, clean int, tries int)`,
		[teamId, JSON.stringify(tallies)]
	);
}

/** Takes away what was counted in a practice. */
export async function removeTallies(
	tx: Queryable,
	teamId: string,
	practice: string
): Promise<void> {
	await tx.query('delete from tally where team_id = $1 and practice_id = $2', [teamId, practice]);
}

/** Where advice was overruled, in order of time. */
export async function listRulings(db: Queryable, teamId: string): Promise<Ruling[]> {
	const { rows } = await db.query<Ruling & { whomId: string | null }>(
		`select drill_id as drill, whom, whom_id as "whomId", date::text as date, rung, advice, chosen, reason
		 from ruling where team_id = $1 order by ruling.date, drill_id, whom, whom_id`,
		[teamId]
	);
	return rows.map((row) => named(row) as Ruling);
}

/** Keeps rulings, each in the place of the same day's of the same drill and people. */
export async function saveRulings(
	tx: Queryable,
	teamId: string,
	rulings: readonly Ruling[]
): Promise<void> {
	await tx.query(
		`insert into ruling (team_id, drill_id, whom, whom_id, date, rung, advice, chosen, reason)
		 select $1, drill, whom, "whomId", date, rung, advice, chosen, reason
		 from jsonb_to_recordset($2::jsonb) as r (drill text, whom text, "whomId" text, date date, rung text,
			advice text, chosen text, reason text)
		 on conflict (team_id, drill_id, whom, whom_id, date) do update set
			rung = excluded.rung, advice = excluded.advice, chosen = excluded.chosen, reason = excluded.reason`,
		[teamId, JSON.stringify(rulings)]
	);
}

/** Takes a ruling away: the tallies advise again. */
export async function removeRuling(
	tx: Queryable,
	teamId: string,
	{ drill, date, whom, whomId }: Pick<Ruling, 'drill' | 'date' | 'whom' | 'whomId'>
): Promise<void> {
	await tx.query(
		`delete from ruling where team_id = $1 and drill_id = $2 and date = $3::date and whom = $4
			and whom_id is not distinct from $5`,
		[teamId, drill, date, whom, whomId ?? null]
	);
}

/** What was said of skills that are due, of all seasons of a team or of one. */
export async function listPushes(
	db: Queryable,
	teamId: string,
	season: string | null = null
): Promise<Push[]> {
	const { rows } = await db.query<Push & { unit: string | null; day: string | null }>(
		`select season_id as season, skill, unit, push, day::text as day, since::text as since from due_push
		 where team_id = $1 and ($2::text is null or season_id = $2) order by season_id, skill, unit`,
		[teamId, season]
	);
	return rows.map(({ unit, day, ...push }) => ({
		...push,
		...(unit !== null && { unit }),
		...(day !== null && { day })
	}));
}

/** Keeps what was said of a skill, in the place of what was said before. */
export async function savePush(tx: Queryable, teamId: string, push: Push): Promise<void> {
	await removePush(tx, teamId, push);
	await tx.query(
		`insert into due_push (team_id, season_id, skill, unit, push, day, since)
		 values ($1, $2, $3, $4, $5, $6::date, $7::date)`,
		[teamId, push.season, push.skill, push.unit ?? null, push.push, push.day ?? null, push.since]
	);
}

/** Takes away what was said of a skill. */
export async function removePush(
	tx: Queryable,
	teamId: string,
	{ season, skill, unit }: Pick<Push, 'season' | 'skill' | 'unit'>
): Promise<void> {
	await tx.query(
		`delete from due_push where team_id = $1 and season_id = $2 and skill = $3
			and unit is not distinct from $4`,
		[teamId, season, skill, unit ?? null]
	);
}

/** Puts a season in the place of the one with its id, or adds it. */
export async function saveSeason(
	tx: Queryable,
	teamId: string,
	{ id, name, firstDay, weeks, ...plan }: Season
): Promise<void> {
	await tx.query(
		`insert into season (team_id, id, name, first_day, weeks, plan)
		 values ($1, $2, $3, $4::date, $5, $6::jsonb)
		 on conflict (team_id, id) do update set name = excluded.name, first_day = excluded.first_day,
			weeks = excluded.weeks, plan = excluded.plan`,
		[teamId, id, name, firstDay, weeks, JSON.stringify(plan)]
	);
}

/** When the practices of a team between two days are and which slots they were made for, cancelled and archived ones too. */
export async function listSlots(
	db: Queryable,
	teamId: string,
	{ first, last }: SeasonDays
): Promise<Pick<SeasonPractice, 'date' | 'start' | 'slot'>[]> {
	const { rows } = await db.query<Pick<SeasonPractice, 'date' | 'start' | 'slot'>>(
		`select date::text as date, start, slot from practice
		 where team_id = $1 and (date between $2::date and $3::date or slot between $4 and $5)`,
		[teamId, first, last, first, `${last} 99`]
	);
	return rows;
}

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

/** A practice as calendars are told of it. */
export interface CalendarRow {
	practice: Practice;
	revision: number;
	/** How often it was cancelled or called back. */
	turnings: number;
	state: PracticeState;
}

/** Practices for a calendar file that are not archived: one, or all between two days, in order of time. */
export async function listForCalendar(
	db: Queryable,
	teamId: string,
	{ id, first, last }: { id?: string } & Partial<SeasonDays>
): Promise<CalendarRow[]> {
	const { rows } = await db.query<CalendarRow>(
		`select body as practice, revision, turnings, state from practice
		 where team_id = $1 and not archived and ($2::text is null or id = $2)
			and ($3::date is null or date between $3::date and $4::date)
		 order by date, start, id`,
		[teamId, id ?? null, first ?? null, last ?? null]
	);
	return rows;
}
