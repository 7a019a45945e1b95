<script lang="ts">
	import type { Snippet } from 'svelte';

	/** A line across the board that asks for a decision, or says what is wrong, with what can be done. */
	let {
		label,
		tone,
		actions,
		children
	}: {
		label: string;
		/** `stop`: something is not saved; `ask`: something is to be decided. */
		tone: 'stop' | 'ask';
		actions?: Snippet;
		children: Snippet;
	} = $props();
</script>

<section aria-label={label} class={tone}>
	<p role="alert">{@render children()}</p>
	{#if actions}<div class="actions">{@render actions()}</div>{/if}
</section>

<style>
	section {
		display: flex;
		align-items: center;
		gap: 6px 20px;
		flex-wrap: wrap;
		padding: 6px 16px;
		background: #fff;
		border-bottom: 1px solid var(--ink);
		border-left: 6px solid var(--stop);
	}
	.ask {
		border-left-color: var(--wait);
	}
	p {
		flex: 1 1 320px;
		line-height: 1.35;
	}
	.actions {
		display: flex;
		gap: 8px;
	}
</style>
