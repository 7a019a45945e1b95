<script lang="ts">
	import { Button, ProgressBar } from 'carbon-components-svelte';
	import type { Kind } from '$lib/workers/planner.protocol';
	import type { Planning } from '$lib/state/planning.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/page';

	const say = useWords();

	/** How far a search is, where it takes longer than a moment, and a way to stop it. */
	let {
		planning,
		does,
		trouble = planning.trouble
	}: {
		planning: Planning<Kind>;
		does: string;
		/** Better words for what went wrong. */ trouble?: string;
	} = $props();
</script>

<div class="progress" role="status">
	{#if trouble}
		<p class="trouble">{trouble}</p>
	{:else if planning.isRunning && planning.isSlow}
		<ProgressBar size="sm" labelText={does} value={Math.round(planning.share * 100)} />
		<Button size="small" kind="tertiary" on:click={() => planning.stop()}
			>{say(texts.stopHere)}</Button
		>
	{/if}
</div>

<style>
	.progress {
		display: grid;
		grid-template-columns: 1fr auto;
		gap: 12px;
		align-items: end;
		min-height: 40px;
	}
	.trouble {
		grid-column: 1 / -1;
		color: var(--stop);
		font-weight: 600;
		align-self: center;
	}
</style>
