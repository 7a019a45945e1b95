import { describeFailure } from '$core/checks';
import { speaker } from '$words';
import { applyEdit, type EditFailure, practiceFault, type SentEdit } from '$core/practice';
import { Practice } from '$core/model/practice';
import { assertNever, fail, ok, sameValue, type Result } from '$core/base';
import { readShape, type Misfit } from '../../../../doors';
import type { Db, Queryable } from '../../database';
import {
	findPractice,
	lockPractice,
	insertEdits,
	knownEdits,
	updatePractice,
	type StoredPractice
} from '../../repositories/practices';
import { holdTeam } from '../../repositories/teams';
import { memoryOf, type Played } from '../../memory';
import { storeChanged } from './summaries';
import { say } from '../../say';
import texts from '$texts/refusals';

/** Why edits were not taken; nothing of them is stored then. */
export type SaveFailure =
	| { reason: 'not-found' }
	/** Others were first: the newest state, and which of the edits it holds already. */
	| { reason: 'stale'; current: StoredPractice; known: string[] }
	/** The edit that does not apply. */
	| { reason: 'refused'; edit: string; why: EditFailure }
	/** What the practice would be no practice with; the edit that makes it so, where it is one. */
	| { reason: 'misfit'; edit?: string; misfit: Misfit };

/** Edits of one practice as they came in, made on the state `revision`. */
export interface SaveRequest {
	teamId: string;
	practiceId: string;
	revision: number;
	edits: readonly SentEdit[];
}

class Rollback extends Error {
	constructor(readonly failure: SaveFailure) {
		super('rolled back');
	}
}

function replay(practice: Practice, edits: readonly SentEdit[]): Result<Practice, SaveFailure> {
	const states = [practice];
	for (const { id, edit } of edits) {
		const applied = applyEdit(states[states.length - 1], edit);
		if (!applied.ok) return fail({ reason: 'refused', edit: id, why: applied.failure });
		states.push(applied.value.practice);
	}
	const last = states[states.length - 1];
	const misfit = misfitOf(last);
	if (!misfit) return ok(last);
	// The edit after which it first fits no more is at fault; looked for only where there is one.
	const at = states.findIndex((state) => misfitOf(state) !== null);
	return fail({ reason: 'misfit', misfit, ...(at > 0 && { edit: edits[at - 1].id }) });
}

/** What keeps a document from being a practice; null where it is one. */
function misfitOf(practice: Practice): Misfit | null {
	const read = readShape(Practice, practice);
	return read.ok ? practiceFault(read.value) : read.failure;
}

/** The first edit whose id comes twice: which of the two is meant cannot be told. */
function doubleIn(edits: readonly SentEdit[]): SaveFailure | null {
	const seen = new Set<string>();
	for (const [index, { id }] of edits.entries()) {
		if (seen.has(id))
			return {
				reason: 'misfit',
				misfit: { path: ['edits', index, 'id'], message: say(texts.isTwice) }
			};
		seen.add(id);
	}
	return null;
}

async function save(tx: Queryable, request: SaveRequest): Promise<Written> {
	const { teamId, practiceId: id, revision, edits } = request;
	await holdTeam(tx, teamId);
	const stored = await lockPractice(tx, teamId, id);
	if (!stored) throw new Rollback({ reason: 'not-found' });
	const known = await knownEdits(
		tx,
		{ teamId, id },
		edits.map((edit) => edit.id)
	);
	const fresh = edits.filter((edit) => !known.has(edit.id));
	if (fresh.length === 0) return { stored };
	const stale: SaveFailure = { reason: 'stale', current: stored, known: [...known] };
	if (stored.revision !== revision) throw new Rollback(stale);
	return write(tx, stored, fresh);
}

/** A practice as it is stored now, and as it was played for that. */
interface Written {
	stored: StoredPractice;
	played?: Played;
}

const memoryKey = ({ teamId, id }: Pick<Practice, 'teamId' | 'id'>) => `${teamId} ${id}`;

/** Replays edits on a stored practice and writes the next state; throws what was refused. */
async function write(
	tx: Queryable,
	stored: StoredPractice,
	edits: readonly SentEdit[]
): Promise<Written> {
	const known = memoryOf(tx).played.get(memoryKey(stored.practice));
	const isSame =
		known?.revision === stored.revision && sameValue(known.evaluation.practice, stored.practice);
	// The same objects, so that what did not change is known to be the same.
	const before = isSame ? known.evaluation.practice : stored.practice;
	const replayed = replay(before, edits);
	if (!replayed.ok) throw new Rollback(replayed.failure);
	const practice = replayed.value;
	const { teamId, id } = practice;
	if (!(await updatePractice(tx, practice, stored.revision)))
		throw new Rollback({ reason: 'stale', current: stored, known: [] });
	const revision = stored.revision + 1;
	await insertEdits(tx, { teamId, id, revision }, edits);
	const played = await storeChanged(tx, practice, isSame ? known : undefined);
	return { stored: { revision, practice }, played };
}

/** Applies one edit to the newest state of a practice within a transaction of the caller. */
export async function applyStored(
	tx: Queryable,
	stored: StoredPractice,
	edit: SentEdit
): Promise<StoredPractice> {
	return (await write(tx, stored, [edit])).stored;
}

/**
 * Replays edits on the stored practice, all or none, and gives the new state. Edits that it has had
 * before are answered and not applied again. The ledger is written in the same transaction.
 */
export async function saveEdits(
	db: Db,
	request: SaveRequest
): Promise<Result<StoredPractice, SaveFailure>> {
	const double = doubleIn(request.edits);
	if (double) return fail(double);
	try {
		const { stored, played } = await db.transaction((tx) => save(tx, request));
		// Only what was committed is remembered.
		if (played)
			memoryOf(db).played.set(memoryKey(stored.practice), { ...played, revision: stored.revision });
		return ok(stored);
	} catch (error) {
		if (error instanceof Rollback) return fail(error.failure);
		throw error;
	}
}

/** Which of these edits a practice has had already, and its state; undefined where there is no such practice. */
export async function findKnown(
	db: Db,
	{ teamId, practiceId: id, edits }: { teamId: string; practiceId: string; edits: string[] }
): Promise<{ current: StoredPractice; known: string[] } | undefined> {
	return db.snapshot(async (tx) => {
		const current = await findPractice(tx, teamId, id);
		if (!current) return undefined;
		return { current, known: [...(await knownEdits(tx, { teamId, id }, edits))] };
	});
}

/** A failure of saving in words, with the place it is about. */
export function describeSaveFailure(failure: Exclude<SaveFailure, { reason: 'stale' }>): Misfit {
	switch (failure.reason) {
		case 'not-found':
			return { path: [], message: say(texts.noPractice) };
		case 'misfit':
			return failure.misfit;
		case 'refused':
			return { path: [], message: describeFailure(failure.why, speaker(undefined)) };
		default:
			return assertNever(failure);
	}
}
