import { clockOf, todayFor, type Clock } from './clock';
import { readConfig, type Config } from './config';
import {
	isDailyDue,
	openDatabase,
	openDatabaseServer,
	restoreBackup,
	StartRefusal,
	storageTrouble,
	type Db,
	type OpenDatabase,
	type Queryable
} from './database';
import { seedDemo } from './usecases/team/seedDemo';

/** The running application: one database, opened before the first request. */
interface App {
	config: Config;
	database: OpenDatabase;
	clock: Clock;
}

// On the global object, so that a module that is loaded anew while developing finds the open one.
const holder = globalThis as { fieldplan?: Promise<App>; fieldplanBackups?: NodeJS.Timeout };

/** How often it is looked whether the daily copy is due, the first time soon after the start. */
const LOOK_AFTER_MILLISECONDS = 60_000;
const LOOK_EVERY_MILLISECONDS = 60 * 60 * 1000;

/** The database that the configuration names: on a server, or embedded in the data folder. */
export const openConfigured = ({ databaseUrl, dataDirectory }: Config): Promise<OpenDatabase> =>
	databaseUrl === undefined ? openDatabase(dataDirectory) : openDatabaseServer(databaseUrl);

async function open(config: Config): Promise<App> {
	const database = await openConfigured(config);
	const isSeeded = await seedDemo(database.db, { today: config.today });
	// The demo is much at once: the disk is to keep it before the first visitor sees it.
	if (isSeeded) await database.folder?.keepHouse();
	return { config, database, clock: clockOf(config.today) };
}

/** Opens the application; a reason not to start that a person can mend ends the process in one line. */
export async function openApp(): Promise<App> {
	holder.fieldplan ??= open(readConfig(process.env));
	try {
		return await holder.fieldplan;
	} catch (error) {
		if (!(error instanceof StartRefusal)) throw error;
		console.error(error.message);
		process.exit(1);
	}
}

async function backUpDaily(): Promise<void> {
	const { database, clock } = await openApp();
	const { folder } = database;
	if (!folder || !isDailyDue(folder.root, clock.now()) || storageTrouble(folder.root)) return;
	await folder
		.backUp('daily')
		.catch((error: Error) => console.error(`The daily copy was not made: ${error.message}`));
}

/** Makes the daily copy by itself from now on, while the application runs. */
export function startBackups(): void {
	const look = (milliseconds: number) => {
		holder.fieldplanBackups = setTimeout(async () => {
			await backUpDaily();
			look(LOOK_EVERY_MILLISECONDS);
		}, milliseconds);
		holder.fieldplanBackups.unref();
	};
	look(LOOK_AFTER_MILLISECONDS);
}

/** Closes the database cleanly and lets go of the data directory. */
export async function closeApp(): Promise<void> {
	clearTimeout(holder.fieldplanBackups);
	const app = await holder.fieldplan;
	delete holder.fieldplan;
	await app?.database.close();
}

/**
 * Goes back to a copy while the application runs: what is there is copied first. Requests wait meanwhile.
 * Throws `StartRefusal` where the copy is not there or cannot be read; all is as it was then.
 */
export async function restoreApp(name: string): Promise<void> {
	const { config, database } = await openApp();
	const { folder } = database;
	if (!folder) throw new StartRefusal('The data is on a server: go back to a copy there.');
	await folder.backUp('restore');
	let refusal: unknown = null;
	holder.fieldplan = (async () => {
		await database.close();
		await restoreBackup(folder.root, name).catch((error) => (refusal = error));
		return open(config);
	})();
	await holder.fieldplan;
	if (refusal) throw refusal;
}

/** The clock of the running application. */
export async function useClock(): Promise<Clock> {
	return (await openApp()).clock;
}

/** Today for a team, read from the database or a snapshot of it. */
export async function todayOf(db: Queryable, teamId: string): Promise<string> {
	return todayFor(db, { clock: await useClock(), teamId });
}

/** Reads what a page shows on one state of the data, whatever is written meanwhile. */
export async function reading<Value>(run: (tx: Queryable) => Promise<Value>): Promise<Value> {
	return (await useDb()).snapshot(run);
}

/** Why nothing can be stored now, in words; null where it can. `bytes` is what a change brings. */
export async function troubleToStore(bytes = 0): Promise<string | null> {
	const { folder } = (await openApp()).database;
	return folder && storageTrouble(folder.root, bytes);
}

/** The database of the running application. */
export async function useDb(): Promise<Db> {
	return (await openApp()).database.db;
}

/** The open database with its folder, copies and housekeeping. */
export async function useDatabase(): Promise<OpenDatabase> {
	return (await openApp()).database;
}

/** The configuration of the running application. */
export async function useConfig(): Promise<Config> {
	return (await openApp()).config;
}
