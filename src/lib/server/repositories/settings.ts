import type { KitItem } from '$core/model/team';
import type { Limits } from '$core/model/limits';
import { ALWAYS, type Dated } from '$core/model/teamHistory';
import { heldOn } from '$core/practice';
import type { Queryable } from '../database';

/** What a team sets and may set otherwise from a later day on. */
export interface Settings {
	kit: KitItem[];
	/** What it has of its own among the limits. */
	limits: Partial<Limits>;
}

/** All that a team ever set of one kind, in order of time. */
export async function listSettings<What extends keyof Settings>(
	db: Queryable,
	teamId: string,
	what: What
): Promise<Dated<Settings[What]>[]> {
	const { rows } = await db.query<Dated<Settings[What]>>(
		`select since::text as since, body as value from dated_setting
		 where team_id = $1 and what = $2 order by dated_setting.since`,
		[teamId, what]
	);
	return rows;
}

/** The kit of a team on a day, in its order. */
export const findKit = async (db: Queryable, teamId: string, day: string): Promise<KitItem[]> =>
	heldOn(await listSettings(db, teamId, 'kit'), day) ?? [];

/** What a team has of its own among the limits on a day. */
export const findLimits = async (
	db: Queryable,
	teamId: string,
	day: string
): Promise<Partial<Limits>> => heldOn(await listSettings(db, teamId, 'limits'), day) ?? {};

/** Sets something from a day on, or for always. */
export async function saveSetting<What extends keyof Settings>(
	tx: Queryable,
	teamId: string,
	{ what, value, since = ALWAYS }: { what: What; value: Settings[What]; since?: string }
): Promise<void> {
	await tx.query(
		`insert into dated_setting (team_id, what, since, body) values ($1, $2, $3::date, $4::jsonb)
		 on conflict (team_id, what, since) do update set body = excluded.body`,
		[teamId, what, since, JSON.stringify(value)]
	);
}
