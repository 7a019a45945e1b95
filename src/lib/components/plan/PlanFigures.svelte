<script lang="ts">
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/plan';
	import type { Measures } from './planning';

	/** What a plan is worth: as it is stored, and as it is planned now. */
	let {
		before,
		after,
		bound
	}: { before: Measures | null; after: Measures | null; bound: number | null } = $props();

	const say = useWords();
	const met = ({ targetsMet, targets }: Measures) =>
		say(texts.ofTargets, { met: targetsMet, targets });
	const short = ({ weightedShort }: Measures) => String(Math.round(weightedShort));
	const gap = ({ longestGap }: Measures) => String(longestGap);
	const rows = $derived([
		{ name: say(texts.targetsMet), of: met },
		{ name: say(texts.short), of: short },
		{ name: say(texts.gap), of: gap }
	]);
</script>

<dl class="figures">
	{#each rows as { name, of } (name)}
		<div>
			<dd>
				{#if before}<span class:was={after !== null}>{of(before)}</span>{/if}
				{#if after}{#if before}<span class="arrow" aria-hidden="true">→</span>{/if}<strong
						>{of(after)}</strong
					>{/if}
			</dd>
			<dt>{name}</dt>
		</div>
	{/each}
	{#if after && after.changedPractices > 0}
		<div>
			<dd><strong>{after.changedPractices}</strong></dd>
			<dt>{say(texts.changedPractices)}</dt>
		</div>
	{/if}
	{#if after && after.changes > 0}
		<div>
			<dd><strong>{after.changes}</strong></dd>
			<dt>{say(texts.changes)}</dt>
		</div>
	{/if}
</dl>
{#if after && bound !== null}<p>{say(texts.bound, { minutes: Math.round(bound) })}</p>{/if}

<style>
	.figures {
		display: flex;
		flex-wrap: wrap;
		gap: 10px 36px;
		padding: 12px 0 4px;
	}
	.figures > div {
		display: flex;
		flex-direction: column;
	}
	dd {
		font-size: 24px;
		font-variant-numeric: tabular-nums;
		display: flex;
		gap: 8px;
		align-items: baseline;
	}
	dd strong {
		font-weight: 700;
	}
	.was,
	.arrow {
		color: var(--ink-soft);
		font-size: 18px;
	}
	dt,
	p {
		font-size: 13px;
		color: var(--ink-soft);
	}
</style>
