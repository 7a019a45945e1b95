import { sveltekit } from '@sveltejs/kit/vite';
import { optimizeCss } from 'carbon-preprocess-svelte';
import { defineConfig, type Plugin } from 'vite';

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
	plugins: [carbonCss(), sveltekit(), optimizeCss()],
	ssr: { noExternal: ['carbon-components-svelte'] },
	server: { watch: { ignored: ['**/data/postgres/**'] } }
});
