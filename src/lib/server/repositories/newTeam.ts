import type { Surroundings } from '$core/model/bundle';
import type { Drill } from '$core/model/drill';
import type { Queryable } from '../database';

const json = JSON.stringify;

async function insertPeople(tx: Queryable, { team, season, players, adults }: Surroundings) {
	const people = [
		...players.map((player) => ({ ...player, kind: 'player' })),
		...adults.map((adult) => ({ ...adult, kind: 'adult' }))
	].map((person, place) => ({ ...person, place }));
	await tx.query(
		`insert into person (team_id, id, kind, place, name, number, usually_late, role, units, days, restrictions)
		 select $1, id, kind, place, name, number, coalesce("usuallyLate", false), role, units, days, restrictions
		 from jsonb_to_recordset($2::jsonb) as p (id text, kind text, place int, name text, number int,
			"usuallyLate" boolean, role text, units jsonb, days jsonb, restrictions jsonb)`,
		[team.id, json(people)]
	);
	const units = players.flatMap(({ id, unit }) => (unit === undefined ? [] : [{ id, unit }]));
	await tx.query(
		`insert into person_unit (team_id, person_id, since, unit)
		 select $1, id, $3::date, unit from jsonb_to_recordset($2::jsonb) as u (id text, unit text)`,
		[team.id, json(units), season.firstDay]
	);
	const ratings = players.flatMap(({ id, ratings = {} }) =>
		Object.entries(ratings).map(([skill, rating]) => ({ id, skill, rating }))
	);
	await tx.query(
		`insert into rating (team_id, person_id, skill, since, rating)
		 select $1, id, skill, $3::date, rating
		 from jsonb_to_recordset($2::jsonb) as r (id text, skill text, rating real)`,
		[team.id, json(ratings), season.firstDay]
	);
}

/** Adds a drill at its revision (1 where it names none). */
export async function insertDrill(tx: Queryable, teamId: string, drill: Drill): Promise<void> {
	const revision = drill.revision ?? 1;
	await tx.query(
		'insert into drill_revision (team_id, drill_id, revision, body) values ($1, $2, $3, $4::jsonb)',
		[teamId, drill.id, revision, json({ ...drill, revision })]
	);
}

/** Adds a team with all that its practices are built from. */
export async function insertTeam(tx: Queryable, surroundings: Surroundings): Promise<void> {
	const { team, season, ground, kit, drills, limits } = surroundings;
	await tx.query('insert into team (id, body) values ($1, $2::jsonb)', [team.id, json(team)]);
	await tx.query(
		'insert into season (team_id, id, name, first_day, weeks) values ($1, $2, $3, $4::date, $5)',
		[team.id, season.id, season.name, season.firstDay, season.weeks]
	);
	await insertPeople(tx, surroundings);
	await tx.query('insert into ground (team_id, id, body) values ($1, $2, $3::jsonb)', [
		team.id,
		ground.id,
		json(ground)
	]);
	for (const [item, count] of Object.entries(kit))
		await tx.query('insert into kit (team_id, item, count) values ($1, $2, $3)', [
			team.id,
			item,
			count
		]);
	if (limits)
		await tx.query('insert into limit_setting (team_id, body) values ($1, $2::jsonb)', [
			team.id,
			json(limits)
		]);
	for (const drill of drills) await insertDrill(tx, team.id, drill);
}
