// What is looked at without a browser; the first step that fails ends it.
import { run } from './lib.mjs';

/** Format, lint, types and imports: seconds each. */
export const STATIC = [
	['Format', 'npx', ['prettier', '--check', '--log-level', 'warn', '.']],
	['Routes', 'npx', ['svelte-kit', 'sync']],
	['Lint', 'npx', ['eslint', '.']],
	['Core alone', 'npx', ['tsc', '-p', 'tsconfig.core.json']],
	['Command line types', 'npx', ['tsc', '-p', 'src/cli/tsconfig.json']],
	[
		'Types',
		'npx',
		['svelte-check', '--tsconfig', './tsconfig.json', '--threshold', 'warning', '--output', 'human']
	],
	['Imports', 'npx', ['depcruise', '--config', '.dependency-cruiser.cjs', 'src']]
];

/** Runs steps one after another, each with its name over it. */
export function runSteps(steps) {
	for (const [name, command, args] of steps) {
		console.log(`\n── ${name}`);
		run(command, args);
	}
}
