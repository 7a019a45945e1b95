import { PGlite, type Transaction as PGliteTransaction } from '@electric-sql/pglite';
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import type { Db, Result, Transaction } from './handle';

/**
 * How the embedded PostgreSQL is started. By default it never asks the disk to keep anything, and its
 * file system passes on no fsync: a power cut then loses all that the kernel has not written yet. With
 * `open_datasync` the log is opened so that each write of a commit is on the disk when it returns.
 */
const START_PARAMETERS = [
	...PGlite.defaultStartParams.filter((parameter) => parameter !== '-F'),
	...['-c', 'wal_sync_method=open_datasync'],
	...['-c', 'full_page_writes=on'],
	// Segments that are kept for reuse: writing one that is there needs no new entry in its folder.
	...['-c', 'max_wal_size=64MB'],
	...['-c', 'min_wal_size=32MB'],
	// A checkpoint keeps what the one before it needs: until all of it is on the disk, that one counts.
	...['-c', 'wal_keep_size=48MB']
];

/** Opens the files of a folder, made where there are none; filled from a copy where `from` is given. */
export async function openEmbedded(files: string, from?: Blob): Promise<PGlite> {
	// The folder's lock says who holds it; what a power cut left of this one would only be in the way.
	rmSync(join(files, 'postmaster.pid'), { force: true });
	return PGlite.create({
		dataDir: files,
		startParams: START_PARAMETERS,
		...(from && { loadDataDir: from })
	});
}

const onTransaction = (tx: PGliteTransaction, origin: object): Transaction => ({
	origin,
	query: <Row>(sql: string, values: readonly unknown[] = []) => tx.query<Row>(sql, [...values]),
	exec: async (sql) => void (await tx.exec(sql))
});

/** The embedded database as the application uses it; `wrote` is told of every statement that wrote and every transaction. */
export function embeddedDb(pglite: PGlite, wrote: () => void = () => undefined): Db {
	return {
		origin: pglite,
		async query<Row>(sql: string, values: readonly unknown[] = []): Promise<Result<Row>> {
			const result = await pglite.query<Row>(sql, [...values]);
			if ((result.affectedRows ?? 0) > 0) wrote();
			return result;
		},
		exec: async (sql) => void (await pglite.exec(sql)),
		async transaction(run) {
			const value = await pglite.transaction((tx) => run(onTransaction(tx, pglite)));
			wrote();
			return value;
		},
		snapshot: (run) =>
			pglite.transaction(async (tx) => {
				// It has one connection: nothing is written while this runs, at whatever level.
				await tx.exec('set transaction read only');
				return run(onTransaction(tx, pglite));
			})
	};
}
