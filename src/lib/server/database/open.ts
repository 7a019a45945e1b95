import {
	accessSync,
	constants,
	existsSync,
	mkdirSync,
	readFileSync,
	readdirSync,
	renameSync,
	rmSync
} from 'node:fs';
import { join, resolve } from 'node:path';
import type { PGlite } from '@electric-sql/pglite';
import { howToRestore, listBackups, makeBackup, restoreBackup, type BackupReason } from './backups';
import { syncPath, syncTree } from './durable';
import { embeddedDb, openEmbedded } from './embedded';
import type { Db } from './handle';
import { syncFiles, withHousekeeping } from './housekeeping';
import { lockDirectory } from './lock';
import { isBehind, listMigrations, migrate, type Migration } from './migrate';
import { StartRefusal } from './refusal';
import { openServer } from './server';

/** The major version of PostgreSQL that the embedded database is; its files fit no other. */
export const POSTGRES_MAJOR = '18';

/** The house is first kept when whoever waits for the start has been answered. */
const KEEP_AFTER_MILLISECONDS = 2000;

/** The folder of the embedded database. */
export interface DataFolder {
	root: string;
	/** Copies everything into the folder of copies; gives the copy's name. */
	backUp(reason: BackupReason): Promise<string>;
	/** Writes a checkpoint and has the disk keep all of it: after a change as large as an import. */
	keepHouse(): Promise<void>;
}

/** An open database and how to close it. */
export interface OpenDatabase {
	db: Db;
	/** Where the data is; null where a server keeps it, which is backed up by those who run it. */
	folder: DataFolder | null;
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
	const made = await openEmbedded(unfinished);
	await made.close();
	await syncTree(unfinished);
	renameSync(unfinished, files);
	await syncPath(join(files, '..'));
}

/** The data folder, made where there is none. Throws `StartRefusal` where nothing can be written into it. */
function writableFolder(directory: string): string {
	const root = resolve(directory);
	try {
		mkdirSync(root, { recursive: true });
		accessSync(root, constants.R_OK | constants.W_OK);
	} catch (error) {
		const { code } = error as NodeJS.ErrnoException;
		const why =
			{ EROFS: 'its disk is read-only', EACCES: 'it belongs to somebody else' }[code ?? ''] ?? code;
		throw new StartRefusal(
			`Nothing can be written into ${root}: ${why}. Make it writable, or set FIELDPLAN_DATA to another folder.`
		);
	}
	return root;
}

const isEmpty = (folder: string) => !existsSync(folder) || readdirSync(folder).length === 0;

/** Opens files that are there, or makes them. Throws `StartRefusal`, with the newest copy, where they are damaged. */
async function openFiles(root: string): Promise<{ pglite: PGlite; isNew: boolean }> {
	const files = join(root, 'postgres');
	const damaged = (why: string) =>
		new StartRefusal(`The data in ${files} does not open: ${why}. ${howToRestore(root)}`);
	const isNew = isEmpty(files);
	if (isNew) {
		rmSync(files, { recursive: true, force: true });
		await create(files);
	}
	if (!existsSync(join(files, 'PG_VERSION'))) throw damaged('its file PG_VERSION is missing');
	checkVersion(files);
	try {
		const pglite = await openEmbedded(files);
		// Starting, and recovery after a kill or a power cut, has written files that the disk must have before
		// anything is acknowledged.
		await syncFiles(files);
		return { pglite, isNew };
	} catch (error) {
		throw damaged((error as Error).message.replace(/\.$/, ''));
	}
}

/**
 * Goes back to a copy in a data directory that nobody has open; to the newest where `name` is `newest`. Gives
 * the copy's name. Throws `StartRefusal` where it is in use, or there is no such copy.
 */
export async function restoreFolder(directory: string, name: string): Promise<string> {
	const root = writableFolder(directory);
	const release = lockDirectory(root);
	try {
		const wanted = name === 'newest' ? (listBackups(root)[0]?.name ?? name) : name;
		await restoreBackup(root, wanted);
		return wanted;
	} finally {
		release();
	}
}

/** What a database is opened with. */
interface Opening {
	migrations?: readonly Migration[];
	/** The time that copies are named by. */
	now?: () => Date;
}

/**
 * Opens the database of a data directory, made where there is none, at the newest schema. Holds the
 * directory until `close`. Throws `StartRefusal` where another process holds it, its version differs,
 * nothing can be written, or its files are damaged. Data of an older schema is copied before it changes.
 */
export async function openDatabase(
	directory: string,
	{ migrations = listMigrations(), now = () => new Date() }: Opening = {}
): Promise<OpenDatabase & { folder: DataFolder }> {
	const root = writableFolder(directory);
	const release = lockDirectory(root);
	try {
		const { pglite, isNew } = await openFiles(root);
		const plain = embeddedDb(pglite);
		const isOld = !isNew && (await isBehind(plain, migrations));
		if (isOld) await makeBackup(pglite, root, { reason: 'migration', now: now() });
		await migrate(plain, migrations);
		const files = join(root, 'postgres');
		const house = withHousekeeping(pglite, files);
		// A new schema is on the disk before anybody works on it. Otherwise nobody has to wait for it.
		if (isNew || isOld) await house.keep();
		const later = setTimeout(() => {
			house.keep().catch((error: Error) => console.error(`Housekeeping failed: ${error.message}`));
		}, KEEP_AFTER_MILLISECONDS);
		later.unref();
		return {
			db: house.db,
			folder: {
				root,
				backUp: (reason) => makeBackup(pglite, root, { reason, now: now() }),
				keepHouse: house.keep
			},
			async close() {
				clearTimeout(later);
				await house.settled();
				// Twice: what is written while closing is small then, and rests on files that are kept already.
				await pglite.exec('checkpoint');
				await syncFiles(files);
				await pglite.close();
				await syncFiles(files);
				release();
			}
		};
	} catch (error) {
		release();
		throw error;
	}
}

/**
 * Opens the database of a PostgreSQL server at the newest schema; several processes may at once. Throws
 * `StartRefusal` where it cannot be used, or its data was written by a newer version.
 */
export async function openDatabaseServer(
	url: string,
	{ migrations = listMigrations() }: Pick<Opening, 'migrations'> = {}
): Promise<OpenDatabase> {
	const { db, close } = await openServer(url);
	try {
		await migrate(db, migrations);
		return { db, folder: null, close };
	} catch (error) {
		await close();
		throw error;
	}
}
