import type { Push, Ruling, Tally } from '$core/model/ladders';
import type { DatedTally } from '$core/season';
import type { Queryable } from '../database';
import type { SeasonDays } from './season';

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
