import { ascending } from 'd3-array';
import type { Drill } from '$core/model/drill';
import type { Queryable } from '../database';
import { memoryOf } from '../memory';

/** A revision of a drill, the newest where none is named; undefined where the team has none. */
export async function findDrill(
	db: Queryable,
	teamId: string,
	id: string,
	revision?: number
): Promise<Drill | undefined> {
	const { rows } = await db.query<{ body: Drill }>(
		`select body from drill_revision where team_id = $1 and drill_id = $2
			and ($3::int is null or revision = $3::int) order by revision desc limit 1`,
		[teamId, id, revision ?? null]
	);
	return rows[0]?.body;
}

/** The drills of a team that are archived, by name. */
export async function listArchived(
	db: Queryable,
	teamId: string
): Promise<{ id: string; name: string }[]> {
	const { rows } = await db.query<{ id: string; name: string }>(
		`select distinct on (d.drill_id) d.drill_id as id, d.body ->> 'name' as name
		 from archived_drill a join drill_revision d using (team_id, drill_id)
		 where a.team_id = $1 order by d.drill_id, d.revision desc`,
		[teamId]
	);
	return rows.sort((a, b) => ascending(a.name, b.name));
}

/** Archives a drill or takes it back onto the shelf; false where the team has none of this id. */
export async function setDrillArchived(
	db: Queryable,
	teamId: string,
	{ id, archived }: { id: string; archived: boolean }
): Promise<boolean> {
	if (!(await findDrill(db, teamId, id))) return false;
	await db.query(
		archived
			? 'insert into archived_drill (team_id, drill_id) values ($1, $2) on conflict do nothing'
			: 'delete from archived_drill where team_id = $1 and drill_id = $2',
		[teamId, id]
	);
	return true;
}

/** A revision of a drill in a list. */
export interface RevisionLine {
	revision: number;
	/** Day that it was made on. */
	day: string;
}

/** The revisions of a drill, the newest first. */
export async function listRevisions(
	db: Queryable,
	teamId: string,
	id: string
): Promise<RevisionLine[]> {
	const { rows } = await db.query<RevisionLine>(
		`select revision, made_at::date::text as day from drill_revision
		 where team_id = $1 and drill_id = $2 order by revision desc`,
		[teamId, id]
	);
	return rows;
}

/** Adds a revision of a drill behind the newest; gives its number. */
export async function insertRevision(tx: Queryable, teamId: string, drill: Drill): Promise<number> {
	for (;;) {
		const { rows } = await tx.query<{ revision: number }>(
			`insert into drill_revision (team_id, drill_id, revision, body)
			 select $1, $2, next.revision, $3::jsonb || jsonb_build_object('revision', next.revision)
			 from (select coalesce(max(revision), 0)::int + 1 as revision from drill_revision
				where team_id = $1 and drill_id = $2) as next
			 on conflict do nothing returning revision`,
			[teamId, drill.id, JSON.stringify(drill)]
		);
		// Nothing where somebody else has added this very revision meanwhile: the next one, then.
		if (rows.length > 0) return rows[0].revision;
	}
}

/** Adds a drill as revision 1; false where its id is taken. */
export async function insertDrill(tx: Queryable, teamId: string, drill: Drill): Promise<boolean> {
	const { affectedRows } = await tx.query(
		`insert into drill_revision (team_id, drill_id, revision, body) values ($1, $2, 1, $3::jsonb)
		 on conflict do nothing`,
		[teamId, drill.id, JSON.stringify({ ...drill, revision: 1 })]
	);
	return affectedRows === 1;
}

/** Where a drill was used: a practice, its day, and what it gave there. */
export interface DrillUse {
	practice: string;
	date: string;
	isDone: boolean;
	players: number;
	/** Turns of one player at the mean. */
	turns: number;
	/** Minutes of one player at the mean. */
	minutes: number;
	rungs: string[];
}

/** Where a drill was used, the newest first. Skills share the time of a drill: the largest stands for it. */
export async function listUses(db: Queryable, teamId: string, id: string): Promise<DrillUse[]> {
	const { rows } = await db.query<DrillUse>(
		`select practice_id as practice, date::text as date, bool_or(is_done) as "isDone",
			count(distinct player_id)::int as players, avg(turns)::float as turns,
			avg(seconds)::float / 60 as minutes,
			coalesce(array_agg(distinct rung) filter (where rung is not null), '{}') as rungs
		 from (select practice_id, l.date, player_id, l.state = 'done' as is_done, max(rung) as rung,
				max(turns) as turns, sum(seconds) as seconds
			from ledger l
			join practice p on p.team_id = l.team_id and p.id = l.practice_id
				and l.state = case p.state when 'held' then 'done' else 'planned' end
			where l.team_id = $1 and l.drill_id = $2
			group by practice_id, l.date, player_id, l.state) as own
		 group by practice_id, date order by date desc limit 30`,
		[teamId, id]
	);
	return rows;
}

/** Every revision of a team's drills. */
export async function listDrills(db: Queryable, teamId: string): Promise<Drill[]> {
	const { rows } = await db.query<{ body: Drill }>(
		'select body from drill_revision where team_id = $1 order by drill_id, revision',
		[teamId]
	);
	return rows.map(({ body }) => body);
}

/** Revisions of drills by their numbers, in that order; those read before from memory, since a revision never changes. */
export async function drillsByNumber(db: Queryable, numbers: readonly number[]): Promise<Drill[]> {
	const { drills } = memoryOf(db);
	const found = new Map(numbers.map((number) => [number, drills.get(number)]));
	const missing = numbers.filter((number) => !found.get(number));
	if (missing.length > 0) {
		const { rows } = await db.query<{ number: number; body: Drill }>(
			'select number::int as number, body from drill_revision where number = any($1::bigint[])',
			[missing]
		);
		for (const { number, body } of rows) {
			drills.set(number, body);
			found.set(number, body);
		}
	}
	return numbers.flatMap((number) => found.get(number) ?? []);
}

/** The newest revisions of some of a team's drills, in the order in which they are asked for. */
export async function listNewest(
	db: Queryable,
	teamId: string,
	ids: readonly string[]
): Promise<Drill[]> {
	const { rows } = await db.query<{ number: number }>(
		`select newest.number::int as number
		 from unnest($2::text[]) with ordinality as asked (id, place),
			lateral (select number from drill_revision where team_id = $1 and drill_id = asked.id
				order by revision desc limit 1) as newest
		 order by asked.place`,
		[teamId, ids]
	);
	return drillsByNumber(
		db,
		rows.map(({ number }) => number)
	);
}

/** Drills that are read at once where all are read. */
const AT_ONCE = 100;

/** Every revision of a team's drills, by id and number; some are read at once. */
export async function* eachDrill(db: Queryable, teamId: string): AsyncGenerator<Drill> {
	for (let last: { id: string; revision: number } | undefined; ;) {
		const { rows } = await db.query<{ body: Drill }>(
			`select body from drill_revision
			 where team_id = $1 and ($2::text is null or (drill_id, revision) > ($2, $3::int))
			 order by drill_id, revision limit $4`,
			[teamId, last?.id ?? null, last?.revision ?? null, AT_ONCE]
		);
		for (const { body } of rows) yield body;
		const body = rows.at(-1)?.body;
		if (!body || rows.length < AT_ONCE) return;
		last = { id: body.id, revision: body.revision ?? 1 };
	}
}

/** These revisions of a team's drills, as far as they are there. */
export async function listRevisionsOf(
	db: Queryable,
	teamId: string,
	named: readonly { id: string; revision: number }[]
): Promise<Drill[]> {
	const { rows } = await db.query<{ number: number }>(
		`select d.number::int as number from unnest($2::text[], $3::int[]) as named (id, revision)
		 join drill_revision d
			on d.team_id = $1 and d.drill_id = named.id and d.revision = named.revision`,
		[teamId, named.map(({ id }) => id), named.map(({ revision }) => revision)]
	);
	return drillsByNumber(
		db,
		rows.map(({ number }) => number)
	);
}

/** A drill that can be chosen, with its rungs. */
export interface DrillName {
	id: string;
	name: string;
	rungs: { id: string; name: string }[];
}

/** The drills of a team that are not archived, by name. */
export async function listNames(db: Queryable, teamId: string): Promise<DrillName[]> {
	const { rows } = await db.query<DrillName>(
		`select id, name, rungs from (
			select distinct on (drill_id) drill_id as id, body ->> 'name' as name,
				(select coalesce(jsonb_agg(jsonb_build_object('id', r ->> 'id', 'name', r ->> 'name')), '[]')
				 from jsonb_array_elements(body -> 'rungs') r) as rungs
			from drill_revision where team_id = $1
				and drill_id not in (select drill_id from archived_drill where team_id = $1)
			order by drill_id, revision desc
		 ) d order by name`,
		[teamId]
	);
	return rows;
}
