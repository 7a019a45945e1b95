import { dayAt } from '$core/conditions';
import type { Queryable } from './database';
import { findTeam } from './repositories/teams';

/** What the time is, for everything that asks. */
export interface Clock {
	now(): Date;
	/** Today in an IANA time zone: `2027-04-06`. */
	today(timeZone: string): string;
	/** The day that all teams stand still on; undefined where time passes. */
	fixedDay: string | undefined;
}

/** The clock of the machine, or one that stands still on a day. */
export function clockOf(fixedDay: string | undefined): Clock {
	return {
		now: () => new Date(),
		today: (timeZone) => fixedDay ?? dayAt(Date.now(), timeZone),
		fixedDay
	};
}

/** Today for a team: the day that it stands still on, as a demo does, else the clock's in its time zone. */
export async function todayFor(
	db: Queryable,
	{ clock, teamId }: { clock: Clock; teamId: string }
): Promise<string> {
	const team = await findTeam(db, teamId);
	return clock.fixedDay ?? team?.today ?? clock.today(team?.timeZone ?? 'UTC');
}
