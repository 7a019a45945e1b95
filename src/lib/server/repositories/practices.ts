import type { Practice } from '$core/model/practice';
import type { PracticeState } from '$core/model/exportFiles';
import type { SentEdit } from '$core/practice';
import type { PracticeFacts } from '$core/season';
import type { Queryable } from '../database';

/** A practice as it is stored: the document and the number of its state. */
export interface StoredPractice {
	revision: number;
	practice: Practice;
}

const ONE_PRACTICE = 'select revision, body from practice where team_id = $1 and id = $2';

async function readPractice(
	db: Queryable,
	sql: string,
	values: readonly string[]
): Promise<StoredPractice | undefined> {
	const { rows } = await db.query<{ revision: number; body: Practice }>(sql, values);
	return rows[0] && { revision: rows[0].revision, practice: rows[0].body };
}

/** The practice, or undefined where the team has none of this id. */
export async function findPractice(
	db: Queryable,
	teamId: string,
	id: string
): Promise<StoredPractice | undefined> {
	return readPractice(db, ONE_PRACTICE, [teamId, id]);
}

/** The practice as `findPractice` gives it; nobody else writes it until the transaction ends. */
export async function lockPractice(
	tx: Queryable,
	teamId: string,
	id: string
): Promise<StoredPractice | undefined> {
	return readPractice(tx, `${ONE_PRACTICE} for update`, [teamId, id]);
}

/** A practice in a list: the document, whether it was held, and whether it is archived. */
export interface ListedPractice {
	practice: Practice;
	isDone: boolean;
	isArchived: boolean;
}

/** All practices of a team in order of time, those archived too. */
export async function listPractices(db: Queryable, teamId: string): Promise<ListedPractice[]> {
	const { rows } = await db.query<{ body: Practice; held: boolean; archived: boolean }>(
		`select body, archived, state = 'held' as held from practice
		 where team_id = $1 order by date, start, id`,
		[teamId]
	);
	return rows.map(({ body, held, archived }) => ({
		practice: body,
		isDone: held,
		isArchived: archived
	}));
}

/** The practices of a team from a day on that are planned: not held, cancelled or archived; in order of time. */
export async function listPlanned(
	db: Queryable,
	teamId: string,
	from: string
): Promise<StoredPractice[]> {
	const { rows } = await db.query<{ revision: number; body: Practice }>(
		`select revision, body from practice
		 where team_id = $1 and not archived and state = 'planned' and practice.date >= $2
		 order by practice.date, start, id`,
		[teamId, from]
	);
	return rows.map(({ revision, body }) => ({ revision, practice: body }));
}

/** A practice with those who are planned with, without its periods. */
export type ComingPractice = Pick<
	Practice,
	'id' | 'date' | 'start' | 'expected' | 'adults' | 'late'
> & { isDone: boolean };

/** Who is planned with at the practices of a team that are not archived, in order of time. */
export async function listComing(db: Queryable, teamId: string): Promise<ComingPractice[]> {
	const { rows } = await db.query<
		Omit<ComingPractice, 'late'> & { late: ComingPractice['late'] | null }
	>(
		`select id, date::text as date, start, body -> 'expected' as expected, body -> 'adults' as adults,
			body -> 'late' as late, state = 'held' as "isDone"
		 from practice where team_id = $1 and not archived order by practice.date, start, id`,
		[teamId]
	);
	return rows.map(({ late, ...practice }) => ({ ...practice, ...(late && { late }) }));
}

/**
 * Those of a day from `from` on that come before a practice and are neither archived nor cancelled, in
 * order of time.
 */
export async function listComingBefore(
	db: Queryable,
	{ teamId, id, date, start }: Pick<Practice, 'teamId' | 'id' | 'date' | 'start'>,
	{ from }: { from: string }
): Promise<ComingPractice[]> {
	const { rows } = await db.query<ComingPractice>(
		`select id, date::text as date, start, body -> 'expected' as expected, body -> 'adults' as adults,
			state = 'held' as "isDone"
		 from practice where team_id = $1 and id <> $2 and date >= $5::date and date <= $3::date
			and (date < $3::date or start < $4) and not archived and state <> 'cancelled'
		 order by practice.date, start, id`,
		[teamId, id, date, start, from]
	);
	return rows;
}

/** How many practices a team has, those archived too. */
export async function countPractices(db: Queryable, teamId: string): Promise<number> {
	const { rows } = await db.query<{ count: number }>(
		'select count(*)::int as count from practice where team_id = $1',
		[teamId]
	);
	return rows[0].count;
}

/** Whether a practice is to come, was held or will not be; undefined where there is none. */
export async function findState(
	db: Queryable,
	teamId: string,
	id: string
): Promise<PracticeState | undefined> {
	const { rows } = await db.query<{ state: PracticeState }>(
		'select state from practice where team_id = $1 and id = $2',
		[teamId, id]
	);
	return rows[0]?.state;
}

/** Whether a practice was held. */
export const isHeld = async (db: Queryable, teamId: string, id: string): Promise<boolean> =>
	(await findState(db, teamId, id)) === 'held';

/**
 * Notes whether a practice is to come, was held or will not be, with the reason why it is cancelled. What
 * calendars are told of is counted: cancelling and calling back.
 */
export async function setState(
	tx: Queryable,
	{ teamId, id }: { teamId: string; id: string },
	{ state, reason = null }: { state: PracticeState; reason?: string | null }
): Promise<void> {
	await tx.query(
		`update practice set state = $3, cancelled_reason = $4,
			turnings = turnings + case when (state = 'cancelled') <> ($3 = 'cancelled') then 1 else 0 end
		 where team_id = $1 and id = $2`,
		[teamId, id, state, reason]
	);
}

/** How many practices are planned on a ground; those that name none are on the team's first. */
export async function countOnGround(
	db: Queryable,
	teamId: string,
	{ id, isFirst }: { id: string; isFirst: boolean }
): Promise<number> {
	const { rows } = await db.query<{ count: number }>(
		`select count(*)::int as count from practice where team_id = $1
			and (body ->> 'groundId' = $2 or ($3 and body ->> 'groundId' is null))`,
		[teamId, id, isFirst]
	);
	return rows[0].count;
}

/** Ids and days of a team's practices that are not archived, the newest first. */
export async function listDays(
	db: Queryable,
	teamId: string
): Promise<{ id: string; date: string }[]> {
	const { rows } = await db.query<{ id: string; date: string }>(
		`select id, date::text as date from practice
		 where team_id = $1 and not archived order by practice.date desc, start desc, id`,
		[teamId]
	);
	return rows;
}

/** In which practices that are not cancelled or archived some drills are, in order of time. */
export async function drillsIn(
	db: Queryable,
	teamId: string,
	drills: readonly string[]
): Promise<{ practice: string; date: string; drill: string }[]> {
	if (drills.length === 0) return [];
	const { rows } = await db.query<{ practice: string; date: string; drill: string }>(
		`select distinct p.id as practice, p.date::text as date, p.start, used.id #>> '{}' as drill
		 from practice p, jsonb_path_query(p.body, '$.periods[*].lanes[*].blocks[*].drill.id') as used (id)
		 where p.team_id = $1 and not p.archived and p.state <> 'cancelled' and used.id #>> '{}' = any($2)
		 order by date, p.start, practice`,
		[teamId, drills]
	);
	return rows.map(({ practice, date, drill }) => ({ practice, date, drill }));
}

/** When and where a team's practices that are not archived are, in order of time. */
export async function listPracticeFacts(db: Queryable, teamId: string): Promise<PracticeFacts[]> {
	const { rows } = await db.query<Omit<PracticeFacts, 'groundId'> & { ground: string | null }>(
		`select date::text as date, start, (body ->> 'minutes')::int as minutes, body ->> 'place' as place,
			body ->> 'groundId' as ground
		 from practice where team_id = $1 and not archived order by practice.date, start, id`,
		[teamId]
	);
	return rows.map(({ ground, ...facts }) => ({
		...facts,
		...(ground !== null && { groundId: ground })
	}));
}

/** The next practice from a day on that is not cancelled: which and when, or undefined where there is none. */
export async function nextPractice(
	db: Queryable,
	teamId: string,
	day: string
): Promise<Pick<Practice, 'id' | 'date' | 'start' | 'minutes'> | undefined> {
	const { rows } = await db.query<Pick<Practice, 'id' | 'date' | 'start' | 'minutes'>>(
		`select id, date::text as date, start, (body ->> 'minutes')::int as minutes from practice
		 where team_id = $1 and date >= $2::date and not archived and state <> 'cancelled'
		 order by practice.date, start, id limit 1`,
		[teamId, day]
	);
	return rows[0];
}

/** Adds a practice as revision 1; `slot` is that of the pattern that it is made for. */
export async function insertPractice(
	tx: Queryable,
	practice: Practice,
	slot: string | null = null
): Promise<void> {
	const { teamId, id, seasonId, date, start, format } = practice;
	await tx.query(
		`insert into practice (team_id, id, season_id, date, start, revision, format, body, slot)
		 values ($1, $2, $3, $4::date, $5, 1, $6, $7::jsonb, $8)`,
		[teamId, id, seasonId, date, start, format, JSON.stringify(practice), slot]
	);
}

/**
 * Replaces the state of revision `from` by the next; false where it is not the newest any more. What the
 * practice gave moves to its day; it still stands for the slot that it was on.
 */
export async function updatePractice(
	tx: Queryable,
	practice: Practice,
	from: number
): Promise<boolean> {
	const { teamId, id, date, start } = practice;
	const { affectedRows } = await tx.query(
		`update practice set body = $4::jsonb, date = $5::date, start = $6, revision = revision + 1,
			slot = case when (date, start) = ($5::date, $6) then slot
				else coalesce(slot, date::text || ' ' || start) end
		 where team_id = $1 and id = $2 and revision = $3`,
		[teamId, id, from, JSON.stringify(practice), date, start]
	);
	await tx.query(
		'update ledger set date = $3::date where team_id = $1 and practice_id = $2 and date <> $3::date',
		[teamId, id, date]
	);
	return affectedRows === 1;
}

/** Which of these edits the practice has had already. */
export async function knownEdits(
	db: Queryable,
	{ teamId, id }: { teamId: string; id: string },
	editIds: readonly string[]
): Promise<Set<string>> {
	const { rows } = await db.query<{ edit_id: string }>(
		`select edit_id from practice_edit
		 where team_id = $1 and practice_id = $2 and edit_id = any($3::text[])`,
		[teamId, id, editIds]
	);
	return new Set(rows.map((row) => row.edit_id));
}

/** Keeps edits that have been applied; they led to `revision`. */
export async function insertEdits(
	tx: Queryable,
	{ teamId, id, revision }: { teamId: string; id: string; revision: number },
	edits: readonly SentEdit[]
): Promise<void> {
	await tx.query(
		`insert into practice_edit (team_id, practice_id, edit_id, revision, body)
		 select $1, $2, id, $3, edit from jsonb_to_recordset($4::jsonb) as e (id text, edit jsonb)`,
		[teamId, id, revision, JSON.stringify(edits)]
	);
}

/** Puts a practice away, or takes it out again; false where the team has none of this id. */
export async function setArchived(
	db: Queryable,
	{ teamId, id, archived }: { teamId: string; id: string; archived: boolean }
): Promise<boolean> {
	const { affectedRows } = await db.query(
		'update practice set archived = $3 where team_id = $1 and id = $2',
		[teamId, id, archived]
	);
	return affectedRows === 1;
}
