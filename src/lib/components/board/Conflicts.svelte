<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import Banner from '../page/Banner.svelte';
	import type { Conflict } from '$lib/state/conflicts';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/board';

	const say = useWords();

	/** Asks which of two changes of the same thing is to hold, one at a time. */
	let {
		conflicts,
		onsettle
	}: {
		conflicts: readonly Conflict[];
		onsettle: (conflict: Conflict, choice: 'mine' | 'theirs') => void;
	} = $props();

	const [conflict] = $derived(conflicts);
	const more = $derived(conflicts.length - 1);
</script>

{#if conflict}
	<Banner label={say(texts.twoChangesOfTheSameThing)} tone="ask">
		<strong>{say(texts.somebodyElseChangedTheSameThing)}</strong>
		{say(texts.youThey, { mine: conflict.mine, theirs: conflict.theirs })}
		{#if more > 0}{say(texts.moreToDecide, { more })}{/if}
		{#snippet actions()}
			<Button size="small" kind="tertiary" on:click={() => onsettle(conflict, 'mine')}
				>{say(texts.keepMine)}</Button
			>
			<Button size="small" kind="tertiary" on:click={() => onsettle(conflict, 'theirs')}
				>{say(texts.takeTheirs)}</Button
			>
		{/snippet}
	</Banner>
{/if}
