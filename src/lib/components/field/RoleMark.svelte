<script lang="ts">
	import type { Spot } from '$core/model/drill';

	/** The mark of a spot by its role, about two units wide around the origin. */
	let { role }: { role: Spot['role'] } = $props();
</script>

{#if role === 'opponent'}
	<path class="open" d="M-0.9 -0.9h0.6l0.3 0.5l0.3-0.5h0.6v1.8h-1.8z" />
{:else if role === 'feeder'}
	<circle class="open" r="0.95" />
{:else if role === 'helper'}
	<path class="open" d="M0 -1l1 1.8h-2z" />
{:else}
	<circle class="worker" r="0.55" />
{/if}

<style>
	.open {
		fill: none;
		stroke: var(--ink);
		stroke-width: 0.3;
	}
	.worker {
		fill: var(--ink);
	}
</style>
