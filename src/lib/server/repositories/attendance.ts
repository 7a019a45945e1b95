import type { Attendance } from '$core/model/attendance';
import type { Queryable } from '../database';

/** What was said of how people came to the practices of a team, or to these of them, in order of time. */
export async function listAttendance(
	db: Queryable,
	teamId: string,
	practices?: readonly string[]
): Promise<Attendance[]> {
	const { rows } = await db.query<
		Pick<Attendance, 'practice' | 'person' | 'state'> & {
			minutes: number | null;
			reason: string | null;
		}
	>(
		`select a.practice_id as practice, a.person_id as person, a.state, a.minutes, a.reason
		 from attendance a join practice p on p.team_id = a.team_id and p.id = a.practice_id
		 where a.team_id = $1 and ($2::text[] is null or a.practice_id = any($2::text[]))
		 order by p.date, p.start, a.practice_id, a.person_id`,
		[teamId, practices ?? null]
	);
	return rows.map(({ minutes, reason, ...row }) => ({
		...row,
		...(minutes !== null && { minutes }),
		...(reason !== null && { reason })
	}));
}

/** Adds rows; the people and the practices must be there. */
export async function insertAttendance(
	tx: Queryable,
	teamId: string,
	rows: readonly Attendance[]
): Promise<void> {
	await tx.query(
		`insert into attendance (team_id, practice_id, person_id, state, minutes, reason)
		 select $1, practice, person, state, minutes, reason
		 from jsonb_to_recordset($2::jsonb) as a (practice text, person text, state text, minutes int,
			reason text)`,
		[teamId, JSON.stringify(rows)]
	);
}

/** Takes away what was said of these people at a practice. */
export async function removeAttendance(
	tx: Queryable,
	{ teamId, id }: { teamId: string; id: string },
	people: readonly string[]
): Promise<void> {
	await tx.query(
		`delete from attendance
		 where team_id = $1 and practice_id = $2 and person_id = any($3::text[])`,
		[teamId, id, people]
	);
}
