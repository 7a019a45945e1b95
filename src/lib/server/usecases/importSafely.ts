import type { Result } from '$core/base';
import type { Misfit } from '../../../doors';
import type { OpenDatabase } from '../database';
import { importAll, type Imported } from './transfer';

/**
 * Imports a file: what is there is backed up first, and the disk has all of it when it is answered. A file
 * that is refused makes no backup. Otherwise as `importAll`.
 */
export async function importSafely(
	database: Pick<OpenDatabase, 'db' | 'backUp' | 'keepHouse'>,
	bytes: Uint8Array
): Promise<Result<Imported, Misfit>> {
	const outcome = await importAll(database.db, bytes, () => database.backUp('import'));
	if (outcome.ok) await database.keepHouse();
	return outcome;
}
