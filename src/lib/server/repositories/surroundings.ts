import type { Surroundings } from '$core/model/bundle';
import type { Drill } from '$core/model/drill';
import type { Adult, Limits, Player, Restriction, Season, Team } from '$core/model/team';
import { usableKit } from '$core/model/teamFile';
import type { Queryable } from '../database';
import { listArchived } from './drills';
import { listGrounds, listKit } from './places';

interface PersonRow {
	id: string;
	kind: 'player' | 'adult';
	name: string;
	number: number | null;
	usually_late: boolean;
	role: string | null;
	units: string[] | null;
	days: number[] | null;
	positions: string[] | null;
	restrictions: Restriction[] | null;
	birth_year: number | null;
	leads: boolean;
	note: string | null;
	skills: string[] | null;
	ages: Adult['ages'] | null;
	unit: string | null;
	ratings: Record<string, number> | null;
}

/** Takes null and undefined fields away: optional fields are not there at all. */
function present<Item extends object>(item: Item): Item {
	return Object.fromEntries(
		Object.entries(item).filter(([, value]) => value !== null && value !== undefined)
	) as Item;
}

const toPlayer = (row: PersonRow) =>
	present({
		id: row.id,
		name: row.name,
		number: row.number,
		unit: row.unit,
		ratings: row.ratings,
		positions: row.positions,
		restrictions: row.restrictions,
		usuallyLate: row.usually_late || null,
		birthYear: row.birth_year,
		leads: row.leads || null,
		note: row.note
	}) as Player;

const toAdult = ({ id, name, role, units, days, skills, ages }: PersonRow) =>
	present({ id, name, role: role ?? '', units, days, skills, ages }) as Adult;

/** Teams in order of their names: id and name. */
export async function listTeams(db: Queryable): Promise<{ id: string; name: string }[]> {
	const { rows } = await db.query<{ id: string; name: string }>(
		`select id, body ->> 'name' as name from team order by body ->> 'name'`
	);
	return rows;
}

/** A team in a list. */
export interface TeamLine {
	id: string;
	name: string;
	sport: string;
	players: number;
	practices: number;
}

/** Teams in order of their names, with how much there is of them. */
export async function listTeamLines(db: Queryable): Promise<TeamLine[]> {
	const { rows } = await db.query<TeamLine>(
		`select t.id, t.body ->> 'name' as name, t.body ->> 'sport' as sport,
			(select count(*)::int from person p where p.team_id = t.id and p.kind = 'player') as players,
			(select count(*)::int from practice q where q.team_id = t.id) as practices
		 from team t order by t.body ->> 'name', t.id`
	);
	return rows;
}

/** Takes a team away with all that is its own; false where there is none of this id. */
export async function deleteTeam(db: Queryable, teamId: string): Promise<boolean> {
	const { affectedRows } = await db.query('delete from team where id = $1', [teamId]);
	return affectedRows === 1;
}

/** The team, or undefined. */
export async function findTeam(db: Queryable, teamId: string): Promise<Team | undefined> {
	const { rows } = await db.query<{ body: Team }>('select body from team where id = $1', [teamId]);
	return rows[0]?.body;
}

/** Puts a team in the place of the one with its id. */
export async function updateTeam(db: Queryable, team: Team): Promise<void> {
	await db.query('update team set body = $2::jsonb where id = $1', [team.id, JSON.stringify(team)]);
}

/**
 * The season of a team that holds a day; between seasons the one that comes next, else the last. Undefined
 * where the team has none.
 */
export async function seasonOn(
	db: Queryable,
	teamId: string,
	day: string
): Promise<Season | undefined> {
	const { rows } = await db.query<Season>(
		`select id, name, first_day::text as "firstDay", weeks from season
		 where team_id = $1
		 order by first_day + 7 * weeks <= $2::date, abs(first_day - $2::date) *
			case when first_day <= $2::date and first_day + 7 * weeks > $2::date then 0 else 1 end,
			first_day desc limit 1`,
		[teamId, day]
	);
	return rows[0];
}

/** Everyone of a team, with unit and ratings as they stood on a day. */
async function listPeople(db: Queryable, teamId: string, day: string): Promise<PersonRow[]> {
	const { rows } = await db.query<PersonRow>(
		`select p.id, p.kind, p.name, p.number, p.usually_late, p.role, p.units, p.days, p.positions, p.restrictions,
			p.birth_year, p.leads, p.note, p.skills, p.ages,
			(select u.unit from person_unit u where u.team_id = p.team_id and u.person_id = p.id
				and u.since <= $2::date order by u.since desc limit 1) as unit,
			(select jsonb_object_agg(r.skill, r.rating) filter (where r.rating is not null) from (
				select distinct on (skill) skill, rating from rating
				where team_id = p.team_id and person_id = p.id and since <= $2::date
				order by skill, since desc) r) as ratings
		 from person p where p.team_id = $1 order by p.place`,
		[teamId, day]
	);
	return rows;
}

/** The limits that a team has set, or undefined where it has set none. */
export async function findLimits(
	db: Queryable,
	teamId: string
): Promise<Partial<Limits> | undefined> {
	const { rows } = await db.query<{ body: Partial<Limits> }>(
		'select body from limit_setting where team_id = $1',
		[teamId]
	);
	return rows[0]?.body;
}

/** Sets what a team has of its own among the limits; null takes all of it away. */
export async function saveLimits(
	db: Queryable,
	teamId: string,
	limits: Partial<Limits> | null
): Promise<void> {
	if (limits === null) {
		await db.query('delete from limit_setting where team_id = $1', [teamId]);
		return;
	}
	await db.query(
		`insert into limit_setting (team_id, body) values ($1, $2::jsonb)
		 on conflict (team_id) do update set body = excluded.body`,
		[teamId, JSON.stringify(limits)]
	);
}

/** Every revision of a team's drills. */
export async function listDrills(db: Queryable, teamId: string): Promise<Drill[]> {
	const { rows } = await db.query<{ body: Drill }>(
		'select body from drill_revision where team_id = $1 order by drill_id, revision',
		[teamId]
	);
	return rows.map(({ body }) => body);
}

/**
 * What a team's practices of a day are built from but for its drills, on the ground that is named or else
 * the team's first; undefined where the team is not there.
 */
export async function loadWithoutDrills(
	db: Queryable,
	teamId: string,
	day: string,
	groundId?: string
): Promise<Surroundings | undefined> {
	const team = await findTeam(db, teamId);
	const season = await seasonOn(db, teamId, day);
	if (!team || !season) return undefined;
	const people = await listPeople(db, teamId, day);
	const grounds = await listGrounds(db, teamId);
	const ground = grounds.find(({ id }) => id === groundId) ?? grounds[0];
	const limits = await findLimits(db, teamId);
	const archived = (await listArchived(db, teamId)).map(({ id }) => id);
	return {
		team,
		season,
		players: people.filter(({ kind }) => kind === 'player').map(toPlayer),
		adults: people.filter(({ kind }) => kind === 'adult').map(toAdult),
		ground,
		kit: usableKit(await listKit(db, teamId)),
		drills: [],
		...(archived.length > 0 && { archived }),
		...(limits && { limits })
	};
}

/** All that a team's practices of a day are built from, every revision of its drills with it. */
export async function loadSurroundings(
	db: Queryable,
	teamId: string,
	day: string,
	groundId?: string
): Promise<Surroundings | undefined> {
	const around = await loadWithoutDrills(db, teamId, day, groundId);
	return around && { ...around, drills: await listDrills(db, teamId) };
}
