<script lang="ts">
	import { onRung, type Evaluation } from '$core/playing';
	import { blocksOf, drillOf } from '$core/practice';
	import type { GameWeek } from '$core/scene';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/scenes';
	import SceneDrawing from './SceneDrawing.svelte';

	/** How often live play starts as the next opponent begins, in which blocks, and how that looks: for coaches alone. */
	let { plan, week }: { plan: Evaluation; week: GameWeek } = $props();

	const say = useWords();
	const live = $derived(
		[...blocksOf(plan.practice)].flatMap(({ block, period }) => {
			const drill = drillOf(plan.context, block.drill);
			const isLive = drill && block.climb.some(({ rung }) => onRung(drill, rung).live);
			return isLive ? [{ id: block.id, name: drill.name, period: period.name }] : [];
		})
	);
	const { ground } = $derived(plan.context);
</script>

<p class="every">{say(texts.everySo, { nth: String(week.every) })}</p>
<ul class="blocks">
	{#each live as { id, name, period } (id)}
		<li>{name === period ? name : say(texts.blockIn, { name, where: period })}</li>
	{:else}
		<li>{say(texts.liveBlocks, { count: 0 })}</li>
	{/each}
</ul>
<ul class="seeds">
	{#each week.seeds as seed (seed.id)}
		<li>
			<SceneDrawing scene={seed} markings={seed.groundId === ground.id ? ground.markings : []} />
			<h3>{seed.name}</h3>
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
