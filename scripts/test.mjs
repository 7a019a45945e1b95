// Everything that must hold: format, lint, types, purity of the core, unit and database tests, the
// build, and the journeys in a browser. The first step that fails ends it.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { build, checkNode, install, ROOT, run } from './lib.mjs';
import { runSteps, STATIC } from './steps.mjs';

checkNode();
process.chdir(ROOT);

const CHROMIUM = process.env.CHROMIUM || '/usr/bin/chromium';

/** Debian's Chromium, installed where that can be done here. */
function findBrowser() {
	if (existsSync(CHROMIUM)) return;
	const isDebian = spawnSync('apt-get', ['--version']).status === 0;
	if (isDebian && process.getuid?.() === 0) {
		console.log('Installing Chromium …');
		run('apt-get', ['update', '-qq']);
		run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium']);
	}
	if (existsSync(CHROMIUM)) return;
	console.error(
		'The journeys need Chromium. Install it ("apt-get install chromium" on Debian) and run "npm test" again, or name another with CHROMIUM=/path/to/chromium.'
	);
	process.exit(1);
}

install();
findBrowser();
runSteps([...STATIC, ['Unit and database tests', 'npx', ['vitest', 'run']]]);
console.log('\n── Build');
build();
console.log('\n── Journeys');
run('npx', ['playwright', 'test'], { CHROMIUM });
console.log('\nAll of it holds.');
