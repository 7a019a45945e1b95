<script lang="ts">
	import { Button } from 'carbon-components-svelte';
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
	<section aria-label="Two changes of the same thing" class="conflict">
		<p role="alert">
			<strong>Somebody else changed the same thing.</strong>
			You: {conflict.mine}. They: {conflict.theirs}.
			{#if more > 0}{more} more to decide.{/if}
		</p>
		<div class="choices">
			<Button size="small" kind="tertiary" on:click={() => onsettle(conflict, 'mine')}
				>Keep mine</Button
			>
			<Button size="small" kind="tertiary" on:click={() => onsettle(conflict, 'theirs')}
				>Take theirs</Button
			>
		</div>
	</section>
{/if}

<style>
	.conflict {
		display: flex;
		align-items: center;
		gap: 6px 20px;
		flex-wrap: wrap;
		padding: 6px 16px;
		background: #fff;
		border-bottom: 1px solid var(--ink);
		border-left: 6px solid var(--wait);
	}
	.conflict p {
		flex: 1 1 320px;
		line-height: 1.35;
	}
	.choices {
		display: flex;
		gap: 8px;
	}
</style>
