<script lang="ts">
	import { describeFinding } from '$core/checks';
	import type { Arranged } from '$core/arrange';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/people';
	import { changeWords } from './changeWords';

	/** What a practice that is arranged for who is here does otherwise, period by period, and what is left to fix. */
	let { arranged }: { arranged: Arranged } = $props();

	const say = useWords();
	const { changes, left, evaluation } = $derived(arranged);
	const moved = $derived(new Set(changes.flatMap((change) => change.moved)).size);
	const lines = $derived(
		changes
			.map((change) => ({ ...change, words: changeWords(change, evaluation.context, say) }))
			.filter(({ words }) => words.length > 0)
	);
</script>

{#if arranged.edit === null}
	<p>{say(texts.nothingChanges)}</p>
{:else}
	<p>
		<strong>{say(texts.movedInAll, { moved })}</strong>
		{#if lines.length === 0}{say(texts.partsOnlyGetSmaller)}{/if}
	</p>
	<ul>
		{#each lines as { id, name, words } (id)}
			<li>
				<span class="name">{name}</span>
				{#each words as word (word)}<span class="word">{word}</span>{/each}
			</li>
		{/each}
	</ul>
	{#if left.length > 0}
		<h3>{say(texts.leftToFix)}</h3>
		<ul class="left">
			{#each left as fault, index (index)}
				<li>{describeFinding(fault, evaluation, say)}</li>
			{/each}
		</ul>
	{/if}
{/if}

<style>
	p {
		padding: 0 0 6px;
		font-size: 14px;
	}
	li {
		display: flex;
		flex-direction: column;
		padding: 5px 0;
		border-bottom: 1px solid var(--rule);
		font-size: 14px;
		line-height: 1.3;
	}
	.name {
		font-weight: 700;
	}
	h3 {
		font-size: 14px;
		font-weight: 700;
		padding-top: 10px;
		color: var(--stop);
	}
</style>
