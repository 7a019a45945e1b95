<script lang="ts">
	import type { Snippet } from 'svelte';
	import 'carbon-components-svelte/css/all.css';
	import '@fontsource-variable/archivo/wdth.css';
	import '../app.css';

	let { children }: { children: Snippet } = $props();
</script>

{@render children()}
