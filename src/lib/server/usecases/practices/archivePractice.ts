import type { Db } from '../../database';
import { findPractice, setArchived } from '../../repositories/practices';
import { changeAlone } from '../refusable';
import { forgetLater } from './summaries';

/**
 * Puts a practice away, or takes it out again; false where the team has none of this id. Those after it are
 * no longer checked with what it costs, or are again.
 */
export const archivePractice = (
	db: Db,
	{ teamId, id, archived }: { teamId: string; id: string; archived: boolean }
): Promise<boolean> =>
	changeAlone(db, teamId, async (tx) => {
		if (!(await setArchived(tx, { teamId, id, archived }))) return false;
		const stored = await findPractice(tx, teamId, id);
		if (stored) await forgetLater(tx, stored.practice);
		return true;
	});
