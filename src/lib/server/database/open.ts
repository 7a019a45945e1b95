import { existsSync, mkdirSync, readFileSync, renameSync, rmSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import type { Db } from './handle';
import { lockDirectory } from './lock';
import { listMigrations, migrate } from './migrate';
import { StartRefusal } from './refusal';

/** The major version of PostgreSQL that the embedded database is; its files fit no other. */
export const POSTGRES_MAJOR = '18';

/** An open database and how to close it. */
export interface OpenDatabase {
	db: Db;
	close(): Promise<void>;
}

function checkVersion(files: string): void {
	const version = readFileSync(join(files, 'PG_VERSION'), 'utf8').trim();
	if (version === POSTGRES_MAJOR) return;
	throw new StartRefusal(
		`The data in ${files} is of PostgreSQL ${version}; this Field Plan reads version ${POSTGRES_MAJOR}. Export it with the Field Plan that wrote it, or set FIELDPLAN_DATA to another folder.`
	);
}

/** Makes the database files beside their place and moves them there whole. */
async function create(files: string): Promise<void> {
	const unfinished = `${files}.new`;
	rmSync(unfinished, { recursive: true, force: true });
	const made = await PGlite.create(unfinished);
	await made.close();
	renameSync(unfinished, files);
}

/**
 * Opens the database of a data directory, made where there is none, at the newest schema. Holds the
 * directory until `close`. Throws `StartRefusal` where another process holds it or its version differs.
 */
export async function openDatabase(directory: string): Promise<OpenDatabase> {
	const root = resolve(directory);
	mkdirSync(root, { recursive: true });
	const release = lockDirectory(root);
	try {
		const files = join(root, 'postgres');
		if (!existsSync(join(files, 'PG_VERSION'))) await create(files);
		checkVersion(files);
		const db = await PGlite.create(files);
		await migrate(db, listMigrations());
		return {
			db,
			async close() {
				await db.close();
				release();
			}
		};
	} catch (error) {
		release();
		throw error;
	}
}
