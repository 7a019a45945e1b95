import { readConfig, type Config } from './config';
import { openDatabase, StartRefusal, type Db, type OpenDatabase } from './database';
import { seedDemo } from './usecases/seedDemo';

/** The running application: one database, opened before the first request. */
interface App {
	config: Config;
	database: OpenDatabase;
}

// On the global object, so that a module that is loaded anew while developing finds the open one.
const holder = globalThis as { fieldplan?: Promise<App> };

async function open(config: Config): Promise<App> {
	const database = await openDatabase(config.dataDirectory);
	await seedDemo(database.db, config.today);
	return { config, database };
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

/** Closes the database cleanly and lets go of the data directory. */
export async function closeApp(): Promise<void> {
	const app = await holder.fieldplan;
	delete holder.fieldplan;
	await app?.database.close();
}

/** The database of the running application. */
export async function useDb(): Promise<Db> {
	return (await openApp()).database.db;
}

/** The configuration of the running application. */
export async function useConfig(): Promise<Config> {
	return (await openApp()).config;
}
