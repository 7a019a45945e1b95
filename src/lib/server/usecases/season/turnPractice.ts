import { nanoid } from 'nanoid';
import Type from 'typebox';
import { fail, ok, type Result } from '$core/base';
import type { PracticeState } from '$core/model/exportFiles';
import { Clock, closed, Day, Name } from '$core/model/fields';
import { readShape, type Misfit } from '../../../../doors';
import type { Db, Queryable } from '../../database';
import {
	findState,
	isHeld,
	lockPractice,
	setState,
	type StoredPractice
} from '../../repositories/practices';
import { removeLedger } from '../../repositories/ledger';
import { say } from '../../say';
import { changeTeam } from '../refusable';
import type { Submission } from '../submission';
import { applyStored } from '../practices/saveEdits';
import { forgetLater, storeDone, storePlanned } from '../practices/summaries';
import texts from '$texts/refusals';

/** What becomes of a practice: it is cancelled with a reason, called back, or was held. */
const Turn = Type.Union([
	Type.Object({ to: Type.Literal('cancelled'), reason: Name }, closed),
	Type.Object({ to: Type.Literal('planned') }, closed),
	Type.Object({ to: Type.Literal('held') }, closed)
]);

/** Where a practice is moved to: what is not said stays. */
const Move = Type.Partial(Type.Object({ date: Day, start: Clock }), closed);

const gone = (): Result<never, Misfit> => fail({ path: [], message: say(texts.noPractice) });

/** Writes the rows that a practice has in a state, and takes those away that it had in another. */
async function writeRows(tx: Queryable, { practice }: StoredPractice, state: PracticeState) {
	if (state !== 'held') await removeLedger(tx, practice, 'done');
	if (state === 'cancelled') await removeLedger(tx, practice, 'planned');
	else await storePlanned(tx, practice);
	if (state === 'held') await storeDone(tx, practice);
	await forgetLater(tx, practice);
}

/**
 * Cancels a practice, calls it back, or notes that it was held: with those who came, as it was planned. What
 * it is planned to give or gave is written anew, so that no row of another state is left. Nothing happens
 * where it is so already. Those held before their day are refused.
 */
export async function turnPractices(
	db: Db,
	{
		teamId,
		ids,
		turn,
		today,
		submission
	}: { teamId: string; ids: readonly string[]; turn: unknown; today: string } & Submission
): Promise<Result<number, Misfit>> {
	const shape = readShape(Turn, turn);
	if (!shape.ok) return shape;
	const { to } = shape.value;
	return changeTeam(db, { teamId, submission }, async (tx): Promise<Result<number, Misfit>> => {
		let turned = 0;
		for (const id of ids) {
			const stored = await lockPractice(tx, teamId, id);
			if (!stored) return gone();
			if (to === 'held' && stored.practice.date > today)
				return fail({ path: ['practice'], message: say(texts.notHeldYet) });
			if ((await findState(tx, teamId, id)) === to) continue;
			const reason = 'reason' in shape.value ? shape.value.reason.trim() : null;
			await setState(tx, { teamId, id }, { state: to, reason });
			await writeRows(tx, stored, to);
			turned += 1;
		}
		return ok(turned);
	});
}

/**
 * Moves a practice to another day or time, as an edit of its plan; its rows move with it. One that was held
 * cannot have been on a day to come.
 */
export async function movePractice(
	db: Db,
	{
		teamId,
		id,
		to,
		today,
		submission
	}: { teamId: string; id: string; to: unknown; today: string } & Submission
): Promise<Result<null, Misfit>> {
	const shape = readShape(Move, to);
	if (!shape.ok) return shape;
	const { date = today } = shape.value;
	return changeTeam(db, { teamId, submission }, async (tx): Promise<Result<null, Misfit>> => {
		const stored = await lockPractice(tx, teamId, id);
		if (!stored) return gone();
		if (date > today && (await isHeld(tx, teamId, id)))
			return fail({ path: ['date'], message: say(texts.notHeldYet) });
		await applyStored(tx, stored, {
			id: nanoid(),
			edit: { type: 'set-practice', set: shape.value }
		});
		return ok(null);
	});
}
