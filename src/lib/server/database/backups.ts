import type { PGlite } from '@electric-sql/pglite';
import { existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { open, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { gunzip, gzip } from 'node:zlib';
import { syncPath, syncTree } from './durable';
import { openEmbedded } from './embedded';
import { listMigrations } from './migrate';
import { StartRefusal } from './refusal';

/** Why a copy was made. */
export type BackupReason = 'daily' | 'migration' | 'import' | 'restore' | 'asked';

/** A copy of everything. */
export interface Backup {
	/** Its name in the folder of copies. */
	name: string;
	/** The instant that it holds, in UTC: `2027-04-06T17:30:00Z`. */
	at: string;
	reason: BackupReason;
	bytes: number;
}

/** Copies that are kept; the oldest go. */
const MOST_KEPT = 10;

const NAME = /^(\d{4}-\d\d-\d\d)T(\d\d)-(\d\d)-(\d\d)Z-([a-z]+)\.tar\.gz$/;

/** The folder of the copies in a data folder. */
export const backupsIn = (root: string): string => join(root, 'backups');

/** The copies of a data folder, the newest first. */
export function listBackups(root: string): Backup[] {
	const folder = backupsIn(root);
	if (!existsSync(folder)) return [];
	return readdirSync(folder)
		.flatMap((name) => {
			const [, day, hour, minute, second, reason] = NAME.exec(name) ?? [];
			if (day === undefined) return [];
			const at = `${day}T${hour}:${minute}:${second}Z`;
			const { size: bytes } = statSync(join(folder, name));
			return [{ name, at, reason: reason as BackupReason, bytes }];
		})
		.sort((a, b) => (a.name < b.name ? 1 : -1));
}

async function writeWhole(path: string, bytes: Uint8Array): Promise<void> {
	const part = `${path}.part`;
	const file = await open(part, 'w', 0o600);
	try {
		await file.writeFile(bytes);
		await file.sync();
	} finally {
		await file.close();
	}
	renameSync(part, path);
}

/**
 * Copies everything into the folder of copies: written beside its place, moved there whole. The oldest
 * beyond ten go. Gives the copy's name.
 */
export async function makeBackup(
	pglite: PGlite,
	root: string,
	{ reason, now }: { reason: BackupReason; now: Date }
): Promise<string> {
	const folder = backupsIn(root);
	mkdirSync(folder, { recursive: true, mode: 0o700 });
	await pglite.exec('checkpoint');
	const tar = await pglite.dumpDataDir('none');
	const bytes = await promisify(gzip)(new Uint8Array(await tar.arrayBuffer()), { level: 6 });
	const stamp = `${now.toISOString().slice(0, 19).replaceAll(':', '-')}Z`;
	const name = `${stamp}-${reason}.tar.gz`;
	for (const left of readdirSync(folder))
		if (left.endsWith('.part')) rmSync(join(folder, left), { force: true });
	await writeWhole(join(folder, name), bytes);
	for (const { name: old } of listBackups(root).slice(MOST_KEPT)) rmSync(join(folder, old));
	await syncPath(folder);
	return name;
}

/** Whether a day has gone by since the newest daily copy, or there is none. */
export function isDailyDue(root: string, now: Date): boolean {
	const newest = listBackups(root).find(({ reason }) => reason === 'daily');
	return !newest || now.getTime() - Date.parse(newest.at) >= 24 * 60 * 60 * 1000;
}

/**
 * Puts a copy in the place of the database's files; what was there is moved aside as `postgres.before-restore`,
 * of which one is kept. The folder must be locked and its database closed. Throws `StartRefusal` where
 * there is no such copy, or it cannot be read: the files are as they were then.
 */
export async function restoreBackup(root: string, name: string): Promise<void> {
	if (!listBackups(root).some((backup) => backup.name === name))
		throw new StartRefusal(
			`There is no copy called "${name}" in ${backupsIn(root)}. It has: ${
				listBackups(root)
					.map((backup) => backup.name)
					.join(', ') || 'none'
			}.`
		);
	const files = join(root, 'postgres');
	const unfinished = `${files}.new`;
	const aside = `${files}.before-restore`;
	rmSync(unfinished, { recursive: true, force: true });
	try {
		const packed = await readFile(join(backupsIn(root), name));
		// Unpacked here: the database's own unpacking throws where nobody can catch it.
		const tar = await promisify(gunzip)(packed);
		const pglite = await openEmbedded(unfinished, new File([tar as BlobPart], 'copy.tar'));
		const { rows } = await pglite.query<{ newest: number }>(
			'select max(number)::int as newest from schema_step'
		);
		await pglite.close();
		if (rows[0].newest > listMigrations().length)
			throw new Error('it was made by a newer Field Plan');
	} catch (error) {
		rmSync(unfinished, { recursive: true, force: true });
		throw new StartRefusal(`The copy ${name} cannot be read: ${(error as Error).message}`);
	}
	await syncTree(unfinished);
	rmSync(aside, { recursive: true, force: true });
	if (existsSync(files)) renameSync(files, aside);
	renameSync(unfinished, files);
	await syncPath(root);
}

/** What to do where the database does not open: which copy is newest, and how to take it. */
export function howToRestore(root: string): string {
	const [newest] = listBackups(root);
	if (!newest)
		return 'There is no copy of it. Put the folder of a backup of your own in its place, or set FIELDPLAN_DATA to another folder.';
	return `The newest copy is ${newest.name}. To go back to it, run: npm run -s fieldplan -- restore ${newest.name}`;
}
