import { faultsIn } from '$core/checks';
import type { PracticeState } from '$core/model/exportFiles';
import type { Practice } from '$core/model/practice';
import { sameValue } from '$core/base';
import {
	costOf,
	evaluate,
	strainOf,
	summaryOf,
	type Evaluation,
	type PracticeSummary
} from '$core/playing';
import { withDrills } from '$core/practice';
import { heldRows, ledgerRows, withComing } from '$core/season';
import type { Db, Queryable } from '../../database';
import { listAttendance } from '../../repositories/attendance';
import { listAdultIds } from '../../repositories/people';
import { findState } from '../../repositories/practices';
import {
	countUnsummed,
	forgetSummariesFrom,
	listUnsummed,
	setCost,
	setSummary
} from '../../repositories/summaries';
import { replaceLedger } from '../../repositories/ledger';
import { holdTeam } from '../../repositories/teams';
import { memoryOf, type Played } from '../../memory';
import { loadBefore } from './before';
import { drillsOf, emptyContext, teamOf } from './play';

const sumUp = (evaluation: Evaluation): PracticeSummary =>
	summaryOf(
		evaluation,
		faultsIn(evaluation).map(({ severity }) => severity)
	);

/** A practice with those who came to it, as far as it was said. */
async function cameTo(tx: Queryable, practice: Practice): Promise<Practice> {
	const { teamId, id } = practice;
	const own = (await listAttendance(tx, teamId)).filter((row) => row.practice === id);
	if (own.length === 0) return practice;
	const rows = new Map(own.map((row) => [row.person, row]));
	return withComing(practice, rows, new Set(await listAdultIds(tx, teamId)));
}

/**
 * Plays a practice with what its team had on that day, and with what came before it in the season; what
 * `last` has in common is not played again.
 */
async function play(db: Queryable, practice: Practice, last?: Played): Promise<Played> {
	const team = await teamOf(db, practice);
	// The same practice was played a moment ago: whatever changes before it makes it forgotten.
	const { date, start } = last?.evaluation.practice ?? {};
	const isSameDay = date === practice.date && start === practice.start;
	const before =
		(isSameDay && last?.evaluation.context.before) || (await loadBefore(db, team, practice));
	const drills = await drillsOf(db, team, practice);
	const context = { ...withDrills(emptyContext(team, practice), drills), before };
	const evaluation = evaluate(practice, context, last?.evaluation);
	return { evaluation, rows: ledgerRows(evaluation) };
}

/** Writes what a practice that was held gave those who came, and what it cost them. */
export async function storeDone(tx: Queryable, practice: Practice): Promise<void> {
	const { evaluation } = await play(tx, await cameTo(tx, practice));
	await replaceLedger(tx, practice, { state: 'done', rows: heldRows(evaluation) });
	await setCost(tx, practice, costOf(evaluation));
}

/** Whether a practice costs its players something else than before, or has other players. */
const costsOtherwise = ({ evaluation: is }: Played, { evaluation: was }: Played): boolean =>
	is.practice.date !== was.practice.date ||
	!sameValue(is.practice.expected, was.practice.expected) ||
	!sameValue(strainOf(is), strainOf(was));

/** Later practices of the team are checked with what this one costs: they are played again. */
export async function forgetLater(
	tx: Queryable,
	{ teamId, id, date }: Pick<Practice, 'teamId' | 'id' | 'date'>
): Promise<void> {
	await forgetSummariesFrom(tx, { teamId, id, date });
	const { played } = memoryOf(tx);
	for (const [key, { evaluation }] of played.entries())
		if (evaluation.practice.teamId === teamId && evaluation.practice.id !== id) played.delete(key);
}

/** Plays a practice, and writes what it is planned to give and what lists show of it. */
async function storePlan(
	tx: Queryable,
	practice: Practice,
	{ state, before }: { state?: PracticeState; before?: Played }
): Promise<Played> {
	const played = await play(tx, practice, before);
	const { evaluation, rows } = played;
	if (state !== 'cancelled')
		await replaceLedger(tx, practice, { state: 'planned', rows, before: before?.rows });
	await setSummary(tx, practice, { summary: sumUp(evaluation), cost: costOf(evaluation) });
	return played;
}

/**
 * Plays a practice that was stored, and writes what it is planned to give and what lists show of it; one that
 * is cancelled gives nothing. `before` is the practice as it was played last, with the rows that are stored.
 */
export const storePlanned = async (
	tx: Queryable,
	practice: Practice,
	before?: Played
): Promise<Played> =>
	storePlan(tx, practice, { state: await findState(tx, practice.teamId, practice.id), before });

/**
 * The same for a practice that somebody has changed or added: what comes after it in the season is checked
 * with what it costs, and is played again where that is something else. Of one that was held, what was done is
 * its plan with those who came.
 */
export async function storeChanged(
	tx: Queryable,
	practice: Practice,
	before?: Played
): Promise<Played> {
	const state = await findState(tx, practice.teamId, practice.id);
	const played = await storePlan(tx, practice, { state, before });
	if (state === 'held') await storeDone(tx, practice);
	const was = before?.evaluation.practice.date ?? practice.date;
	const date = was < practice.date ? was : practice.date;
	if (!before || costsOtherwise(played, before)) await forgetLater(tx, { ...practice, date });
	return played;
}

/** Writes what lists show of a practice that was held: its plan, and what it cost those who came. */
async function sumUpHeld(tx: Queryable, practice: Practice): Promise<void> {
	const { evaluation } = await play(tx, practice);
	const came = await cameTo(tx, practice);
	const cost = costOf(came === practice ? evaluation : (await play(tx, came)).evaluation);
	await setSummary(tx, practice, { summary: sumUp(evaluation), cost });
}

/**
 * Plays practices of a team whose summary is gone because something under them has changed, at most `most`
 * of them, those to come first. Gives how many are left.
 */
export async function refreshSummaries(db: Db, teamId: string, most: number): Promise<number> {
	// What is read and what is written of it are one step: a change between them would leave an old summary for good.
	return db.transaction(async (tx) => {
		await holdTeam(tx, teamId);
		const { practices, left } = await listUnsummed(tx, teamId, most);
		for (const practice of practices) {
			const state = await findState(tx, teamId, practice.id);
			if (state === 'held') await sumUpHeld(tx, practice);
			else await storePlan(tx, practice, { state });
		}
		return left;
	});
}

/** How many practices are played again while a visitor waits; the others are, beside later requests. */
const PLAYED_AT_ONCE = 4;

/** Teams whose summaries are brought up to date now. */
const running = new Set<string>();

/** Brings the summaries of a team up to date, one after another beside other work. */
async function refreshLater(
	db: Db,
	teamId: string,
	canStore: () => Promise<boolean>
): Promise<void> {
	if (running.has(teamId)) return;
	running.add(teamId);
	try {
		while ((await canStore()) && (await refreshSummaries(db, teamId, 1)) > 0)
			await new Promise((resolve) => setTimeout(resolve, 0));
	} catch (error) {
		// The list asks again; a database that is being closed is no failure of the list.
		console.error(`Summaries of ${teamId} were not finished: ${(error as Error).message}`);
	} finally {
		running.delete(teamId);
	}
}

/**
 * Plays the latest practices that have no summary at once and starts with the others. Nothing happens
 * where nothing can be stored: looking at a list must not write to a full disk.
 */
export async function freshenSummaries(
	db: Db,
	teamId: string,
	canStore: () => Promise<boolean>
): Promise<void> {
	if ((await countUnsummed(db, teamId)) === 0 || !(await canStore())) return;
	const left = await refreshSummaries(db, teamId, PLAYED_AT_ONCE);
	if (left > 0) void refreshLater(db, teamId, canStore);
}
