import { readFile } from 'node:fs/promises';
import { PGlite } from '@electric-sql/pglite';
import { inject } from 'vitest';
import type { Db } from '../../src/lib/server/database';
import { seedDemo } from '../../src/lib/server/usecases/seedDemo';

const holder = globalThis as { testDb?: Promise<PGlite> };

async function load(): Promise<PGlite> {
	return PGlite.create({ loadDataDir: new Blob([await readFile(inject('databaseTemplate'))]) });
}

/** The test database of this process, filled with one team of the demo, or those named, and nothing else. */
export async function demoDb(teams = ['saltmarsh']): Promise<Db> {
	const db = await (holder.testDb ??= load());
	await db.exec('truncate team, installation, submission cascade');
	await seedDemo(db, { teams });
	return db;
}

/** Fills an empty directory with the files of a database at the newest schema. */
export async function databaseFiles(directory: string): Promise<void> {
	const template = new Blob([await readFile(inject('databaseTemplate'))]);
	const db = await PGlite.create({ dataDir: directory, loadDataDir: template });
	await db.close();
}
