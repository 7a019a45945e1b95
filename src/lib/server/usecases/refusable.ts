import { fail, type Result } from '$core/base';
import type { Db, Queryable } from '../database';

/** Thrown within a transaction to leave everything as it was. */
class Refusal<Reason> extends Error {
	constructor(readonly reason: Reason) {
		super('refused');
	}
}

/**
 * Runs a transaction that can be refused: a failure that `run` gives leaves everything as it was and is
 * what comes back.
 */
export async function refusable<Value, Reason>(
	db: Db,
	run: (tx: Queryable) => Promise<Result<Value, Reason>>
): Promise<Result<Value, Reason>> {
	try {
		return await db.transaction(async (tx) => {
			const result = await run(tx);
			if (!result.ok) throw new Refusal(result.failure);
			return result;
		});
	} catch (error) {
		if (error instanceof Refusal) return fail(error.reason as Reason);
		throw error;
	}
}
