import { descending, group } from 'd3-array';
import type { Fix, Seed } from '$core/model/scene';
import type { Game, Season } from '$core/model/season';
import type { Ground, Team } from '$core/model/team';
import type { Practice } from '$core/model/practice';
import { toContext } from '$core/practice';
import { gameWeekOf, liveBlocksIn, type GameWeek } from '$core/scene';
import { lastDayOf } from '$core/season';
import type { Queryable } from '../../database';
import { listGrounds } from '../../repositories/places';
import { drillsIn as usesOf } from '../../repositories/practices';
import { listDated } from '../../repositories/season';
import { loadPaper } from '../views';
import type { SeasonOf } from './loadSeason';
import { findSeason } from './changeSeason';
import { NEW_SCENE, sceneStored, type SceneList } from './scenes';

/** What stands on the fix list, with the days on which it was set up. */
export interface FixLine {
	fix: Fix;
	setUp: { practice: string; date: string }[];
}

/** The fix list of a season, open ones first, the newest on top. */
export async function loadFixes(
	db: Queryable,
	teamId: string,
	{ fixes = [] }: Season
): Promise<FixLine[]> {
	const ids = fixes.flatMap(({ drill }) => drill ?? []);
	const uses = group(await usesOf(db, teamId, ids), ({ drill }) => drill);
	return fixes
		.map((fix) => ({
			fix,
			setUp: (uses.get(fix.drill ?? '') ?? []).map(({ practice, date }) => ({ practice, date }))
		}))
		.sort((a, b) => {
			const isOpen = Number(!!a.fix.closed) - Number(!!b.fix.closed);
			return isOpen || descending(a.fix.since, b.fix.since);
		});
}

/** A practice up to a game, with what it does to get ready. */
export interface ReadyPractice extends Pick<GameWeek, 'every' | 'hasTalk'> {
	id: string;
	date: string;
	/** Its blocks of live play. */
	liveBlocks: number;
}

/** Blocks of live play in a practice. */
async function liveBlocksOf(db: Queryable, teamId: string, id: string): Promise<number> {
	const paper = await loadPaper(db, teamId, id);
	if (!paper) return 0;
	return liveBlocksIn({
		practice: paper.stored.practice,
		context: toContext(paper.surroundings)
	}).length;
}

/** What a season does to get ready for a game: its seeds, and the practices to come before it. */
export async function loadGameWeek(
	db: Queryable,
	teamId: string,
	{ season, days, today, game }: Pick<SeasonOf, 'season' | 'days'> & { today: string; game: Game }
): Promise<{ seeds: Seed[]; practices: ReadyPractice[] }> {
	const all = await listDated(db, teamId, days);
	const ready = all.flatMap((practice) => {
		const week = practice.date >= today ? gameWeekOf(season, practice, all) : null;
		return week?.game.id === game.id ? [{ practice, week }] : [];
	});
	const practices: ReadyPractice[] = [];
	for (const { practice, week } of ready)
		practices.push({
			...{ id: practice.id, date: practice.date, every: week.every, hasTalk: week.hasTalk },
			liveBlocks: await liveBlocksOf(db, teamId, practice.id)
		});
	return { seeds: (season.seeds ?? []).filter((seed) => seed.game === game.id), practices };
}

/** What a practice does to get ready for the next game; null where none comes. */
export async function loadGameWeekOf(
	db: Queryable,
	teamId: string,
	{ id, date }: Pick<Practice, 'id' | 'date'>
): Promise<GameWeek | null> {
	const season = await findSeason(db, teamId, { day: date });
	if (!season) return null;
	const days = { first: season.firstDay, last: lastDayOf(season) };
	const all = await listDated(db, teamId, days);
	const own = all.find((each) => each.id === id);
	return own ? gameWeekOf(season, own, all) : null;
}

/** A scene to be drawn: one of the season, or a new one on the team's first ground. Undefined where it is not there. */
export async function loadScene(
	db: Queryable,
	teamId: string,
	{
		season,
		list,
		id,
		game,
		today
	}: { season: Season; list: SceneList; id: string; game: string | null; today: string }
): Promise<{ scene: Fix | Seed; grounds: Ground[] } | undefined> {
	const grounds = await listGrounds(db, teamId);
	const stored = sceneStored(season, list, id);
	if (stored) return { scene: stored, grounds };
	const known = (season.games ?? []).find((each) => each.id === game);
	if (id !== NEW_SCENE || (list === 'seeds' && !known)) return undefined;
	const [{ id: groundId, length, width }] = grounds;
	const blank = { id, name: '', groundId, ground: { length, width }, tokens: [] };
	const scene =
		list === 'fixes'
			? { ...blank, since: today, ...(known && { game: known.id }) }
			: { ...blank, game: known?.id ?? '' };
	return { scene, grounds };
}

/** What of a team a scene is drawn with. */
export const drawnWith = ({
	sport,
	skillAreas,
	units,
	positions,
	positionList,
	places
}: Team): Pick<
	Team,
	'sport' | 'skillAreas' | 'units' | 'positions' | 'positionList' | 'places'
> => ({ sport, skillAreas, units, positions, positionList, places });
