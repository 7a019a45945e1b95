<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import type { EditFailure } from '$core/practice';
	import type { PracticeEditor } from '$lib/state/practiceEditor.svelte';

	/** What the server has not taken: why nothing is saved now, and each change that it refuses. */
	let {
		editor,
		ontell
	}: { editor: PracticeEditor; ontell: (failure: EditFailure | null) => void } = $props();

	const { outbox } = $derived(editor);
	const why = $derived(
		outbox.trouble ? outbox.trouble : outbox.state === 'away' ? 'The server does not answer.' : ''
	);
	const isStuck = $derived(outbox.state === 'refused' && outbox.trouble !== '');
</script>

{#if why}
	<section class="unsaved" aria-label="Not saved">
		<p role="alert">
			<strong>Nothing is being saved now.</strong>
			{why} Your changes are kept here.
		</p>
		{#if isStuck}
			<Button size="small" kind="tertiary" on:click={() => outbox.tryAgain()}>Try again</Button>
		{/if}
	</section>
{/if}
{#each editor.refused as refused (refused.aside.unsent.id)}
	<section class="unsaved" aria-label="A change that was not saved">
		<p role="alert"><strong>Not saved: {refused.words}.</strong> {refused.why}</p>
		<div class="choices">
			<Button size="small" kind="tertiary" on:click={() => ontell(editor.retry(refused))}
				>Try again</Button
			>
			<Button size="small" kind="tertiary" on:click={() => editor.giveUp(refused)}
				>Give it up</Button
			>
		</div>
	</section>
{/each}
{#if editor.keeping}
	<section class="unsaved" aria-label="Keeping changes">
		<p role="alert">{editor.keeping}</p>
	</section>
{/if}

<style>
	.unsaved {
		display: flex;
		align-items: center;
		gap: 6px 20px;
		flex-wrap: wrap;
		padding: 6px 16px;
		background: #fff;
		border-bottom: 1px solid var(--ink);
		border-left: 6px solid var(--stop);
	}
	p {
		flex: 1 1 320px;
		line-height: 1.35;
	}
	.choices {
		display: flex;
		gap: 8px;
	}
</style>
