<script lang="ts">
	import { onMount, type Snippet } from 'svelte';
	import 'carbon-components-svelte/css/all.css';
	import '@fontsource-variable/archivo/wdth.css';
	import '../app.css';

	let { children }: { children: Snippet } = $props();

	// Says that the page answers to keys and clicks now; the journeys wait for it.
	onMount(() => {
		document.documentElement.dataset.ready = 'true';
	});
</script>

{@render children()}
