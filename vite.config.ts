import { sveltekit } from '@sveltejs/kit/vite';
import { optimizeCss } from 'carbon-preprocess-svelte';
import { defineConfig, type Plugin } from 'vite';
import { catalogue } from './scripts/words.ts';

/** Carbon's style sheet without remote fonts and without the themes that are not used. */
function carbonCss(): Plugin {
	return {
		name: 'carbon-css',
		enforce: 'pre',
		transform(code, id) {
			if (!/carbon-components-svelte\/css\/[a-z0-9]+\.css/.test(id)) return;
			const css = code
				.replace(/@font-face\s*\{[^}]*\}/g, '')
				.replace(/:root\[theme=[^{]*\{[^}]*\}/g, '')
				.replaceAll('IBM Plex Sans', 'Archivo Variable');
			return { code: css, map: null };
		}
	};
}

export default defineConfig({
	build: {
		rolldownOptions: {
			// A shape that nothing is held against is left out: the browser reads no files.
			treeshake: {
				manualPureFunctions: ['Type', 'shapeOf', 'byKey', 'orNone', 'says'],
				moduleSideEffects: [
					{ test: /\/src\/(core|words)\//, sideEffects: false },
					{ test: /\/node_modules\/typebox\//, sideEffects: false }
				]
			}
		}
	},
	plugins: [catalogue(), carbonCss(), sveltekit(), optimizeCss()],
	ssr: { noExternal: ['carbon-components-svelte', '@messageformat/runtime'] },
	server: { watch: { ignored: ['**/data/postgres/**'] } }
});
