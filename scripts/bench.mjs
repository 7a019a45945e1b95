// Measures what the project promises about speed and prints each figure with its bound.
import { build, checkNode, install, ROOT, run } from './lib.mjs';

checkNode();
process.chdir(ROOT);
install();
build();
run('npx', ['tsx', '--tsconfig', 'scripts/tsconfig.json', 'scripts/bench/engine.ts']);
for (const part of [
	'groups',
	'lineups',
	'shelf',
	'club',
	'databases',
	'boards',
	'application',
	'storage'
])
	run('npx', ['tsx', '--tsconfig', 'scripts/tsconfig.json', `scripts/bench/${part}.ts`]);
run('node', ['scripts/sizes.mjs']);
