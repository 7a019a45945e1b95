<script lang="ts">
	import { Button, ProgressBar } from 'carbon-components-svelte';
	import { dayWords } from '$lib/components/page/dates';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/plan';
	import type { DraftAll } from './draftAll.svelte';

	/** All briefs become practices: a way to begin, how far it is, a way to stop, and what came of it. */
	let { drafting, count, ondraft }: { drafting: DraftAll; count: number; ondraft: () => void } =
		$props();

	const say = useWords();
	const tried = $derived(drafting.done + drafting.failed.days.length);
</script>

<div class="draft" role="status">
	{#if drafting.isRunning}
		<ProgressBar
			size="sm"
			labelText={say(texts.drafting, {
				number: Math.min(tried + 1, drafting.count),
				count: drafting.count
			})}
			value={(100 * tried) / Math.max(1, drafting.count)}
		/>
		<Button size="small" kind="tertiary" on:click={() => drafting.stop()}>{say(texts.stop)}</Button>
	{:else}
		{#if count > 0}
			<Button size="small" kind="tertiary" on:click={ondraft}
				>{say(texts.draftAll, { count })}</Button
			>
			<p>{say(texts.draftSays)}</p>
		{/if}
		{#if drafting.count > 0}
			<p>
				<strong>{say(texts.drafted, { count: drafting.done })}</strong>
				{#if drafting.failed.days.length > 0}
					{say(texts.notDrafted, {
						days: drafting.failed.days.map(dayWords).join(', '),
						reason: drafting.failed.reason
					})}
				{/if}
			</p>
		{/if}
	{/if}
</div>

<style>
	.draft {
		display: flex;
		flex-wrap: wrap;
		gap: 8px 16px;
		align-items: center;
		padding-top: 14px;
		font-size: 14px;
	}
	.draft :global(.bx--progress-bar) {
		flex: 1;
	}
</style>
