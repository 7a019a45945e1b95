import { evaluate, plannedMinutes, toContext } from '$core/practice';
import { faultsIn } from '$core/checks';
import { meetingsIn, weekOf, type Meetings } from '$core/season';
import type { Surroundings } from '$core/model/bundle';
import type { Queryable } from '../database';
import { findPractice, listPractices, type StoredPractice } from '../repositories/practices';
import { listGrounds } from '../repositories/places';
import { loadSurroundings } from '../repositories/surroundings';
import { listAttended } from './attendance';

/** A practice in the list of a season. */
export interface PracticeLine {
	id: string;
	date: string;
	start: string;
	minutes: number;
	plannedMinutes: number;
	place: string;
	/** Week of the season, from 1; below where it lies before the season. */
	week: number;
	players: number;
	adults: number;
	/** Share of the time a player works or helps, 0 to 1. */
	busyShare: number;
	/** Findings that would stop it, and the others. */
	stops: number;
	others: number;
	/** Whether it was held. */
	isDone: boolean;
	/** Whether it is archived. */
	isArchived: boolean;
}

/** What a board is drawn from. */
export interface Board {
	stored: StoredPractice;
	surroundings: Surroundings;
	week: number;
	/** How often players were in a group together before. */
	met: Meetings;
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
	const past = (await listAttended(db, teamId)).filter(({ practice }) => practice.date < date);
	const met = meetingsIn(past.map(({ practice }) => practice));
	return { stored, surroundings, week: weekOf(surroundings.season, date), met };
}

/** The practices of a team with their figures, in order of time; undefined where there is no such team. */
export async function loadPracticeList(
	db: Queryable,
	teamId: string,
	today: string
): Promise<{ surroundings: Surroundings; lines: PracticeLine[] } | undefined> {
	const surroundings = await loadSurroundings(db, teamId, today);
	if (!surroundings) return undefined;
	const grounds = await listGrounds(db, teamId);
	const contexts = new Map(
		grounds.map((ground) => [ground.id, toContext({ ...surroundings, ground })])
	);
	const first = toContext(surroundings);
	const practices = await listPractices(db, teamId);
	const lines = practices.map(({ practice, isDone, isArchived }): PracticeLine => {
		const evaluation = evaluate(practice, contexts.get(practice.groundId ?? '') ?? first);
		const findings = faultsIn(evaluation);
		const stops = findings.filter(({ severity }) => severity === 'stop').length;
		const { id, date, start, minutes, place, expected, adults } = practice;
		return {
			id,
			date,
			start,
			minutes,
			plannedMinutes: plannedMinutes(practice),
			place,
			week: weekOf(surroundings.season, date),
			players: expected.length,
			adults: adults.length,
			busyShare: evaluation.figures.busyShare,
			stops,
			others: findings.length - stops,
			isDone,
			isArchived
		};
	});
	return { surroundings, lines };
}
