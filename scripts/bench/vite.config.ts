import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';
import { catalogue } from '../words';

/** Bundles what the engine's bench runs, the way the engine ships. */
export default defineConfig({
	plugins: [catalogue()],
	resolve: { alias: { $texts: fileURLToPath(new URL('../../src/words/en', import.meta.url)) } },
	build: {
		ssr: true,
		outDir: 'build/bench',
		emptyOutDir: true,
		target: 'node20',
		rolldownOptions: { input: ['scripts/bench/engine.ts', 'scripts/bench/sizeTable.ts'] }
	}
});
