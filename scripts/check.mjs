// The quick part of what must hold: format, lint, types, purity of the core, and the core's own tests.
import { checkNode, install, ROOT } from './lib.mjs';
import { runSteps, STATIC } from './steps.mjs';

checkNode();
process.chdir(ROOT);
install();
runSteps([...STATIC, ['Tests of the core', 'npx', ['vitest', 'run', '--project', 'core']]]);
console.log('\nThe quick part holds; `npm test` runs all of it.');
