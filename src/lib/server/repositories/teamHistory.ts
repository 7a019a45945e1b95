import { LRUCache } from 'lru-cache';
import type { Surroundings } from '$core/model/bundle';
import type { Drill } from '$core/model/drill';
import type { TeamHistory } from '$core/model/teamHistory';
import { type Context, type DayAsked, surroundingsOn } from '$core/practice';
import type { Queryable } from '../database';
import { memoryOf, type TeamRead } from '../memory';
import { listArchived } from './drills';
import { readPeople } from './people';
import { listGrounds } from './places';
import { listSettings } from './settings';
import { countOnShelf, listStaples } from './shelf';
import { findTeam, listSeasons } from './teams';

async function readHistory(db: Queryable, teamId: string): Promise<TeamHistory | undefined> {
	const team = await findTeam(db, teamId);
	if (!team) return undefined;
	return {
		team,
		seasons: await listSeasons(db, teamId),
		people: await readPeople(db, teamId),
		grounds: await listGrounds(db, teamId),
		kit: await listSettings(db, teamId, 'kit'),
		limits: await listSettings(db, teamId, 'limits'),
		archived: (await listArchived(db, teamId)).map(({ id }) => id)
	};
}

/** What a team's practices are played with; from memory where nothing has changed. Undefined where there is no such team. */
export async function readTeam(db: Queryable, teamId: string): Promise<TeamRead | undefined> {
	const { rows } = await db.query<{ version: string }>(
		'select version::text as version from team where id = $1',
		[teamId]
	);
	if (rows.length === 0) return undefined;
	const [{ version }] = rows;
	const { teams } = memoryOf(db);
	const known = teams.get(teamId);
	if (known?.version === version) return known;
	const history = await readHistory(db, teamId);
	if (!history) return undefined;
	const staples = await listStaples(db, teamId);
	const contexts = new LRUCache<string, Context>({ max: 100 });
	const onShelf = await countOnShelf(db, teamId);
	const named = new LRUCache<string, Drill>({ max: 1000 });
	const read: TeamRead = { version, history, staples, onShelf, contexts, named };
	teams.set(teamId, read);
	return read;
}

/** What a team's practices of a day are built from, with the drills that are given; undefined where there is no such team. */
export async function loadSurroundings(
	db: Queryable,
	teamId: string,
	asked: DayAsked
): Promise<Surroundings | undefined> {
	const team = await readTeam(db, teamId);
	return team && surroundingsOn(team.history, asked);
}
