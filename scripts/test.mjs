// Everything that must hold: format, lint, types, purity of the core, unit and database tests, the
// build, and the journeys in a browser. The first step that fails ends it.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { build, checkNode, install, ROOT, run } from './lib.mjs';
import { runRows, runTests, STATIC } from './steps.mjs';

checkNode();
process.chdir(ROOT);

const CHROMIUM = process.env.CHROMIUM || '/usr/bin/chromium';

/** Installs a package of Debian's, where that can be done here. */
function installPackage(name) {
	const isDebian = spawnSync('apt-get', ['--version']).status === 0;
	if (!isDebian || process.getuid?.() !== 0) return;
	console.log(`Installing ${name} …`);
	const quietly = { stdio: 'inherit', env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } };
	spawnSync('apt-get', ['update', '-qq'], quietly);
	spawnSync('apt-get', ['install', '-y', '-qq', '--no-install-recommends', name], quietly);
}

/** A PostgreSQL for the tests that run on a server; without one they are skipped. */
function findPostgres() {
	if (!existsSync('/usr/lib/postgresql')) installPackage('postgresql');
}

/** Debian's Chromium. */
function findBrowser() {
	if (!existsSync(CHROMIUM)) installPackage('chromium');
	if (existsSync(CHROMIUM)) return;
	console.error(
		'The journeys need Chromium. Install it ("apt-get install chromium" on Debian) and run "npm test" again, or name another with CHROMIUM=/path/to/chromium.'
	);
	process.exit(1);
}

install();
findBrowser();
findPostgres();
await runRows(STATIC);
runTests('Unit and database tests', []);
console.log('\n── Build');
build();
console.log('\n── Journeys');
run('npx', ['playwright', 'test'], { CHROMIUM });
console.log('\nAll of it holds.');
