import { readFile } from 'node:fs/promises';
import { PGlite } from '@electric-sql/pglite';
import pg from 'pg';
import { inject } from 'vitest';
import { embeddedDb, openDatabaseServer, type Db } from '../../src/lib/server/database';
import { seedDemo } from '../../src/lib/server/usecases/seedDemo';

const holder = globalThis as { testDb?: Promise<Db> };

async function openEmpty(): Promise<Db> {
	const url = process.env.VITEST_DATABASE === 'server' ? inject('postgresUrl') : '';
	if (url !== '') return (await openDatabaseServer(await emptyOn(url))).db;
	const template = new Blob([await readFile(inject('databaseTemplate'))]);
	return embeddedDb(await PGlite.create({ loadDataDir: template }));
}

/** Makes a database on a server from another, the one at the newest schema if none is named; gives its address. */
export async function emptyOn(
	url: string,
	{ name = `t${process.pid}`, template = 'template' } = {}
): Promise<string> {
	const client = new pg.Client(url);
	await client.connect();
	await client.query(`create database ${name} template ${template}`);
	await client.end();
	return url.replace('/postgres?', `/${name}?`);
}

/**
 * The test database of this process, filled with one team of the demo, or those named, and nothing else:
 * on the server in tests that run there, else embedded.
 */
export async function demoDb(teams = ['saltmarsh']): Promise<Db> {
	const db = await (holder.testDb ??= openEmpty());
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
