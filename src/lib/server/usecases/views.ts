import type { PracticeSummary } from '$core/playing';
import { seasonOn, surroundingsOn } from '$core/practice';
import { meetingsIn, weekOf, type Meetings } from '$core/season';
import type { Drill } from '$core/model/drill';
import type { Practice } from '$core/model/practice';
import type { Surroundings } from '$core/model/bundle';
import type { Season } from '$core/model/season';
import type { Team } from '$core/model/team';
import type { Queryable } from '../database';
import { countPractices, findPractice, type StoredPractice } from '../repositories/practices';
import { listSummed, type SummedPractice } from '../repositories/summaries';
import { listNewest } from '../repositories/drills';
import { hasPlayers } from '../repositories/people';
import { listAtHand } from '../repositories/shelf';
import { findTeam, listSeasons } from '../repositories/teams';
import { memoryOf, type TeamRead } from '../memory';
import { readTeam } from '../repositories/teamHistory';
import { listAttended } from './practices/attendance';
import { loadBefore } from './practices/before';
import { drillsOf, keyOf } from './practices/play';

/** A practice in the list of a season. */
export interface PracticeLine extends Omit<SummedPractice, 'summary'> {
	/** Week of the season, from 1; below where it lies before the season. */
	week: number;
	/** Null while it is being worked out anew. */
	summary: PracticeSummary | null;
}

/** The practices of a team as they are listed. */
export interface PracticeList {
	team: Team;
	season: Season;
	hasPlayers: boolean;
	/** In order of time: all of them, or the newest. */
	lines: PracticeLine[];
	/** How many there are in all. */
	count: number;
}

/** Practices that are listed at first: a season of most teams. */
const MOST_LISTED = 60;

/** What a board is drawn from. */
export interface Board {
	stored: StoredPractice;
	surroundings: Surroundings;
	week: number;
	/** How many drills the shelf has in all; `surroundings` has those at hand. */
	drillsOnShelf: number;
}

/** Drills that a board has at hand from the start; it asks for others when they are looked for. */
const DRILLS_AT_HAND = 40;

/** A practice with what it is built from and drills `beside` its own; undefined where one of them is not there. */
async function loadWith(
	db: Queryable,
	{ teamId, practiceId }: { teamId: string; practiceId: string },
	beside: (team: TeamRead, practice: Practice) => Promise<readonly Drill[]>
): Promise<Board | undefined> {
	const stored = await findPractice(db, teamId, practiceId);
	const team = stored && (await readTeam(db, teamId));
	if (!team) return undefined;
	const { date, groundId } = stored.practice;
	const all = [
		...(await beside(team, stored.practice)),
		...(await drillsOf(db, team, stored.practice))
	];
	const drills = [...new Map(all.map((drill) => [keyOf(drill), drill])).values()];
	const surroundings = surroundingsOn(team.history, { day: date, groundId, drills });
	if (!surroundings) return undefined;
	const week = weekOf(surroundings.season, date);
	const before = await loadBefore(db, team, stored.practice);
	return {
		stored,
		surroundings: { ...surroundings, before },
		week,
		drillsOnShelf: team.onShelf
	};
}

/** A practice with what is printed of it: no drills but its own and those that it is held against. */
export const loadPaper = (db: Queryable, teamId: string, practiceId: string) =>
	loadWith(db, { teamId, practiceId }, async () => []);

/** A practice as its board has it, with the drills that are at hand there. */
export const loadBoard = (db: Queryable, teamId: string, practiceId: string) =>
	loadWith(db, { teamId, practiceId }, async ({ version }, { brief = [] }) => {
		const atHand = await drillsAtHand(db, { teamId, version });
		const known = new Set(atHand.map(({ id }) => id));
		const asked = brief.flatMap(({ drill }) => (known.has(drill) ? [] : drill));
		return asked.length === 0 ? atHand : [...atHand, ...(await listNewest(db, teamId, asked))];
	});

/** The drills that boards of a team have at hand; for a minute from memory. */
async function drillsAtHand(
	db: Queryable,
	{ teamId, version }: { teamId: string; version: string }
): Promise<readonly Drill[]> {
	const { atHand } = memoryOf(db);
	const known = atHand.get(version);
	if (known) return known;
	const drills = await listAtHand(db, teamId, DRILLS_AT_HAND);
	atHand.set(version, drills);
	return drills;
}

/**
 * How often players were in a group together before a practice, in those that were held and those that are
 * planned; undefined where it is not there.
 */
export async function loadMeetings(
	db: Queryable,
	teamId: string,
	practiceId: string
): Promise<Meetings | undefined> {
	const stored = await findPractice(db, teamId, practiceId);
	if (!stored) return undefined;
	const when = ({ date, start }: Practice) => `${date} ${start}`;
	const own = when(stored.practice);
	const past = (await listAttended(db, teamId)).filter(({ practice }) => when(practice) < own);
	return meetingsIn(past.map(({ practice }) => practice));
}

/** The practices of a team with their figures, in order of time; undefined where there is no such team. */
export async function loadPracticeList(
	db: Queryable,
	teamId: string,
	{ today, isAll = false }: { today: string; isAll?: boolean }
): Promise<PracticeList | undefined> {
	const team = await findTeam(db, teamId);
	const season = seasonOn(await listSeasons(db, teamId), today);
	if (!team || !season) return undefined;
	const listed = await listSummed(db, teamId, isAll ? Infinity : MOST_LISTED);
	const count = await countPractices(db, teamId);
	const lines = listed.map((line) => ({
		...line,
		week: weekOf(season, line.date)
	}));
	return { team, season, hasPlayers: await hasPlayers(db, teamId), lines, count };
}
