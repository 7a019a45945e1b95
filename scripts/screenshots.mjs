// Makes the pictures of docs/screenshots from the demo, on a data directory of its own.
import { build, checkNode, install, ROOT, run } from './lib.mjs';

checkNode();
process.chdir(ROOT);
install();
build();
run('npx', ['tsx', '--tsconfig', 'scripts/tsconfig.json', 'e2e/screenshots.ts']);
