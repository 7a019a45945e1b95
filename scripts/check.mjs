// The quick part of what must hold: format, lint, types, purity of the core, and the core's own tests but for
// the long properties over practices harmed at random.
import { checkNode, install, ROOT } from './lib.mjs';
import { runRows, runTests, STATIC } from './steps.mjs';

checkNode();
process.chdir(ROOT);
install();
await runRows(STATIC);
runTests('Tests of the core', ['--project', 'core', '--exclude', '**/harmed.test.ts']);
console.log('\nThe quick part holds; `npm test` runs all of it.');
