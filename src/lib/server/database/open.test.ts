import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { databaseFiles } from '../../../../tests/support/database';
import {
	isDailyDue,
	listBackups,
	listMigrations,
	lockDirectory,
	makeBackup,
	migrate,
	openDatabase,
	POSTGRES_MAJOR,
	restoreFolder,
	StartRefusal
} from '.';
import { openEmbedded } from './embedded';
import { scratchFolder } from '../../../../tests/support/scratch';

let directory: string;
const children: ChildProcess[] = [];

beforeEach(() => {
	directory = scratchFolder('fieldplan');
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
		const path = join(directory, 'fieldplan.lock');
		const own = { boot: readFileSync('/proc/sys/kernel/random/boot_id', 'utf8').trim() };
		const garbage = [
			'half a lo',
			'\0\0\0',
			'[]',
			'null',
			...[0, -1, 1.5, 1e300].map((pid) => JSON.stringify({ ...own, pid, started: '', token: 'x' })),
			JSON.stringify({ ...own, pid: process.pid })
		];
		for (const text of garbage) {
			writeFileSync(path, text);
			lockDirectory(directory)();
		}
		mkdirSync(path);
		lockDirectory(directory)();
	});
});

/** Bytes of all files below a folder. */
const bytesIn = (folder: string): number =>
	readdirSync(folder, { recursive: true, withFileTypes: true })
		.filter((entry) => entry.isFile())
		.reduce((sum, entry) => sum + statSync(join(entry.parentPath, entry.name)).size, 0);

const logSegments = (root: string) =>
	readdirSync(join(root, 'postgres', 'pg_wal')).filter((name) => /^[0-9A-F]{24}$/.test(name))
		.length;

describe('copies', () => {
	test('are made whole, the ten newest are kept, and any is gone back to', async () => {
		await databaseFiles(join(directory, 'postgres'));
		const pglite = await openEmbedded(join(directory, 'postgres'));
		await pglite.query(`insert into team (id, body) values ('first', '{}')`);
		const at = (minute: number) => new Date(Date.UTC(2027, 3, 6, 18, minute));
		mkdirSync(join(directory, 'backups'));
		const older = Array.from(
			{ length: 10 },
			(_, day) => `2027-03-${day + 10}T18-00-00Z-daily.tar.gz`
		);
		for (const name of older) writeFileSync(join(directory, 'backups', name), '');
		writeFileSync(join(directory, 'backups', 'half.tar.gz.part'), 'torn');
		const first = await makeBackup(pglite, directory, { reason: 'daily', now: at(1) });
		await pglite.query(`insert into team (id, body) values ('second', '{}')`);
		const second = await makeBackup(pglite, directory, { reason: 'daily', now: at(11) });
		await pglite.close();
		expect(readdirSync(join(directory, 'backups')).sort()).toEqual([
			...older.slice(2),
			first,
			second
		]);
		expect(listBackups(directory)[0]).toMatchObject({
			at: '2027-04-06T18:11:00Z',
			reason: 'daily'
		});
		expect(isDailyDue(directory, at(12))).toBe(false);
		expect(isDailyDue(directory, new Date(Date.UTC(2027, 3, 7, 18, 11)))).toBe(true);
		await restoreFolder(directory, first);
		const { db, close } = await openDatabase(directory);
		const { rows } = await db.query('select id from team');
		await close();
		expect(rows).toEqual([{ id: 'first' }]);
	});

	test('that cannot be read, or are not there, change nothing', async () => {
		await databaseFiles(join(directory, 'postgres'));
		await (await openDatabase(directory)).close();
		const spoilt = '2027-04-06T18-00-00Z-daily.tar.gz';
		mkdirSync(join(directory, 'backups'));
		writeFileSync(join(directory, 'backups', spoilt), 'no copy');
		await expect(restoreFolder(directory, spoilt)).rejects.toThrow('cannot be read');
		await expect(restoreFolder(directory, '../../etc/passwd')).rejects.toThrow('no copy called');
		await (await openDatabase(directory)).close();
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

	test('opens what a power cut has left of the process before', async () => {
		await databaseFiles(join(directory, 'postgres'));
		writeFileSync(join(directory, 'postgres', 'postmaster.pid'), '');
		await (await openDatabase(directory)).close();
		writeFileSync(join(directory, 'postgres', 'postmaster.pid'), 'garbage\0');
		await (await openDatabase(directory)).close();
	});

	test.each([
		['PG_VERSION', 'PG_VERSION is missing'],
		['global/pg_control', 'does not open'],
		['global/pg_filenode.map', 'does not open']
	])(
		'says of data without %s which copy is newest, and how to go back to it',
		async (file, says) => {
			await databaseFiles(join(directory, 'postgres'));
			const first = await openDatabase(directory);
			await first.db.query(`insert into team (id, body) values ('t', '{"name": "T"}')`);
			const name = await first.folder.backUp('asked');
			await first.close();
			rmSync(join(directory, 'postgres', file));
			const opened = openDatabase(directory);
			await expect(opened).rejects.toThrow(StartRefusal);
			await expect(opened).rejects.toThrow(says);
			await expect(opened).rejects.toThrow(`restore ${name}`);
			expect(await restoreFolder(directory, 'newest')).toBe(name);
			const { db, close } = await openDatabase(directory);
			const teams = await db.query('select id from team');
			await close();
			expect(teams.rows).toEqual([{ id: 't' }]);
		}
	);

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

	test('copies data before it brings it to a newer schema', async () => {
		await databaseFiles(join(directory, 'postgres'));
		await (await openDatabase(directory)).close();
		expect(listBackups(directory)).toEqual([]);
		const known = listMigrations();
		const next = { number: known.length + 1, name: 'next.sql', sql: 'create table next (a int)' };
		await (await openDatabase(directory, { migrations: [...known, next] })).close();
		expect(listBackups(directory)).toMatchObject([{ reason: 'migration' }]);
		const [{ name }] = listBackups(directory);
		await expect(openDatabase(directory)).rejects.toThrow('newer Field Plan');
		await restoreFolder(directory, name);
		await (await openDatabase(directory)).close();
	});

	test('keeps its folder small while much is written, and all of it', async () => {
		await databaseFiles(join(directory, 'postgres'));
		const { db, close } = await openDatabase(directory);
		const text = 'x'.repeat(4000);
		await db.query(`insert into team (id, body) values ('t', '{}')`);
		const before = bytesIn(directory);
		for (let k = 0; k < 900; k += 1)
			await db.transaction((tx) =>
				tx.query(`update team set body = jsonb_build_object('n', $1::int, 't', $2::text)`, [
					k,
					text
				])
			);
		const grown = bytesIn(directory) - before;
		const { rows } = await db.query<{ n: number }>(`select (body ->> 'n')::int as n from team`);
		await close();
		expect(rows).toEqual([{ n: 899 }]);
		// Without housekeeping it is the log alone that grows by 16 MB for every segment that fills.
		expect(grown).toBeLessThan(40_000_000);
		expect(logSegments(directory)).toBeLessThanOrEqual(4);
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
