import { readFileSync, renameSync, writeFileSync } from 'node:fs';
import { badInput } from '../core/base';
import { openConfigured } from '../lib/server/app';
import { readConfig } from '../lib/server/config';
import { restoreFolder } from '../lib/server/database';
import { importSafely } from '../lib/server/usecases/importSafely';
import { exportAll } from '../lib/server/usecases/transfer';
import type { Answer } from './commands';

const refuse = (path: string, message: string): Answer => ({
	output: { error: badInput(path, message) },
	exitCode: 2
});

/** Exports to a file, imports one, or goes back to a copy, on a database that nobody else has open. */
async function run(name: string, file: string): Promise<Answer> {
	const config = readConfig(process.env);
	if (name === 'restore')
		return { output: { restored: await restoreFolder(config.dataDirectory, file) }, exitCode: 0 };
	const database = await openConfigured(config);
	try {
		if (name === 'export') {
			const bytes = await exportAll(database.db);
			// Beside its place first: a file of that name is replaced whole or not at all.
			writeFileSync(`${file}.part`, bytes);
			renameSync(`${file}.part`, file);
			return { output: { exported: file, bytes: bytes.length }, exitCode: 0 };
		}
		const outcome = await importSafely(database, readFileSync(file));
		if (outcome.ok) return { output: { imported: outcome.value }, exitCode: 0 };
		return refuse(outcome.failure.path, outcome.failure.message);
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
