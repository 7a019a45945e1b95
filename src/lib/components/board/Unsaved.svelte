<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import type { EditFailure } from '$core/practice';
	import Banner from '../page/Banner.svelte';
	import type { PracticeEditor } from '$lib/state/practiceEditor.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/board';

	const say = useWords();

	/** What the server has not taken: why nothing is saved now, and each change that it refuses. */
	let {
		editor,
		ontell
	}: { editor: PracticeEditor; ontell: (failure: EditFailure | null) => void } = $props();

	const { outbox } = $derived(editor);
	const why = $derived(
		outbox.trouble
			? outbox.trouble
			: outbox.state === 'away'
				? say(texts.theServerDoesNotAnswer)
				: ''
	);
	const isStuck = $derived(outbox.state === 'refused' && outbox.trouble !== '');
</script>

{#snippet tryAgain()}
	<Button size="small" kind="tertiary" on:click={() => outbox.tryAgain()}
		>{say(texts.tryAgain)}</Button
	>
{/snippet}

{#if why}
	<Banner label={say(texts.notSavedLabel)} tone="stop" actions={isStuck ? tryAgain : undefined}>
		<strong>{say(texts.nothingIsBeingSavedNow)}</strong>
		{say(texts.yourChangesAreKeptHere, { why })}
	</Banner>
{/if}
{#each editor.refused as refused (refused.aside.unsent.id)}
	<Banner label={say(texts.aChangeThatWasNotSaved)} tone="stop">
		<strong>{say(texts.notSavedEdit, { words: refused.words })}</strong>
		{refused.why}
		{#snippet actions()}
			<Button size="small" kind="tertiary" on:click={() => ontell(editor.retry(refused))}
				>{say(texts.tryAgain)}</Button
			>
			<Button size="small" kind="tertiary" on:click={() => editor.giveUp(refused)}
				>{say(texts.discard)}</Button
			>
		{/snippet}
	</Banner>
{/each}
{#if editor.keeping}
	<Banner label={say(texts.keepingChanges)} tone="stop">{editor.keeping}</Banner>
{/if}
