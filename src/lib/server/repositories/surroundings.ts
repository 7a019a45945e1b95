import type { Surroundings } from '$core/model/bundle';
import type { Adult, Player, Restriction } from '$core/model/team';
import { usableKit } from '$core/model/teamFile';
import type { Queryable } from '../database';
import { listArchived, listDrills } from './drills';
import { listGrounds, listKit } from './places';
import { findLimits, findTeam, seasonOn } from './teams';

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
