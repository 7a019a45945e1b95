<script lang="ts">
	import type { Evaluation } from '$core/playing';
	import { liveBlocksIn, startsOf, type GameWeek } from '$core/scene';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/scenes';
	import SceneDrawing from './SceneDrawing.svelte';

	/** How often live play starts as the next opponent begins, in which blocks, and how that looks: for coaches alone. */
	let { plan, week }: { plan: Evaluation; week: GameWeek } = $props();

	const say = useWords();
	const live = $derived(liveBlocksIn(plan));
	/** Starts that are counted out: a live block rarely has more. */
	const STARTS = 20;
	const { ground } = $derived(plan.context);
</script>

<p class="every">{say(texts.everySo, { nth: String(week.every) })}</p>
<ul class="blocks">
	{#each live as { block, drill: { name }, period } (block.id)}
		<li>{name === period.name ? name : say(texts.blockIn, { name, where: period.name })}</li>
	{:else}
		<li>{say(texts.liveBlocks, { count: 0 })}</li>
	{/each}
</ul>
<ul class="seeds">
	{#each week.seeds as seed (seed.id)}
		<li>
			<SceneDrawing scene={seed} markings={seed.groundId === ground.id ? ground.markings : []} />
			<h3>{seed.name}</h3>
			<p>{say(texts.startsOf, { list: startsOf(week, seed, STARTS).join(', ') })}</p>
			{#if seed.call}<p>{say(texts.called, { call: seed.call })}</p>{/if}
		</li>
	{/each}
</ul>

<style>
	.every {
		padding-top: 6px;
		font-size: 1.25em;
		font-weight: 700;
	}
	.blocks {
		display: flex;
		flex-wrap: wrap;
		gap: 2px 18px;
	}
	.seeds {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
		gap: 16px;
		padding: 12px 0;
	}
	.seeds li {
		break-inside: avoid;
	}
	h3 {
		padding-top: 4px;
		font-size: 1.1em;
		font-weight: 750;
	}
</style>
