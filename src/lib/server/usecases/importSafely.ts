import type { Result } from '$core/base';
import type { Misfit } from '../../../doors';
import type { OpenDatabase } from '../database';
import { importAll, type Imported } from './transfer';

/**
 * Takes in an export over what is there: copied first, and on the disk when it is answered. Otherwise as
 * `importAll`.
 */
export async function importSafely(
	database: Pick<OpenDatabase, 'db' | 'backUp' | 'keepHouse'>,
	bytes: Uint8Array
): Promise<Result<Imported, Misfit>> {
	await database.backUp('import');
	const outcome = await importAll(database.db, bytes);
	if (outcome.ok) await database.keepHouse();
	return outcome;
}
