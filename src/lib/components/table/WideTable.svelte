<script lang="ts">
	import type { Snippet } from 'svelte';

	/** A plain table that scrolls sideways by itself where it is wider than its place. */
	let { headings, children }: { headings: readonly string[]; children: Snippet } = $props();
</script>

<div class="scroll">
	<table>
		<thead>
			<tr>
				{#each headings as heading, place (place)}<th scope="col">{heading}</th>{/each}
			</tr>
		</thead>
		<tbody>
			{@render children()}
		</tbody>
	</table>
</div>

<style>
	.scroll {
		overflow-x: auto;
	}
	table {
		border-collapse: collapse;
	}
	th,
	table :global(td) {
		text-align: left;
		font-size: 13px;
		padding: 4px 14px 4px 0;
		border-bottom: 1px solid var(--rule);
		white-space: nowrap;
	}
</style>
