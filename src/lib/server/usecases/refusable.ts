import { fail, type Result } from '$core/base';
import type { Db, Queryable } from '../database';
import { lockTeam } from '../repositories/teams';
import { once } from './submission';

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

/** Changes what a team has in one step, while nobody else does; gives what that gives. */
export const changeAlone = <Value>(
	db: Db,
	teamId: string,
	run: (tx: Queryable) => Promise<Value>
): Promise<Value> =>
	db.transaction(async (tx) => {
		await lockTeam(tx, teamId);
		return run(tx);
	});

/**
 * Changes what a team has, all of it or nothing, one change after another. Sent again under the same
 * `submission` it is answered and not done again. Otherwise as `refusable`.
 */
export async function changeTeam<Value, Reason>(
	db: Db,
	{ teamId, submission }: { teamId: string; submission?: string },
	run: (tx: Queryable) => Promise<Result<Value, Reason>>
): Promise<Result<Value, Reason>> {
	return refusable(db, async (tx) => {
		await lockTeam(tx, teamId);
		return once(tx, submission, () => run(tx));
	});
}
