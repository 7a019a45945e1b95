<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import Banner from '../page/Banner.svelte';
	import type { Outbox } from '$lib/state/outbox.svelte';
	import type { RefusedEdit } from '$lib/state/practiceEditor.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/board';

	const say = useWords();

	/** What the server has not taken: why nothing is saved now, and each change that it refuses. */
	let {
		outbox,
		refused,
		keeping,
		onretry,
		ondiscard
	}: {
		outbox: Pick<Outbox, 'state' | 'trouble' | 'tryAgain'>;
		refused: readonly RefusedEdit[];
		/** What is not as it should be with keeping, in words; empty when all is well. */
		keeping: string;
		onretry: (edit: RefusedEdit) => void;
		ondiscard: (edit: RefusedEdit) => void;
	} = $props();

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
{#each refused as edit (edit.aside.unsent.id)}
	<Banner label={say(texts.aChangeThatWasNotSaved)} tone="stop">
		<strong>{say(texts.notSavedEdit, { words: edit.words })}</strong>
		{edit.why}
		{#snippet actions()}
			<Button size="small" kind="tertiary" on:click={() => onretry(edit)}
				>{say(texts.tryAgain)}</Button
			>
			<Button size="small" kind="tertiary" on:click={() => ondiscard(edit)}
				>{say(texts.discard)}</Button
			>
		{/snippet}
	</Banner>
{/each}
{#if keeping}
	<Banner label={say(texts.keepingChanges)} tone="stop">{keeping}</Banner>
{/if}
