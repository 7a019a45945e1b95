<script lang="ts">
	import type { Scene } from '$core/model/scene';
	import type { Ground } from '$core/model/team';
	import { bibMetres } from '$core/playing';
	import { drawingOf } from '$core/scene';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/scenes';
	import { linesOn } from '../drafting/mapLines';
	import Marking from '../field/Marking.svelte';
	import RoleMark from '../field/RoleMark.svelte';
	import Way from '../field/Way.svelte';

	/** A scene as it begins, with the ways that follow: on its ground, everybody by position or number. */
	let { scene, markings = [] }: { scene: Scene; markings?: Ground['markings'] } = $props();

	const say = useWords();
	const drawing = $derived(drawingOf(scene));
	const scale = $derived((bibMetres(scene.ground) / 3.1) * 1.25);
	const spots = $derived(
		drawing.spots.map(({ id, role, x = 0, y = 0 }) => ({ key: id, role, x, y }))
	);
	const lines = $derived(linesOn(drawing, spots));
	/** The ball beside whoever has it, so that both are seen. */
	const ball = $derived.by(() => {
		if (!scene.ball) return null;
		const [x, y] = scene.ball;
		const isHeld = scene.tokens.some((token) => Math.hypot(token.x - x, token.y - y) < 1.6 * scale);
		return isHeld ? { x: x - 1.3 * scale, y: y + 1.5 * scale } : { x, y };
	});
	const count = (side: string) => scene.tokens.filter((token) => token.side === side).length;
	const edge = $derived(1.5 * scale);
</script>

<svg
	viewBox="{-edge} {-edge} {scene.ground.length + 2 * edge} {scene.ground.width + 2 * edge}"
	role="img"
	aria-label={say(texts.drawingOf, {
		name: scene.name,
		ours: count('ours'),
		theirs: count('theirs')
	})}
>
	<rect width={scene.ground.length} height={scene.ground.width} />
	{#each markings as marking, index (index)}<Marking {marking} />{/each}
	{#each lines as { key, kind, from, to } (key)}
		<Way {kind} d="M{from.x} {from.y}L{to.x} {to.y}" end={to} {scale} />
	{/each}
	{#each spots as { key, role, x, y } (key)}
		{#if role !== 'feeder'}
			<g transform="translate({x} {y}) scale({1.3 * scale})"><RoleMark {role} /></g>
			<text x={x + 1.9 * scale} y={y + 0.9 * scale} style:font-size="{2.5 * scale}px">{key}</text>
		{/if}
	{/each}
	{#if ball}<circle class="ball" cx={ball.x} cy={ball.y} r={0.8 * scale} />{/if}
</svg>

<style>
	svg {
		display: block;
		width: 100%;
		border: 1px solid var(--ink);
		background: var(--turf);
	}
	rect {
		fill: none;
		stroke: var(--turf-line);
		stroke-width: 0.3;
	}
	.ball {
		fill: var(--now);
		stroke: #fff;
		stroke-width: 0.25;
	}
	text {
		fill: var(--ink);
		font-weight: 750;
		font-stretch: 85%;
		paint-order: stroke;
		stroke: var(--turf);
		stroke-width: 0.12em;
	}
</style>
