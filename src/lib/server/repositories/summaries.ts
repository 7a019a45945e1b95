import type { Practice } from '$core/model/practice';
import type { PracticeState } from '$core/model/exportFiles';
import type { Cost, PracticeSummary } from '$core/playing';
import type { Queryable } from '../database';

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
