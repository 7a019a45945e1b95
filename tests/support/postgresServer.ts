import { execFileSync, spawn } from 'node:child_process';
import { chmodSync, existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';

/** Where Debian's packages put the programs of the server, one folder a version. */
const VERSIONS = '/usr/lib/postgresql';

/** Whoever may run the server where this process is root, who may not. */
const UNPRIVILEGED = 'nobody';

/** The folder of the newest server's programs; undefined where there is none. */
export function postgresPrograms(): string | undefined {
	const versions = existsSync(VERSIONS) ? readdirSync(VERSIONS) : [];
	return versions
		.sort((a, b) => Number(b) - Number(a))
		.map((version) => join(VERSIONS, version, 'bin'))
		.find((folder) => existsSync(join(folder, 'initdb')));
}

/** A PostgreSQL of our own. */
export interface PostgresServer {
	/** Address of a database of this name, for `pg`. */
	urlOf(database: string): string;
	stop(): Promise<void>;
}

const asServer = (program: string, args: readonly string[]): [string, string[]] =>
	process.getuid?.() === 0
		? ['runuser', ['-u', UNPRIVILEGED, '--', program, ...args]]
		: [program, [...args]];

async function answers(url: string): Promise<boolean> {
	const client = new pg.Client(url);
	try {
		await client.connect();
		await client.end();
		return true;
	} catch {
		return false;
	}
}

/**
 * Starts a PostgreSQL on a socket in a new temporary folder, which `stop` removes; undefined where none is
 * installed. `isDurable` has the disk keep each commit, as a real one does.
 */
export async function startPostgres({ isDurable = false } = {}): Promise<
	PostgresServer | undefined
> {
	const programs = postgresPrograms();
	if (!programs) return undefined;
	const folder = mkdtempSync(join(tmpdir(), 'fieldplan-pg-'));
	if (process.getuid?.() === 0) execFileSync('chown', [UNPRIVILEGED, folder]);
	chmodSync(folder, 0o700);
	const data = join(folder, 'data');
	const options = ['-D', data, '-U', 'fieldplan', '--auth=trust', '-E', 'UTF8', '--no-sync'];
	execFileSync(...asServer(join(programs, 'initdb'), [...options, '--locale=C.UTF-8']), {
		cwd: folder,
		stdio: 'ignore'
	});
	const settings = ['listen_addresses=', `unix_socket_directories=${folder}`];
	if (!isDurable) settings.push('fsync=off', 'synchronous_commit=off', 'full_page_writes=off');
	const child = spawn(
		...asServer(join(programs, 'postgres'), [
			...['-D', data],
			...settings.flatMap((setting) => ['-c', setting])
		]),
		{ cwd: folder, stdio: 'ignore' }
	);
	const ended = new Promise<void>((resolve) => child.once('exit', () => resolve()));
	const urlOf = (database: string) =>
		`postgresql://fieldplan@localhost/${database}?host=${encodeURIComponent(folder)}`;
	while (!(await answers(urlOf('postgres')))) {
		if (child.exitCode !== null) throw new Error('PostgreSQL does not start');
		await new Promise((resolve) => setTimeout(resolve, 50));
	}
	return {
		urlOf,
		async stop() {
			// Fast: the server ends its connections by itself.
			execFileSync(
				...asServer(join(programs, 'pg_ctl'), ['stop', '-D', data, '-m', 'fast', '-s']),
				{
					cwd: folder
				}
			);
			await ended;
			rmSync(folder, { recursive: true, force: true });
		}
	};
}
