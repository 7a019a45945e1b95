import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startServer } from './server';

/** Makes a data directory with the demo once; every test starts from a copy. */
export default async function setup() {
	const directory = mkdtempSync(join(tmpdir(), 'fieldplan-demo-'));
	const server = await startServer(directory);
	const answer = await fetch(`${server.url}/health`).catch(() => null);
	const code = await server.stop();
	if (!answer?.ok || code !== 0)
		throw new Error(`The application did not start and stop: ${server.printed()}`);
	process.env.FIELDPLAN_TEMPLATE = directory;
	return () => rmSync(directory, { recursive: true, force: true });
}
