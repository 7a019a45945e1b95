import { rollup } from 'd3-array';
import type { Practice } from '$core/model/practice';
import type { PracticeState } from '$core/model/exportFiles';
import type { Cost, PracticeSummary } from '$core/playing';
import type { SentEdit } from '$core/practice';
import type { LedgerRow, PracticeFacts } from '$core/season';
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

/** Planned practices of a team from a day on, but for one, are to be played again. */
export async function forgetSummariesFrom(
	tx: Queryable,
	{ teamId, id, date }: Pick<Practice, 'teamId' | 'id' | 'date'>
): Promise<void> {
	await tx.query(
		`update practice set summary = null where team_id = $1 and id <> $2 and date >= $3::date
			and state = 'planned' and summary is not null`,
		[teamId, id, date]
	);
}

/** A practice in a list without its document. */
export interface SummedPractice {
	id: string;
	date: string;
	start: string;
	place: string;
	state: PracticeState;
	isArchived: boolean;
	/** Null where it has to be played again. */
	summary: PracticeSummary | null;
}

/** The newest practices of a team as lists show them, `most` at most, in order of time. */
export async function listSummed(
	db: Queryable,
	teamId: string,
	most: number = Infinity
): Promise<SummedPractice[]> {
	const { rows } = await db.query<SummedPractice>(
		`select id, date::text as date, start, body ->> 'place' as place, state,
			archived as "isArchived", summary
		 from practice where team_id = $1 order by practice.date desc, start desc, id desc limit $2`,
		[teamId, Number.isFinite(most) ? most : null]
	);
	return rows.reverse();
}

/** How many practices a team has, those archived too. */
export async function countPractices(db: Queryable, teamId: string): Promise<number> {
	const { rows } = await db.query<{ count: number }>(
		'select count(*)::int as count from practice where team_id = $1',
		[teamId]
	);
	return rows[0].count;
}

/**
 * Practices of a team that have no summary, and how many there are beside them: those to come in order of time,
 * empty ones last, then those that were held, the latest first.
 */
export async function listUnsummed(
	db: Queryable,
	teamId: string,
	most: number
): Promise<{ practices: Practice[]; left: number }> {
	const { rows } = await db.query<{ body: Practice; count: number }>(
		`select body, count(*) over ()::int as count from practice
		 where team_id = $1 and summary is null
		 order by state = 'held', body -> 'periods' = '[]',
			(date - '2000-01-01'::date) * case when state = 'held' then -1 else 1 end, start, id
		 limit $2`,
		[teamId, most]
	);
	return {
		practices: rows.map(({ body }) => body),
		left: (rows[0]?.count ?? 0) - rows.length
	};
}

/** How many practices of a team have no summary. */
export async function countUnsummed(db: Queryable, teamId: string): Promise<number> {
	const { rows } = await db.query<{ count: number }>(
		'select count(*)::int as count from practice where team_id = $1 and summary is null',
		[teamId]
	);
	return rows[0].count;
}

/** Keeps what lists show of a practice; what it costs its players where that is given. */
export async function setSummary(
	tx: Queryable,
	{ teamId, id }: { teamId: string; id: string },
	{ summary, cost }: { summary: PracticeSummary; cost: Record<string, Cost> }
): Promise<void> {
	await tx.query(
		`update practice set summary = $3::jsonb, cost = $4::jsonb where team_id = $1 and id = $2`,
		[teamId, id, JSON.stringify(summary), JSON.stringify(cost)]
	);
}

/** Keeps what a practice cost those who came. */
export async function setCost(
	tx: Queryable,
	{ teamId, id }: { teamId: string; id: string },
	cost: Record<string, Cost>
): Promise<void> {
	await tx.query('update practice set cost = $3::jsonb where team_id = $1 and id = $2', [
		teamId,
		id,
		JSON.stringify(cost)
	]);
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

/** Takes away what a practice is planned to give, or gave. */
export async function removeLedger(
	tx: Queryable,
	{ teamId, id }: { teamId: string; id: string },
	state: 'planned' | 'done'
): Promise<void> {
	await tx.query('delete from ledger where team_id = $1 and practice_id = $2 and state = $3', [
		teamId,
		id,
		state
	]);
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

/** The rows of each block as text, to see which have changed. */
const byBlock = (rows: readonly LedgerRow[]): Map<string, string> =>
	rollup(
		rows,
		(own) => JSON.stringify(own),
		({ block }) => block
	);

/**
 * Writes what a practice gives, planned or done, in the place of what was written so before. Where `before`
 * says what that was, only the blocks whose rows differ are written.
 */
export async function replaceLedger(
	tx: Queryable,
	{ teamId, id }: { teamId: string; id: string },
	{
		state,
		rows,
		before
	}: { state: 'planned' | 'done'; rows: readonly LedgerRow[]; before?: readonly LedgerRow[] }
): Promise<void> {
	const [was, is] = [byBlock(before ?? []), byBlock(rows)];
	const isSame = (block: string) => was.get(block) === is.get(block);
	const changed =
		before && [...new Set([...was.keys(), ...is.keys()])].filter((block) => !isSame(block));
	if (changed?.length === 0) return;
	await tx.query(
		`delete from ledger where team_id = $1 and practice_id = $2 and state = $3
			and ($4::text[] is null or block_id = any($4::text[]))`,
		[teamId, id, state, changed ?? null]
	);
	const written = before ? rows.filter(({ block }) => !isSame(block)) : rows;
	await tx.query(
		`insert into ledger (team_id, practice_id, period_id, block_id, drill_id, drill_revision, rung,
			side, player_id, unit, date, skill, focus, seconds, active_seconds, turns, opposed, state)
		 select $1, $2, period, block, drill, revision, rung, side, player, unit, date, skill, focus, seconds,
			"activeSeconds", turns, opposed, $4
		 from jsonb_to_recordset($3::jsonb) as l (period text, block text, drill text, revision int,
			rung text, side text, player text, unit text, date date, skill text, focus text, seconds real,
			"activeSeconds" real, turns real, opposed boolean)`,
		[teamId, id, JSON.stringify(written), state]
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
