import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import type { TestProject } from 'vitest/node';
import { embeddedDb, listMigrations, migrate } from '../../src/lib/server/database';

declare module 'vitest' {
	interface ProvidedContext {
		/** File of a database at the newest schema, without rows. */
		databaseTemplate: string;
	}
}

/** Makes an empty database once for all tests and runs: making one takes seconds, loading one does not. */
export default async function setup(project: TestProject): Promise<void> {
	const migrations = listMigrations();
	const hash = createHash('sha256').update(JSON.stringify(migrations)).digest('hex').slice(0, 16);
	const folder = join(process.cwd(), 'node_modules', '.cache', 'fieldplan');
	const file = join(folder, `template-${hash}.tar`);
	if (!existsSync(file)) {
		const db = await PGlite.create('memory://');
		await migrate(embeddedDb(db), migrations);
		const tar = await db.dumpDataDir('none');
		await db.close();
		mkdirSync(folder, { recursive: true });
		writeFileSync(file, Buffer.from(await tar.arrayBuffer()));
	}
	project.provide('databaseTemplate', file);
}
