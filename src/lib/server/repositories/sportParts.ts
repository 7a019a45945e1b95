import type { Queryable } from '../database';

/** How many players are of a unit, on any day, and how many adults look after it. */
export async function usersOfUnit(db: Queryable, teamId: string, unit: string): Promise<number> {
	const { rows } = await db.query<{ count: number }>(
		`select count(*)::int as count from person p where p.team_id = $1 and (
			p.units @> to_jsonb(array[$2::text]) or exists (select 1 from person_unit u
				where u.team_id = p.team_id and u.person_id = p.id and u.unit = $2))`,
		[teamId, unit]
	);
	return rows[0]?.count ?? 0;
}

/** How many drills of the shelf train a skill area, on any rung, and how many players are rated in it. */
export async function usersOfArea(
	db: Queryable,
	teamId: string,
	area: string
): Promise<{ drills: number; ratings: number }> {
	const { rows } = await db.query<{ drills: number; ratings: number }>(
		`select
			(select count(*)::int from drill_revision d where d.team_id = $1
				and d.revision = (select max(n.revision) from drill_revision n
					where n.team_id = d.team_id and n.drill_id = d.drill_id)
				and not exists (select 1 from archived_drill a
					where a.team_id = d.team_id and a.drill_id = d.drill_id)
				and exists (select 1 from jsonb_path_query(d.body, '$.**.skill') s
					where s #>> '{}' = $2 or s #>> '{}' like $3)) as drills,
			(select count(distinct person_id)::int from rating
				where team_id = $1 and skill = $2 and rating is not null) as ratings`,
		[teamId, area, `${area.replaceAll('_', '\\_')}/%`]
	);
	return rows[0] ?? { drills: 0, ratings: 0 };
}
