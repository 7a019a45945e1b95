import { closeSync, openSync, readFileSync, renameSync, writeSync } from 'node:fs';
import { placeText } from '../core/base';
import { openConfigured } from '../lib/server/app';
import { readConfig } from '../lib/server/config';
import { restoreFolder, type Db } from '../lib/server/database';
import { importSafely } from '../lib/server/usecases/transfer/importSafely';
import { exportAll } from '../lib/server/usecases/transfer/exportAll';
import type { Answer } from './commands';

const refuse = (path: string, message: string): Answer => ({
	output: { error: { code: 'bad-input', path, message } },
	exitCode: 2
});

/** Writes an export; gives its bytes. */
async function exportTo(file: string, db: Db): Promise<number> {
	// Beside its place first: a file of that name is replaced whole or not at all.
	const part = openSync(`${file}.part`, 'w', 0o600);
	let written = 0;
	try {
		await exportAll(db, (bytes) => (written += writeSync(part, bytes)));
	} finally {
		closeSync(part);
	}
	renameSync(`${file}.part`, file);
	return written;
}

/** Exports to a file, imports one, or goes back to a copy, on a database that nobody else has open. */
async function run(name: string, file: string): Promise<Answer> {
	const config = readConfig(process.env);
	if (name === 'restore')
		return { output: { restored: await restoreFolder(config.dataDirectory, file) }, exitCode: 0 };
	const database = await openConfigured(config);
	try {
		if (name === 'export') {
			const bytes = await exportTo(file, database.db);
			return { output: { exported: file, bytes }, exitCode: 0 };
		}
		const outcome = await importSafely(database, readFileSync(file));
		if (outcome.ok) return { output: { imported: outcome.value }, exitCode: 0 };
		return refuse(placeText(outcome.failure), outcome.failure.message);
	} finally {
		await database.close();
	}
}

/** Answers `export FILE`, `import FILE` and `restore COPY`. The application must not be running on the same data folder. */
export async function transfer(name: string, file: string): Promise<Answer> {
	try {
		return await run(name, file);
	} catch (error) {
		return refuse(file, (error as Error).message);
	}
}
