import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';
import { catalogue } from '../words';

/** Bundles the parts of the bench that BENCH names, with commas between, the way the engine ships. */
export default defineConfig({
	plugins: [catalogue()],
	resolve: { alias: { $texts: fileURLToPath(new URL('../../src/words/en', import.meta.url)) } },
	build: {
		ssr: true,
		outDir: 'build/bench',
		// Parts are built one after the other: what they share would be more than each of them needs.
		emptyOutDir: false,
		target: 'node20',
		rolldownOptions: {
			// The demo is looked for from where a file lies: all lie in one folder.
			output: { chunkFileNames: '[name].js' },
			input: (process.env.BENCH ?? '').split(',').map((name) => `scripts/bench/${name}.ts`)
		}
	}
});
