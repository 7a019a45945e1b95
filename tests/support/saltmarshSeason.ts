import { demoDb } from './database';
import type { Season } from '$core/model/season';
import type { Db } from '$lib/server/database';
import { listSeasons } from '$lib/server/repositories/teams';
import { changeSeason } from '$lib/server/usecases/season/changeSeason';
import { movePractice, turnPractices } from '$lib/server/usecases/season/turnPractice';

export const teamId = 'saltmarsh';
export const seasonId = 'spring-2027';
export const today = '2027-04-06';
export const days = { first: '2027-03-01', last: '2027-06-06' };

/** A row of the ledger with the state and the day of its practice. */
export interface StoredRow {
	practice: string;
	state: string;
	date: string;
	/** The state of the practice. */
	of: string;
	/** The day of the practice. */
	on: string;
	archived: boolean;
	player: string;
	unit: string | null;
	skill: string;
	focus: string;
	seconds: number;
}

/** Saltmarsh's season in a database of its own, and what a coach does with it. */
export async function saltmarshSeason() {
	const db: Db = await demoDb();
	return {
		db,
		seasonNow: async () =>
			(await listSeasons(db, teamId)).find(({ id }) => id === seasonId) as Season,
		change: (parts: Partial<Season>, base?: string) =>
			changeSeason(db, { teamId, seasonId, parts, ...(base && { base }) }),
		turn: (id: string, to: 'held' | 'planned' | 'cancelled') =>
			turnPractices(db, {
				...{ teamId, ids: [id], today },
				turn: { to, ...(to === 'cancelled' && { reason: 'Pitch frozen' }) }
			}),
		move: (id: string, to: object) => movePractice(db, { teamId, id, to, today }),
		/** All rows of the ledger of people who are in the team, as they are stored. */
		allRows: async () =>
			(
				await db.query<StoredRow>(
					`select l.practice_id as practice, l.state, l.date::text as date, p.state as "of",
						p.date::text as "on", p.archived, l.player_id as player, l.skill, l.focus,
						l.seconds::float8 as seconds,
						(select unit from person_unit u where u.team_id = l.team_id and u.person_id = l.player_id
						 order by since desc limit 1) as unit
					 from ledger l join practice p on p.team_id = l.team_id and p.id = l.practice_id
					 join person o on o.team_id = l.team_id and o.id = l.player_id
					 where l.team_id = $1`,
					[teamId]
				)
			).rows
	};
}
