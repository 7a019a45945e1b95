// Starts Field Plan: installs, builds, makes the database, and prints the address.
import { createServer } from 'node:net';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { build, checkNode, install, ROOT } from './lib.mjs';

checkNode();
process.chdir(ROOT);
const host = process.env.HOST || '127.0.0.1';
const port = process.env.PORT || '4170';

/** Whether nothing listens at the address yet. */
function isFree() {
	return new Promise((resolve) => {
		const probe = createServer();
		probe.once('error', () => resolve(false));
		probe.listen(Number(port), host, () => probe.close(() => resolve(true)));
	});
}

if (!(await isFree())) {
	console.error(`Port ${port} is in use. Stop what listens there, or set PORT to another number.`);
	process.exit(1);
}
install();
build();
Object.assign(process.env, {
	NODE_ENV: 'production',
	HOST: host,
	PORT: port,
	BODY_SIZE_LIMIT: process.env.BODY_SIZE_LIMIT || '32M'
});
console.log('Opening the data …');
await import(pathToFileURL(join(ROOT, 'build', 'index.js')).href);
console.log(`Field Plan is at http://localhost:${port} (stop it with Ctrl+C)`);
