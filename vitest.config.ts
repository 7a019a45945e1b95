import { fileURLToPath } from 'node:url';
import { sveltekit } from '@sveltejs/kit/vite';
import { defineConfig } from 'vitest/config';
import { catalogue } from './scripts/words.ts';

const at = (folder: string) => fileURLToPath(new URL(folder, import.meta.url));
const WORDS = [
	{ find: /^\$words/, replacement: at('src/words') },
	{ find: /^\$texts/, replacement: at('src/words/en') }
];

/** Core runs without the Svelte plugin: it must stand alone. */
export default defineConfig({
	plugins: [catalogue(), sveltekit()],
	test: {
		projects: [
			{
				plugins: [catalogue()],
				resolve: { alias: WORDS },
				test: {
					name: 'core',
					environment: 'node',
					include: ['src/{core,cli,doors,words}/**/*.test.ts'],
					pool: 'threads',
					isolate: false,
					sequence: { groupOrder: 0 },
					testTimeout: 90_000
				}
			},
			{
				extends: true,
				test: {
					name: 'server',
					environment: 'node',
					include: ['src/{lib,routes}/**/*.test.ts'],
					exclude: ['src/lib/server/database/several.test.ts'],
					globalSetup: ['tests/support/databaseTemplate.ts'],
					pool: 'forks',
					isolate: false,
					maxWorkers: 2,
					sequence: { groupOrder: 1 },
					testTimeout: 90_000,
					hookTimeout: 90_000
				}
			},
			{
				extends: true,
				// What is stored, once more on a PostgreSQL server.
				test: {
					name: 'postgres',
					environment: 'node',
					include: [
						'src/lib/server/{usecases,repositories}/**/*.test.ts',
						'src/lib/server/database/several.test.ts'
					],
					globalSetup: ['tests/support/postgresTemplate.ts'],
					setupFiles: ['tests/support/onServer.ts'],
					env: { VITEST_DATABASE: 'server' },
					pool: 'forks',
					isolate: false,
					maxWorkers: 2,
					sequence: { groupOrder: 2 },
					testTimeout: 90_000,
					hookTimeout: 90_000
				}
			}
		]
	}
});
