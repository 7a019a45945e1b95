// Measures what the project promises about speed and prints each figure with its bound.
import { build, checkNode, install, ROOT, run } from './lib.mjs';

checkNode();
process.chdir(ROOT);
install();
build();
// Bundled, as the engine ships: its functions are timed as the browser and the server run them.
for (const parts of ['engine,sizeTable', 'draft', 'arrange', 'mix', 'plan'])
	run('npx', ['vite', 'build', '--config', 'scripts/bench/vite.config.ts', '--logLevel', 'warn'], {
		BENCH: parts
	});
for (const part of ['engine', 'draft', 'arrange', 'mix', 'plan'])
	run('node', [`build/bench/${part}.js`]);
for (const part of [
	'groups',
	'lineups',
	'shelf',
	'club',
	'databases',
	'boards',
	'season',
	'draftAll',
	'application',
	'storage'
])
	run('npx', ['tsx', '--tsconfig', 'scripts/tsconfig.json', `scripts/bench/${part}.ts`]);
run('node', ['scripts/sizes.mjs']);
