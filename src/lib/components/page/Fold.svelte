<script lang="ts">
	import type { Snippet } from 'svelte';

	/** Fields that are there when they are wanted: a line that opens them. */
	let {
		summary,
		isOpen = false,
		children
	}: { summary: string; isOpen?: boolean; children: Snippet } = $props();
</script>

<details open={isOpen}>
	<summary>{summary}</summary>
	<div>{@render children()}</div>
</details>

<style>
	summary {
		display: list-item;
		list-style: disclosure-closed inside;
		font-size: 13px;
		font-weight: 700;
		padding: 4px 0;
		cursor: pointer;
	}
	details[open] > summary {
		list-style-type: disclosure-open;
	}
	div {
		display: grid;
		grid-template-columns: minmax(0, 1fr);
		gap: 8px;
	}
</style>
