import type { ExportPerson } from '$core/model/exportFiles';
import type { AdultRow, SquadRow } from '$core/model/squad';
import type { PlayerFacts } from '$core/model/team';
import type { Queryable } from '../database';

type NamedRow = SquadRow & { id: string };

/** What a row says of a player, as the columns of `person` from the fourth parameter on. */
const facts = ({ name, number, usuallyLate, positions, birthYear, leads }: NamedRow) => [
	name,
	number ?? null,
	usuallyLate,
	positions.length > 0 ? JSON.stringify(positions) : null,
	birthYear ?? null,
	leads ?? false
];

/** Adds a player at the end of the squad. */
export async function insertPlayer(tx: Queryable, teamId: string, row: NamedRow): Promise<void> {
	await tx.query(
		`insert into person (team_id, id, kind, place, name, number, usually_late, positions, birth_year, leads)
		 values ($1, $2, 'player', (select coalesce(max(place), 0) + 1 from person where team_id = $1),
			$3, $4, $5, $6::jsonb, $7, $8)`,
		[teamId, row.id, ...facts(row)]
	);
}

/** Changes what is said of a player, but for dated facts and what stands on the player's own page. */
export async function updatePlayer(tx: Queryable, teamId: string, row: NamedRow): Promise<void> {
	await tx.query(
		`update person set name = $3, number = $4, usually_late = $5, positions = $6::jsonb, birth_year = $7,
			leads = $8
		 where team_id = $1 and id = $2 and kind = 'player'`,
		[teamId, row.id, ...facts(row)]
	);
}

/** Changes what stands on a player's own page; false where the team has no such player. */
export async function updateFacts(
	db: Queryable,
	{ teamId, id }: { teamId: string; id: string },
	{ note, restrictions }: PlayerFacts
): Promise<boolean> {
	const { affectedRows } = await db.query(
		`update person set note = $3, restrictions = $4::jsonb
		 where team_id = $1 and id = $2 and kind = 'player'`,
		[
			teamId,
			id,
			note.trim() === '' ? null : note.trim(),
			restrictions.length > 0 ? JSON.stringify(restrictions) : null
		]
	);
	return affectedRows === 1;
}

const list = (items: readonly unknown[]) => (items.length > 0 ? JSON.stringify(items) : null);

/** Changes an adult, or adds one behind the others where `isNew`. */
export async function writeAdult(
	tx: Queryable,
	teamId: string,
	{ isNew, ...row }: AdultRow & { id: string; isNew: boolean }
): Promise<void> {
	const { id, name, role, units, skills, days, ages } = row;
	await tx.query(
		isNew
			? `insert into person (team_id, id, kind, place, name, role, units, skills, days, ages)
				values ($1, $2, 'adult', (select coalesce(max(place), 0) + 1 from person where team_id = $1),
					$3, $4, $5::jsonb, $6::jsonb, $7::jsonb, $8::jsonb)`
			: `update person set name = $3, role = $4, units = $5::jsonb, skills = $6::jsonb,
					days = $7::jsonb, ages = $8::jsonb
				where team_id = $1 and id = $2 and kind = 'adult'`,
		[
			teamId,
			id,
			name,
			role,
			list(units),
			list(skills),
			list(days),
			ages ? JSON.stringify(ages) : null
		]
	);
}

/** A player is of this unit from a day on, or of none (null). */
export async function setUnit(
	tx: Queryable,
	{ teamId, id, day, unit }: { teamId: string; id: string; day: string; unit: string | null }
): Promise<void> {
	await tx.query(
		`insert into person_unit (team_id, person_id, since, unit) values ($1, $2, $3::date, $4)
		 on conflict (team_id, person_id, since) do update set unit = excluded.unit`,
		[teamId, id, day, unit]
	);
}

/** A player is rated so in a skill area from a day on, or not any more (null). */
export async function setRating(
	tx: Queryable,
	{
		teamId,
		id,
		day,
		skill,
		rating
	}: { teamId: string; id: string; day: string; skill: string; rating: number | null }
): Promise<void> {
	await tx.query(
		`insert into rating (team_id, person_id, skill, since, rating) values ($1, $2, $3, $4::date, $5)
		 on conflict (team_id, person_id, skill, since) do update set rating = excluded.rating`,
		[teamId, id, skill, day, rating]
	);
}

/** Ids of a team's adults. */
export async function listAdultIds(db: Queryable, teamId: string): Promise<string[]> {
	const { rows } = await db.query<{ id: string }>(
		`select id from person where team_id = $1 and kind = 'adult' order by place`,
		[teamId]
	);
	return rows.map(({ id }) => id);
}

/** Takes a person away with units and ratings; names are nowhere else. False where there is none of this id. */
export async function deletePerson(db: Queryable, teamId: string, id: string): Promise<boolean> {
	const { affectedRows } = await db.query('delete from person where team_id = $1 and id = $2', [
		teamId,
		id
	]);
	return affectedRows === 1;
}

/** What a player was given of one skill area in the practices that were held. */
export interface Counted {
	skill: string;
	minutes: number;
	turns: number;
}

/** What a player was given of each skill area in the practices that were held, by area. */
export async function countedFor(db: Queryable, teamId: string, id: string): Promise<Counted[]> {
	const { rows } = await db.query<Counted>(
		`select regexp_replace(skill, '/[0-9]+$', '') as skill, round(sum(seconds) / 60)::int as minutes, round(sum(turns))::int as turns
		 from ledger where team_id = $1 and player_id = $2 and state = 'done'
		 group by 1 order by 1`,
		[teamId, id]
	);
	return rows;
}

/** Whether a team has any players. */
export async function hasPlayers(db: Queryable, teamId: string): Promise<boolean> {
	const { rows } = await db.query<{ has: boolean }>(
		`select exists (select 1 from person where team_id = $1 and kind = 'player') as has`,
		[teamId]
	);
	return rows[0].has;
}

/** Takes null fields away: optional fields are not there at all. */
const present = <Item extends object>(item: Item): Item =>
	Object.fromEntries(Object.entries(item).filter(([, value]) => value !== null)) as Item;

/** Everyone of a team with all that is kept of them, in the order of the squad. */
export async function readPeople(db: Queryable, teamId: string): Promise<ExportPerson[]> {
	const { rows } = await db.query<ExportPerson>(
		`select p.id, p.kind, p.name, p.number, nullif(p.usually_late, false) as "usuallyLate", p.role,
			p.units as leads, p.days, p.positions, p.restrictions, p.birth_year as "birthYear",
			nullif(p.leads, false) as "leadsWell", p.note, p.skills, p.ages,
			coalesce((select jsonb_agg(jsonb_build_object('since', u.since::text, 'unit', u.unit)
				order by u.since) from person_unit u
				where u.team_id = p.team_id and u.person_id = p.id), '[]'::jsonb) as units,
			coalesce((select jsonb_agg(jsonb_build_object('since', r.since::text, 'skill', r.skill,
				'rating', r.rating) order by r.since, r.skill) from rating r
				where r.team_id = p.team_id and r.person_id = p.id), '[]'::jsonb) as ratings
		 from person p where p.team_id = $1 order by p.place, p.id`,
		[teamId]
	);
	return rows.map(present);
}
