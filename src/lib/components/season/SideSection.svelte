<script lang="ts">
	import type { Snippet } from 'svelte';

	/** A list beside the cloth: what it is, and what its numbers are or whose it is. */
	let {
		id,
		title,
		aside,
		children
	}: { id?: string; title: string; aside: string | number; children: Snippet } = $props();
</script>

<section {id}>
	<h2>{title} <small>{aside}</small></h2>
	{@render children()}
</section>

<style>
	h2 {
		display: flex;
		justify-content: space-between;
		font-size: 14px;
		font-weight: 700;
		padding-bottom: 4px;
		border-bottom: 1px solid var(--ink);
	}
	small {
		font-weight: 450;
		font-size: 13px;
	}
</style>
