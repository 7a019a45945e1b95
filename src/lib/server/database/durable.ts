import { open, readdir } from 'node:fs/promises';
import { join } from 'node:path';

/** Files that are synced side by side: more gain nothing, since the disk takes them one by one. */
const SIDE_BY_SIDE = 8;

/** Asks the disk to keep a file, or the entries of a folder. What has gone meanwhile needs no keeping. */
export async function syncPath(path: string): Promise<void> {
	try {
		const file = await open(path, 'r');
		try {
			await file.sync();
		} finally {
			await file.close();
		}
	} catch (error) {
		const { code } = error as NodeJS.ErrnoException;
		// Windows syncs no folder: EPERM and EISDIR come from there.
		if (code !== 'ENOENT' && code !== 'EPERM' && code !== 'EISDIR') throw error;
	}
}

/**
 * Asks the disk to keep every file below a folder, then the folders' entries. `last` is kept after all
 * others: the file that says that they are there.
 */
export async function syncTree(folder: string, last?: string): Promise<void> {
	const entries = await readdir(folder, { recursive: true, withFileTypes: true });
	const paths = (folders: boolean) =>
		entries
			.filter((entry) => (folders ? entry.isDirectory() : entry.isFile()))
			.map((entry) => join(entry.parentPath, entry.name));
	const files = paths(false).filter((path) => path !== last);
	for (let k = 0; k < files.length; k += SIDE_BY_SIDE)
		await Promise.all(files.slice(k, k + SIDE_BY_SIDE).map(syncPath));
	for (const path of [...paths(true), folder]) await syncPath(path);
	if (last !== undefined) await syncPath(last);
}
