import type { Season } from '$core/model/season';
import type { PracticeState } from '$core/model/exportFiles';
import type { Practice } from '$core/model/practice';
import type { DatedPractice } from '$core/scene';
import type { PracticeSummary } from '$core/playing';
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

/** When the practices of a team between two days are, and whether they will be: those not archived, in order of time. */
export async function listDated(
	db: Queryable,
	teamId: string,
	{ first, last }: SeasonDays
): Promise<DatedPractice[]> {
	const { rows } = await db.query<DatedPractice>(
		`select id, date::text as date, start, state = 'cancelled' as "isCancelled"
		 from practice where team_id = $1 and date between $2::date and $3::date and not archived
		 order by practice.date, start, id`,
		[teamId, first, last]
	);
	return rows;
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
