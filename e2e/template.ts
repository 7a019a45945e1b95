import { rmSync } from 'node:fs';
import { startServer } from './server';
import { scratchFolder } from '../tests/support/scratch';

/** Makes a data directory with the demo once; every test starts from a copy. */
export default async function setup() {
	const directory = scratchFolder('fieldplan-demo');
	const server = await startServer(directory);
	const answer = await fetch(`${server.url}/health`).catch(() => null);
	const code = await server.stop();
	if (!answer?.ok || code !== 0)
		throw new Error(`The application did not start and stop: ${server.printed()}`);
	process.env.FIELDPLAN_TEMPLATE = directory;
	return () => rmSync(directory, { recursive: true, force: true });
}
