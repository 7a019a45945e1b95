import type { Result } from '$core/base';
import type { Misfit } from '../../../../doors';
import type { OpenDatabase } from '../../database';
import { importAll, type Imported } from './importAll';

/**
 * Imports a file: what is there is backed up first, and the disk has all of it when it is answered. A file
 * that is refused makes no backup. Otherwise as `importAll`.
 */
export async function importSafely(
	{ db, folder }: Pick<OpenDatabase, 'db' | 'folder'>,
	bytes: Uint8Array
): Promise<Result<Imported, Misfit>> {
	const outcome = await importAll(db, bytes, async () => folder?.backUp('import'));
	if (outcome.ok) await folder?.keepHouse();
	return outcome;
}
