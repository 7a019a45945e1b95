import { faultsIn } from '$core/checks';
import type { Practice } from '$core/model/practice';
import { type Evaluation, type PracticeSummary, summaryOf } from '$core/playing';
import type { LedgerRow } from '$core/season';
import type { Db, Queryable } from '../../database';
import {
	hasUnsummed,
	isHeld,
	listUnsummed,
	replaceLedger,
	setSummary
} from '../../repositories/practices';
import { holdTeam } from '../../repositories/teams';
import type { Played } from '../../memory';
import { play } from './play';

const sumUp = (evaluation: Evaluation): PracticeSummary =>
	summaryOf(
		evaluation,
		faultsIn(evaluation).map(({ severity }) => severity)
	);

/** The ledger rows of a practice as it stands, played with what its team had on that day. */
export async function rowsOf(tx: Queryable, practice: Practice): Promise<LedgerRow[]> {
	return (await play(tx, practice)).rows;
}

/**
 * Plays a practice that was stored, and writes what it is planned to give and what lists show of it. `before`
 * is the practice as it was played last, with the rows that are stored.
 */
export async function storePlanned(
	tx: Queryable,
	practice: Practice,
	before?: Played
): Promise<Played> {
	const played = await play(tx, practice, before);
	await replaceLedger(tx, practice, { state: 'planned', rows: played.rows, before: before?.rows });
	await setSummary(tx, practice, sumUp(played.evaluation));
	return played;
}

/**
 * Plays practices of a team whose summary is gone because something under them has changed, at most `most`
 * of them, the latest days first. Gives how many are left.
 */
export async function refreshSummaries(db: Db, teamId: string, most: number): Promise<number> {
	// What is read and what is written of it are one step: a change between them would leave an old summary for good.
	return db.transaction(async (tx) => {
		await holdTeam(tx, teamId);
		const { practices, left } = await listUnsummed(tx, teamId, most);
		for (const practice of practices)
			if (await isHeld(tx, practice.teamId, practice.id))
				await setSummary(tx, practice, sumUp((await play(tx, practice)).evaluation));
			else await storePlanned(tx, practice);
		return left;
	});
}

/** How many practices are played again while a visitor waits; the others are beside later requests. */
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
	if (!(await hasUnsummed(db, teamId)) || !(await canStore())) return;
	const left = await refreshSummaries(db, teamId, PLAYED_AT_ONCE);
	if (left > 0) void refreshLater(db, teamId, canStore);
}
