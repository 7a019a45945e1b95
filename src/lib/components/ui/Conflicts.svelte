<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import Banner from './Banner.svelte';
	import type { Conflict } from '$lib/state/conflicts';
	import type { PracticeEditor } from '$lib/state/practiceEditor.svelte';

	/** Asks which of two changes of the same thing is to hold, one at a time. */
	let {
		editor,
		onsettle
	}: {
		editor: PracticeEditor;
		onsettle: (conflict: Conflict, choice: 'mine' | 'theirs') => void;
	} = $props();

	const [conflict] = $derived(editor.conflicts);
	const more = $derived(editor.conflicts.length - 1);
</script>

{#if conflict}
	<Banner label="Two changes of the same thing" tone="ask">
		<strong>Somebody else changed the same thing.</strong>
		You: {conflict.mine}. They: {conflict.theirs}.
		{#if more > 0}{more} more to decide.{/if}
		{#snippet actions()}
			<Button size="small" kind="tertiary" on:click={() => onsettle(conflict, 'mine')}
				>Keep mine</Button
			>
			<Button size="small" kind="tertiary" on:click={() => onsettle(conflict, 'theirs')}
				>Take theirs</Button
			>
		{/snippet}
	</Banner>
{/if}
