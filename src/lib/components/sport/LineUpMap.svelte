<script lang="ts">
	import type { Ground } from '$core/model/team';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/sport';
	import { extentOf } from '../ground/extent';
	import Marking from '../field/Marking.svelte';

	/** The places of a line-up on the ground to scale. */
	let {
		ground,
		places
	}: {
		ground: Ground;
		/** Metres on the ground; the number is that of the row. */
		places: readonly { x: number; y: number; number: number }[];
	} = $props();

	const say = useWords();
	const extent = $derived(extentOf({ ...ground, zones: [] }));
	const dot = $derived(extent.length / 55);
</script>

<svg
	role="img"
	aria-label={say(texts.drawnLineUp)}
	viewBox="{extent.x} {extent.y} {extent.length} {extent.width}"
>
	<rect x={extent.x} y={extent.y} width={extent.length} height={extent.width} fill="var(--turf)" />
	{#each ground.markings as marking, index (index)}<Marking {marking} />{/each}
	{#each places as { x, y, number } (number)}
		<circle cx={x} cy={y} r={dot} />
		<text {x} y={y + dot * 0.42} font-size={dot * 1.2}>{number}</text>
	{/each}
</svg>

<style>
	svg {
		width: 100%;
		max-height: 420px;
	}
	circle {
		fill: var(--ink);
	}
	text {
		fill: #fff;
		text-anchor: middle;
		font-weight: 700;
	}
</style>
