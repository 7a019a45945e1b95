import type { PracticeSummary } from '$core/practice';
import { meetingsIn, weekOf, type Meetings } from '$core/season';
import type { Surroundings } from '$core/model/bundle';
import type { Season, Team } from '$core/model/team';
import type { Db, Queryable } from '../database';
import {
	findPractice,
	listSummed,
	type StoredPractice,
	type SummedPractice
} from '../repositories/practices';
import { hasPlayers } from '../repositories/people';
import { findTeam, loadSurroundings, seasonOn } from '../repositories/surroundings';
import { listAttended } from './attendance';
import { refreshLater, refreshSummaries } from './summaries';

/** A practice in the list of a season. */
export interface PracticeLine extends Omit<SummedPractice, 'summary'> {
	/** Week of the season, from 1; below where it lies before the season. */
	week: number;
	/** Null while it is being worked out anew. */
	summary: PracticeSummary | null;
}

/** What a board is drawn from. */
export interface Board {
	stored: StoredPractice;
	surroundings: Surroundings;
	week: number;
}

/** A practice with what it is built from, or undefined where one of them is not there. */
export async function loadBoard(
	db: Queryable,
	teamId: string,
	practiceId: string
): Promise<Board | undefined> {
	const stored = await findPractice(db, teamId, practiceId);
	if (!stored) return undefined;
	const { date, groundId } = stored.practice;
	const surroundings = await loadSurroundings(db, teamId, date, groundId);
	if (!surroundings) return undefined;
	return { stored, surroundings, week: weekOf(surroundings.season, date) };
}

/** How often players were in a group together before a practice; undefined where it is not there. */
export async function loadMeetings(
	db: Queryable,
	teamId: string,
	practiceId: string
): Promise<Meetings | undefined> {
	const stored = await findPractice(db, teamId, practiceId);
	if (!stored) return undefined;
	const { date } = stored.practice;
	const past = (await listAttended(db, teamId)).filter(({ practice }) => practice.date < date);
	return meetingsIn(past.map(({ practice }) => practice));
}

/** How many practices are played again while a visitor waits; the others are beside later requests. */
const PLAYED_AT_ONCE = 4;

/** The practices of a team with their figures, in order of time; undefined where there is no such team. */
export async function loadPracticeList(
	db: Db,
	teamId: string,
	today: string
): Promise<{ team: Team; season: Season; hasPlayers: boolean; lines: PracticeLine[] } | undefined> {
	const team = await findTeam(db, teamId);
	const season = await seasonOn(db, teamId, today);
	if (!team || !season) return undefined;
	if ((await refreshSummaries(db, teamId, PLAYED_AT_ONCE)) > 0) void refreshLater(db, teamId);
	const lines = (await listSummed(db, teamId)).map((line) => ({
		...line,
		week: weekOf(season, line.date)
	}));
	return { team, season, hasPlayers: await hasPlayers(db, teamId), lines };
}
