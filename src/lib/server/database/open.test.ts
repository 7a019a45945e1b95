import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { databaseFiles } from '../../../../tests/support/database';
import {
	listMigrations,
	lockDirectory,
	migrate,
	openDatabase,
	POSTGRES_MAJOR,
	StartRefusal
} from '.';

let directory: string;
const children: ChildProcess[] = [];

beforeEach(() => {
	directory = mkdtempSync(join(tmpdir(), 'fieldplan-'));
});
afterEach(() => {
	for (const child of children.splice(0)) child.kill('SIGKILL');
	rmSync(directory, { recursive: true, force: true });
});

/** A process that locks the directory; gives what it says first and the process. */
async function locker(): Promise<{ said: string; child: ChildProcess }> {
	const lock = new URL('./lock.ts', import.meta.url).pathname;
	const script = `import { lockDirectory } from ${JSON.stringify(lock)};
		try { lockDirectory(${JSON.stringify(directory)}); console.log('held'); setInterval(() => {}, 1000); }
		catch (error) { console.log(error.name + ': ' + error.message); }`;
	const child = spawn(process.execPath, ['--import', 'tsx', '--input-type=module', '-e', script]);
	children.push(child);
	const [data] = await once(child.stdout, 'data');
	return { said: String(data), child };
}

describe('lockDirectory', () => {
	test('refuses a directory that a living process holds, and names it', async () => {
		const { said, child } = await locker();
		expect(said).toBe('held\n');
		expect(() => lockDirectory(directory)).toThrow(StartRefusal);
		expect(() => lockDirectory(directory)).toThrow(`process ${child.pid}`);
		expect((await locker()).said).toContain('StartRefusal');
	});

	test('takes over at once from a process that was killed', async () => {
		const { child } = await locker();
		child.kill('SIGKILL');
		await once(child, 'exit');
		lockDirectory(directory)();
	});

	test('takes over from a process id that now is another process', () => {
		const stale = {
			pid: process.pid,
			boot: 'an earlier start of the machine',
			started: '1',
			token: 'x'
		};
		writeFileSync(join(directory, 'fieldplan.lock'), JSON.stringify(stale));
		lockDirectory(directory)();
	});

	test('lets go, and takes over what is no lock at all', () => {
		lockDirectory(directory)();
		writeFileSync(join(directory, 'fieldplan.lock'), 'half a lo');
		lockDirectory(directory)();
	});
});

describe('openDatabase', () => {
	test('keeps what was stored over a close, and runs on the version that it names', async () => {
		await databaseFiles(join(directory, 'postgres'));
		const first = await openDatabase(directory);
		await first.db.query(`insert into team (id, body) values ('t', '{"name": "T"}')`);
		await expect(openDatabase(directory)).rejects.toThrow(StartRefusal);
		await first.close();
		const second = await openDatabase(directory);
		const teams = await second.db.query('select id from team');
		const version = await second.db.query<{ major: string }>(
			`select left(current_setting('server_version_num'), 2) as major`
		);
		await second.close();
		expect(teams.rows).toEqual([{ id: 't' }]);
		expect(version.rows[0].major).toBe(POSTGRES_MAJOR);
	});

	test('refuses files of another version and lets go of the directory', async () => {
		await databaseFiles(join(directory, 'postgres'));
		writeFileSync(join(directory, 'postgres', 'PG_VERSION'), '15\n');
		await expect(openDatabase(directory)).rejects.toThrow('PostgreSQL 15');
		lockDirectory(directory)();
	});

	test('refuses data of a newer application, and steps that were changed later', async () => {
		await databaseFiles(join(directory, 'postgres'));
		const { db, close } = await openDatabase(directory);
		const [first] = listMigrations();
		await expect(migrate(db, [{ ...first, sql: `${first.sql} ` }])).rejects.toThrow('has changed');
		await db.query(
			`insert into schema_step (number, name, hash) values (9999, '9999_later.sql', '')`
		);
		await close();
		await expect(openDatabase(directory)).rejects.toThrow('newer Field Plan');
	});

	test('leaves no half of a step behind', async () => {
		await databaseFiles(join(directory, 'postgres'));
		const { db, close } = await openDatabase(directory);
		const known = listMigrations();
		const broken = {
			number: known.length + 1,
			name: 'broken.sql',
			sql: 'create table half (a int); select 1/0;'
		};
		await expect(migrate(db, [...known, broken])).rejects.toThrow();
		const { rows } = await db.query(`select 1 from pg_tables where tablename = 'half'`);
		await close();
		expect(rows).toEqual([]);
	});
});
