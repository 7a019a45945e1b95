<script lang="ts">
	import type { LaidCopy } from '$core/playing';
	import { moveCurve } from './curve';
	import RoleMark from './RoleMark.svelte';
	import Way from './Way.svelte';

	/** The drawing of a running copy: spots by their role, ways of a turn, and where players go after it. */
	let {
		copy,
		scale
	}: { copy: LaidCopy; /** How much larger than on the half pitch. */ scale: number } = $props();

	const { drill } = $derived(copy);
	const marks = $derived(
		drill.spots.flatMap(({ id, role }) => {
			const point = copy.spots.get(id);
			return point ? [{ id, role, ...point }] : [];
		})
	);
	const curves = $derived(
		drill.spots.flatMap(({ id }, index) => {
			const next = drill.rotation.moves[id];
			const [a, b] = [copy.spots.get(id), copy.spots.get(next ?? '')];
			return a && b && id !== next ? [{ id, turn: index + 1, ...moveCurve(a, b) }] : [];
		})
	);
</script>

{#each copy.paths as { kind, from, to }, index (index)}
	<Way {kind} d="M{from.x} {from.y}L{to.x} {to.y}" end={to} {scale} />
{/each}
{#each curves as { id, d, x, y, turn } (id)}
	<Way kind="move" {d} {scale} />
	<text class="turn" {x} {y} style:font-size="{1.5 * scale}px">{turn}</text>
{/each}
{#each marks as { id, role, x, y } (id)}
	<g transform="translate({x} {y}) scale({scale})"><RoleMark {role} /></g>
{/each}

<style>
	.turn {
		fill: var(--ink-soft);
		font-weight: 700;
		text-anchor: middle;
		dominant-baseline: central;
	}
</style>
