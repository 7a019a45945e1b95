import { ascending } from 'd3-array';
import type { Drill } from '$core/model/drill';
import type { Queryable } from '../database';

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
		 from (select practice_id, date, player_id, state = 'done' as is_done, max(rung) as rung,
				max(turns) as turns, sum(seconds) as seconds
			from ledger where team_id = $1 and drill_id = $2
				and (state = 'done' or not exists (select 1 from ledger d where d.team_id = ledger.team_id
					and d.practice_id = ledger.practice_id and d.state = 'done'))
			group by practice_id, date, player_id, state) as own
		 group by practice_id, date order by date desc limit 30`,
		[teamId, id]
	);
	return rows;
}

/** A drill of a search, bare of its ladder and its words, and how well its words suit. */
export interface FoundDrill {
	drill: Drill;
	rank: number;
}

/** What a search is typed as: every word, or the beginning of one, must be there. */
const queryOf = (words: string): string | null => {
	const parts = words.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [];
	return parts.length > 0 ? parts.map((part) => `${part}:*`).join(' & ') : null;
};

/** Bare drills by the number of their revision, for each database: a revision never changes, nor is its number given again. */
const bareRead = new WeakMap<object, ReadonlyMap<number, Drill>>();
/** Beyond so many, those that were read before are let go. */
const MOST_KEPT = 6000;

/** The revisions with these numbers, and others, bare of ladder and words; those read before from memory. */
async function bareDrills(
	db: Queryable,
	numbers: readonly number[]
): Promise<ReadonlyMap<number, Drill>> {
	const kept = bareRead.get(db.origin) ?? new Map<number, Drill>();
	const missing = numbers.filter((number) => !kept.has(number));
	if (missing.length === 0) return kept;
	const isFull = kept.size + missing.length > MOST_KEPT;
	// As one text that is stored ready: a row at a time takes several times as long for thousands of drills.
	const { rows } = await db.query<{ bare: string | null }>(
		`select string_agg('[' || number || ',' || bare || ']', ',') as bare
		 from drill_revision where number = any($1::bigint[])`,
		[isFull ? numbers : missing]
	);
	const read: [number, Drill][] = JSON.parse(`[${rows[0]?.bare ?? ''}]`);
	const now = new Map([...(isFull ? [] : kept), ...read]);
	bareRead.set(db.origin, now);
	return now;
}

/**
 * The newest revisions of a team's drills whose texts have every word; all of them without words. The
 * best suited first, then by name.
 */
export async function searchDrills(
	db: Queryable,
	teamId: string,
	words: string
): Promise<FoundDrill[]> {
	const { rows } = await db.query<{ found: string | null }>(
		`select string_agg('[' || number || ',' || rank || ']', ',') as found
		 from (
			select number,
				case when $2::text is null then 0 else ts_rank(words, to_tsquery('simple', $2)) end as rank
			from drill_revision d
			where team_id = $1 and ($2::text is null or words @@ to_tsquery('simple', $2))
				and not exists (select 1 from archived_drill a where a.team_id = d.team_id
					and a.drill_id = d.drill_id)
				and not exists (select 1 from drill_revision later where later.team_id = d.team_id
					and later.drill_id = d.drill_id and later.revision > d.revision)
		 ) as newest`,
		[teamId, queryOf(words)]
	);
	const found: [number, number][] = JSON.parse(`[${rows[0]?.found ?? ''}]`);
	const numbers = found.map(([number]) => number);
	const drills = await bareDrills(db, numbers);
	return found
		.flatMap(([number, rank]): FoundDrill[] => {
			const drill = drills.get(number);
			// Gone since the search where its team was removed meanwhile.
			return drill ? [{ drill, rank }] : [];
		})
		.sort(
			(a, b) =>
				b.rank - a.rank ||
				ascending(a.drill.name, b.drill.name) ||
				ascending(a.drill.id, b.drill.id)
		);
}

/**
 * The last day that each drill was planned for or done, by the drill's id; never used ones are not there.
 * From drill to drill through the index: a team has thousands of rows and a few dozen drills in them.
 */
export async function lastUses(db: Queryable, teamId: string): Promise<Map<string, string>> {
	const { rows } = await db.query<{ id: string; last: string }>(
		`with recursive used as (
			(select drill_id, date from ledger where team_id = $1
			 order by drill_id desc, date desc limit 1)
			union all
			select next.drill_id, next.date from used, lateral (
				select drill_id, date from ledger where team_id = $1 and drill_id < used.drill_id
				order by drill_id desc, date desc limit 1) as next
		 )
		 select drill_id as id, date::text as last from used`,
		[teamId]
	);
	return new Map(rows.map(({ id, last }) => [id, last]));
}

/** Every revision of a team's drills. */
export async function listDrills(db: Queryable, teamId: string): Promise<Drill[]> {
	const { rows } = await db.query<{ body: Drill }>(
		'select body from drill_revision where team_id = $1 order by drill_id, revision',
		[teamId]
	);
	return rows.map(({ body }) => body);
}
