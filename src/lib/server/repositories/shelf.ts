import { ascending } from 'd3-array';
import type { Drill } from '$core/model/drill';
import type { Queryable } from '../database';
import { memoryOf } from '../memory';
import { drillsByNumber } from './drills';

/** SQL: a revision `d` is the newest of its drill, which is not archived. */
const ON_SHELF = `not exists (select 1 from archived_drill a where a.team_id = d.team_id
		and a.drill_id = d.drill_id)
	and not exists (select 1 from drill_revision later where later.team_id = d.team_id
		and later.drill_id = d.drill_id and later.revision > d.revision)`;

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

/** The revisions with these numbers, bare of ladder and words; those read before from memory. */
async function bareDrills(
	db: Queryable,
	numbers: readonly number[]
): Promise<ReadonlyMap<number, Drill>> {
	const { bare } = memoryOf(db);
	const found = new Map<number, Drill>();
	const missing: number[] = [];
	for (const number of numbers) {
		const drill = bare.get(number);
		if (drill) found.set(number, drill);
		else missing.push(number);
	}
	if (missing.length === 0) return found;
	// As one text that is stored ready: a row at a time takes several times as long for thousands of drills.
	const { rows } = await db.query<{ bare: string | null }>(
		`select string_agg('[' || number || ',' || bare || ']', ',') as bare
		 from drill_revision where number = any($1::bigint[])`,
		[missing]
	);
	const read: [number, Drill][] = JSON.parse(`[${rows[0]?.bare ?? ''}]`);
	for (const [number, drill] of read) {
		bare.set(number, drill);
		found.set(number, drill);
	}
	return found;
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
				and ${ON_SHELF}
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

/** Staples of a team that has more of them than anybody uses. */
const MOST_STAPLES = 30;

/** The drills on the shelf that every practice is held against: those for every day, then warm-ups; 30 at most. */
export async function listStaples(db: Queryable, teamId: string): Promise<Drill[]> {
	const { rows } = await db.query<{ body: Drill }>(
		`select body from drill_revision d where team_id = $1 and staple and ${ON_SHELF}
		 order by body ->> 'frequency' <> 'daily', drill_id limit $2`,
		[teamId, MOST_STAPLES]
	);
	return rows.map(({ body }) => body);
}

/** At most `most` drills on the shelf, those that were used last first, then by id. */
export async function listAtHand(db: Queryable, teamId: string, most: number): Promise<Drill[]> {
	const last = [...(await lastUses(db, teamId))].sort(([, a], [, b]) => (a < b ? 1 : -1));
	const ids = last.slice(0, most).map(([id]) => id);
	const { rows } = await db.query<{ number: number }>(
		`select number::int as number from (
			(select number, drill_id, 0 as later from drill_revision d
			 where team_id = $1 and drill_id = any($2::text[]) and ${ON_SHELF})
			union all
			(select number, drill_id, 1 as later from drill_revision d
			 where team_id = $1 and drill_id <> all($2::text[]) and ${ON_SHELF}
			 order by drill_id limit $3)
		 ) as hand order by later, drill_id limit $3`,
		[teamId, ids, most]
	);
	return drillsByNumber(
		db,
		rows.map(({ number }) => number)
	);
}

/** Ids and names of the drills on a team's shelf, by name. */
export async function listDrillNames(
	db: Queryable,
	teamId: string
): Promise<{ id: string; name: string }[]> {
	const { rows } = await db.query<{ id: string; name: string }>(
		`select drill_id as id, name from drill_revision d where team_id = $1 and ${ON_SHELF}
		 order by name, drill_id`,
		[teamId]
	);
	return rows;
}

/** How many drills a team has on its shelf. */
export async function countOnShelf(db: Queryable, teamId: string): Promise<number> {
	const { rows } = await db.query<{ count: number }>(
		`select (select count(distinct drill_id)::int from drill_revision where team_id = $1)
			- (select count(*)::int from archived_drill where team_id = $1) as count`,
		[teamId]
	);
	return rows[0].count;
}

/** Names of the drills on a team's shelf that ask for each piece of kit, carried or standing, on any rung. */
export async function kitAskedFor(
	db: Queryable,
	teamId: string
): Promise<Record<string, string[]>> {
	const { rows } = await db.query<{ item: string; names: string[] }>(
		`select asked.item, array_agg(distinct d.name) as names
		 from drill_revision d, jsonb_array_elements_text(d.asks) as asked (item)
		 where team_id = $1 and ${ON_SHELF} group by asked.item order by asked.item`,
		[teamId]
	);
	return Object.fromEntries(rows.map(({ item, names }) => [item, names]));
}
