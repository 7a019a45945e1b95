<script lang="ts">
	import type { Drill } from '$core/model/drill';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/drill';
	import { percent, turnsWords } from '../tape/words';
	import { ladderNumbers, type Given } from '$core/building';

	/** The rungs of a drill: what changes, and what that does to the numbers. */
	let {
		team,
		drill,
		players,
		minutes,
		adults
	}: { team: string; drill: Drill; players: number; minutes: number; adults: number } = $props();

	const say = useWords();
	const ladder = $derived(ladderNumbers(drill, players, { minutes, adults }));
	const base = $derived(ladder[0]?.given);
	const nameOf = (id: string) => drill.rungs.find((rung) => rung.id === id)?.name ?? id;

	function words(given: Given | null): string {
		if (!given) return say(texts.doesNotRunSo);
		const turns = Math.round(given.turns.mean);
		const more = base ? turns - Math.round(base.turns.mean) : 0;
		const change = more === 0 ? '' : ` (${more > 0 ? '+' : '−'}${Math.abs(more)})`;
		const others = given.players === players ? '' : say(texts.with, { playerCount: given.players });
		return say(texts.waits, {
			reps: turnsWords(given.turns, say),
			change,
			percent: percent(given.waitShare),
			others
		});
	}
</script>

{#if drill.rungs.length > 0}
	<h2>{say(texts.ladder)}</h2>
	<ol>
		{#each ladder.slice(1) as { id, name, change, given } (id)}
			{@const needs = drill.rungs.find((rung) => rung.id === id)?.needs ?? []}
			<li>
				<strong>{name}</strong>
				<span>{words(given)}</span>
				<p>
					{change}{#if needs.length > 0}{say(texts.after, {
							names: needs.map(nameOf).join(' and ')
						})}{/if}
					<a
						href="/{team}/drills/new?from={encodeURIComponent(drill.id)}&rung={encodeURIComponent(
							id ?? ''
						)}"
						aria-label={say(texts.copyRungAsDrill, { name })}>{say(texts.copyAsDrill)}</a
					>
				</p>
			</li>
		{/each}
	</ol>
{/if}

<style>
	h2 {
		font-size: 14px;
		font-weight: 700;
		border-bottom: 1px solid var(--rule);
		padding: 12px 0 3px;
	}
	li {
		display: grid;
		grid-template-columns: 1fr auto;
		gap: 0 12px;
		padding: 5px 0;
		border-bottom: 1px solid var(--rule);
		font-size: 14px;
	}
	span {
		font-size: 13px;
	}
	a {
		font-weight: 600;
		color: var(--action);
		margin-left: 6px;
	}
	p {
		grid-column: 1 / -1;
		font-size: 13px;
		color: var(--ink-soft);
	}
</style>
