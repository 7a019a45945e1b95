<script lang="ts">
	import { useWords } from '$lib/components/page/words.svelte';
	import type { LadderStanding } from '$core/season';
	import texts from '$texts/season';

	/** The rungs of a ladder from the easiest: those that were run, where it stands, what comes next. */
	let { standing, names }: { standing: LadderStanding; names: readonly string[] } = $props();

	const say = useWords();
</script>

<span class="bar">
	{#each standing.rungs as { id, runs }, index (id ?? '')}
		{@const said = say(texts.rungState, { name: names[index], runs })}
		<i
			class:done={runs > 0}
			class:at={index === standing.at}
			class:next={index === standing.next && standing.next !== standing.at}
			title={said}
		>
			<span class="unseen">{said}</span>
		</i>
	{/each}
</span>

<style>
	.bar {
		display: inline-flex;
		gap: 3px;
		align-items: end;
	}
	i {
		width: 18px;
		height: 11px;
		border: 1.5px solid var(--ink);
		background: #fff;
	}
	.done {
		background: var(--action);
		border-color: var(--action);
	}
	.at {
		height: 17px;
		border-color: var(--ink);
	}
	.next {
		background: repeating-linear-gradient(135deg, var(--wait) 0 2px, #fff 2px 5px);
		border-color: var(--wait-ink);
	}
</style>
