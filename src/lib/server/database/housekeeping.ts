import { join } from 'node:path';
import type { PGlite } from '@electric-sql/pglite';
import { syncTree } from './durable';
import { embeddedDb } from './embedded';
import type { Db } from './handle';
import { storageTrouble } from './room';

/** Writes after which the house is kept: 5 to 28 ms then, and the folder stays as small as it was. */
const WRITES_BETWEEN = 150;

/**
 * Throws away what updates have left behind, writes a checkpoint, and asks the disk to keep the files.
 * The embedded database has no workers that would do it by themselves.
 */
export async function keepHouse(pglite: PGlite, files: string): Promise<void> {
	const { rows } = await pglite.query<{ name: string }>(
		`select quote_ident(tablename) as name from pg_tables where schemaname = 'public' order by 1`
	);
	// One statement a call: vacuum runs in no transaction, and several in one call are one.
	for (const { name } of rows) await pglite.exec(`vacuum ${name}`);
	await pglite.exec('checkpoint');
	await syncFiles(files);
}

/** Asks the disk to keep a database: what a checkpoint wrote first, then the file that names the checkpoint. */
export const syncFiles = (files: string): Promise<void> =>
	syncTree(files, join(files, 'global', 'pg_control'));

/** A database whose writes are counted: after so many of them the house is kept. */
export interface KeptHouse {
	db: Db;
	/** Keeps the house now, after what is under way. */
	keep(): Promise<void>;
	/** Waits for housekeeping that is under way. */
	settled(): Promise<void>;
}

/** Counts the writes of a database and keeps its house; trouble in it is told and tried again later. */
export function withHousekeeping(
	pglite: PGlite,
	files: string,
	writesBetween = WRITES_BETWEEN
): KeptHouse {
	let writes = 0;
	let running: Promise<void> | null = null;

	function keep(): Promise<void> {
		// A disk without room is left alone: keeping the house writes, and the log must not run out.
		if (storageTrouble(files)) return Promise.resolve();
		writes = 0;
		running ??= keepHouse(pglite, files).finally(() => (running = null));
		return running;
	}
	function count(): void {
		writes += 1;
		if (writes < writesBetween) return;
		keep().catch((error: Error) => console.error(`Housekeeping failed: ${error.message}`));
	}
	return {
		db: embeddedDb(pglite, count),
		keep,
		settled: async () => {
			await running?.catch(() => null);
		}
	};
}
