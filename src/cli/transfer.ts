import { readFileSync, renameSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { createServer } from 'vite';
import { badInput, type Result } from '../core/base';
import type { Misfit } from '../doors';
import type { Answer } from './commands';

const ROOT = fileURLToPath(new URL('../..', import.meta.url));

/** What is used of the server's modules: loaded by Vite, as their SQL files and aliases ask for. */
interface Server {
	openDatabase(directory: string): Promise<{ db: unknown; close(): Promise<void> }>;
	restoreFolder(directory: string, name: string): Promise<string>;
	exportAll(db: unknown): Promise<Uint8Array>;
	importSafely(database: unknown, bytes: Uint8Array): Promise<Result<object, Misfit>>;
}

const refuse = (path: string, message: string): Answer => ({
	output: { error: badInput(path, message) },
	exitCode: 2
});

/** Exports to a file, imports one, or goes back to a copy, on a database that nobody else has open. */
async function run(name: string, file: string, server: Server, directory: string): Promise<Answer> {
	if (name === 'restore')
		return { output: { restored: await server.restoreFolder(directory, file) }, exitCode: 0 };
	const database = await server.openDatabase(directory);
	const { db, close } = database;
	try {
		if (name === 'export') {
			const bytes = await server.exportAll(db);
			// Beside its place first: a file of that name is replaced whole or not at all.
			writeFileSync(`${file}.part`, bytes);
			renameSync(`${file}.part`, file);
			return { output: { exported: file, bytes: bytes.length }, exitCode: 0 };
		}
		const outcome = await server.importSafely(database, readFileSync(file));
		if (outcome.ok) return { output: { imported: outcome.value }, exitCode: 0 };
		return refuse(outcome.failure.path, outcome.failure.message);
	} finally {
		await close();
	}
}

/** Answers `export FILE`, `import FILE` and `restore COPY`. The application must not be running on the same data. */
export async function transfer(name: string, file: string): Promise<Answer> {
	const vite = await createServer({
		root: ROOT,
		logLevel: 'silent',
		appType: 'custom',
		server: { middlewareMode: true, hmr: false, watch: null }
	});
	try {
		const server = {
			...(await vite.ssrLoadModule('/src/lib/server/usecases/transfer.ts')),
			...(await vite.ssrLoadModule('/src/lib/server/usecases/importSafely.ts')),
			...(await vite.ssrLoadModule('/src/lib/server/database/index.ts'))
		} as Server;
		return await run(name, file, server, process.env.FIELDPLAN_DATA || './data');
	} catch (error) {
		return refuse(file, (error as Error).message);
	} finally {
		await vite.close();
	}
}
