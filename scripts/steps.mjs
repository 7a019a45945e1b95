// What is looked at without a browser; the first step that fails ends it.
import { spawn } from 'node:child_process';
import { run } from './lib.mjs';

const CACHE = 'node_modules/.cache';

/** Format, lint, types and imports: two rows of steps that run side by side. */
export const STATIC = [
	[
		['Format', ['prettier', '--check', '--log-level', 'warn', '--cache', '.']],
		['Lint', ['eslint', '--cache', '--cache-location', `${CACHE}/eslint/`, '.']]
	],
	[
		['Routes', ['svelte-kit', 'sync']],
		[
			'Types',
			[
				'svelte-check',
				'--tsconfig',
				'./tsconfig.json',
				'--threshold',
				'warning',
				'--output',
				'human'
			]
		],
		['Core alone', ['tsc', '-p', 'tsconfig.core.json']],
		['Command line types', ['tsc', '-p', 'src/cli/tsconfig.json']],
		['Imports', ['depcruise', '--config', '.dependency-cruiser.cjs', 'src']]
	]
];

/** Runs a step to its end; gives what it printed and how it ended. */
const runQuietly = (args) =>
	new Promise((resolve) => {
		const child = spawn('npx', args, { stdio: ['ignore', 'pipe', 'pipe'] });
		let printed = '';
		for (const stream of [child.stdout, child.stderr])
			stream.on('data', (bytes) => (printed += bytes));
		child.on('close', (code) => resolve({ printed, code: code ?? 1 }));
	});

/** Runs rows of steps side by side, each step with its name over what it printed; one that fails ends it all. */
export async function runRows(rows) {
	const runRow = async (steps) => {
		for (const [name, args] of steps) {
			const { printed, code } = await runQuietly(args);
			console.log(`\n── ${name}\n${printed.trim()}`);
			if (code !== 0) process.exit(code);
		}
	};
	await Promise.all(rows.map(runRow));
}

/** Runs tests, with a name over them. */
export function runTests(name, args) {
	console.log(`\n── ${name}`);
	run('npx', ['vitest', 'run', ...args]);
}
