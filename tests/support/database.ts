import { readFile } from 'node:fs/promises';
import { PGlite } from '@electric-sql/pglite';
import pg from 'pg';
import { inject } from 'vitest';
import { embeddedDb, openDatabaseServer, type Db } from '../../src/lib/server/database';
import { seedDemo } from '../../src/lib/server/usecases/team/seedDemo';

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

/** The tables with the columns that can be written. */
async function tablesOf(db: Db): Promise<{ name: string; columns: string }[]> {
	const { rows } = await db.query<{ name: string; columns: string }>(
		`select table_name as name, string_agg(quote_ident(column_name), ', ') as columns
		 from information_schema.columns
		 where table_schema = 'public' and table_name <> 'schema_step' and is_generated = 'NEVER'
		 group by table_name`
	);
	return rows;
}

/** Copies all rows aside into a schema of its own. */
async function keepRows(db: Db, schema: string): Promise<void> {
	const copies = (await tablesOf(db)).map(
		({ name, columns }) => `create table ${schema}.${name} as select ${columns} from ${name};`
	);
	await db.exec(`create schema ${schema}; ${copies.join('\n')}`);
}

/** Puts rows that were copied aside into the empty tables; no trigger runs, so the order does not matter. */
async function fillFrom(db: Db, schema: string): Promise<void> {
	const fills = (await tablesOf(db)).map(
		({ name, columns }) =>
			`insert into ${name} (${columns}) overriding system value select ${columns} from ${schema}.${name};`
	);
	await db.exec(`begin; set local session_replication_role = replica; ${fills.join('\n')} commit;`);
}

/** Schemas with rows that were copied aside, by the teams in them. */
const kept = new Map<string, string>();

/**
 * The test database of this process, filled with one team of the demo, or those named, and nothing else:
 * on the server in tests that run there, else embedded. Filling takes a while and is done once for each choice.
 */
export async function demoDb(teams = ['saltmarsh']): Promise<Db> {
	const db = await (holder.testDb ??= openEmpty());
	await db.exec('truncate team, installation, submission cascade');
	const key = teams.join();
	const schema = kept.get(key);
	if (schema) {
		await fillFrom(db, schema);
		return db;
	}
	await seedDemo(db, { teams });
	const name = `kept_${kept.size}_${Date.now()}`;
	await keepRows(db, name);
	kept.set(key, name);
	return db;
}

/** Fills an empty directory with the files of a database at the newest schema. */
export async function databaseFiles(directory: string): Promise<void> {
	const template = new Blob([await readFile(inject('databaseTemplate'))]);
	const db = await PGlite.create({ dataDir: directory, loadDataDir: template });
	await db.close();
}
