import type { TestProject } from 'vitest/node';
import pg from 'pg';
import { openDatabaseServer } from '../../src/lib/server/database';
import { startPostgres } from './postgresServer';

declare module 'vitest' {
	interface ProvidedContext {
		/** Address of the server's own database; '' where no PostgreSQL is installed. */
		postgresUrl: string;
	}
}

/** Starts a PostgreSQL for the tests, with an empty database at the newest schema that the others are made from. */
export default async function setup(project: TestProject): Promise<() => Promise<void>> {
	const server = await startPostgres();
	project.provide('postgresUrl', server?.urlOf('postgres') ?? '');
	if (!server) {
		console.warn('No PostgreSQL is installed: the tests on a server are skipped.');
		return async () => undefined;
	}
	const client = new pg.Client(server.urlOf('postgres'));
	await client.connect();
	await client.query('create database template');
	await client.end();
	await (await openDatabaseServer(server.urlOf('template'))).close();
	return () => server.stop();
}
