import { createHash } from 'node:crypto';
import type { Misfit } from '../../../doors';
import type { Queryable } from '../database';
import { claimSubmission, findAnswer, keepAnswer } from '../repositories/submissions';
import { say } from '../say';
import texts from '$texts/refusals';

/** Why a form was not taken. */
export interface Refused extends Misfit {
	/** The stamp of what holds now, where somebody else has saved since the form was read. */
	newest?: string;
}

/** What comes with a form beside its fields. */
export interface Submission {
	/** The stamp of what the form was read from; undefined where it is not asked for. */
	base?: string;
	/** An id that the sender made: what is sent again under it is not done again. */
	submission?: string;
}

/** A stamp of stored values: the same for the same values, another for any other. */
export const stampOf = (stored: unknown): string =>
	createHash('sha256').update(JSON.stringify(stored)).digest('hex').slice(0, 16);

/** Says that somebody else has saved since a form was read; null where what it was read from still holds. */
export function staleness(base: string | undefined, stored: unknown): Refused | null {
	const newest = stampOf(stored);
	if (base === undefined || base === newest) return null;
	return { path: [], message: say(texts.savedMeanwhile), newest };
}

/** What comes with a form beside its fields, read from it. */
export function submissionOf(form: FormData): Required<Pick<Submission, 'base'>> & Submission {
	const id = String(form.get('submission') ?? '');
	return {
		base: String(form.get('base') ?? ''),
		...(/^[\w-]{8,64}$/.test(id) && { submission: id })
	};
}

/**
 * Does something once within a transaction: sent again under the same id it gives what it gave. Answers
 * are JSON. Without an id it is done each time.
 */
export async function once<Answer>(
	tx: Queryable,
	id: string | undefined,
	run: () => Promise<Answer>
): Promise<Answer> {
	if (id === undefined) return run();
	// Claimed before it is done: whoever sends the same at the same time waits here for the answer.
	if (!(await claimSubmission(tx, id))) return findAnswer<Answer>(tx, id);
	const answer = await run();
	await keepAnswer(tx, id, answer);
	return answer;
}
