<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import type { EditFailure } from '$core/practice';
	import Banner from '../ui/Banner.svelte';
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

{#snippet tryAgain()}
	<Button size="small" kind="tertiary" on:click={() => outbox.tryAgain()}>Try again</Button>
{/snippet}

{#if why}
	<Banner label="Not saved" tone="stop" actions={isStuck ? tryAgain : undefined}>
		<strong>Nothing is being saved now.</strong>
		{why} Your changes are kept here.
	</Banner>
{/if}
{#each editor.refused as refused (refused.aside.unsent.id)}
	<Banner label="A change that was not saved" tone="stop">
		<strong>Not saved: {refused.words}.</strong>
		{refused.why}
		{#snippet actions()}
			<Button size="small" kind="tertiary" on:click={() => ontell(editor.retry(refused))}
				>Try again</Button
			>
			<Button size="small" kind="tertiary" on:click={() => editor.giveUp(refused)}>Discard</Button>
		{/snippet}
	</Banner>
{/each}
{#if editor.keeping}
	<Banner label="Keeping changes" tone="stop">{editor.keeping}</Banner>
{/if}
