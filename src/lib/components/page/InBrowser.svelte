<script lang="ts">
	import { onMount, type Snippet } from 'svelte';

	/** What the browser alone draws: large tables, and what it works out by itself. The server sends its data only. */
	let { children }: { children: Snippet } = $props();

	let isInBrowser = $state(false);
	onMount(() => (isInBrowser = true));
</script>

{#if isInBrowser}{@render children()}{/if}
