<script lang="ts">
	import type { Drill } from '$core/model/drill';
	import type { Point } from '$core/practice';

	/** The spots of a running copy by their role, and where players go after a turn. */
	let {
		spots,
		drill,
		moves
	}: {
		spots: ReadonlyMap<string, Point>;
		drill: Drill | undefined;
		moves: Record<string, string>;
	} = $props();

	const marks = $derived(
		(drill?.spots ?? []).flatMap(({ id, role }) => {
			const point = spots.get(id);
			return point ? [{ id, role, ...point }] : [];
		})
	);

	/** A soft curve from one spot to the next. */
	function curve(from: Point, to: Point): string {
		const [mx, my] = [(from.x + to.x) / 2, (from.y + to.y) / 2];
		const [dx, dy] = [to.x - from.x, to.y - from.y];
		return `M${from.x} ${from.y}Q${mx - dy * 0.18} ${my + dx * 0.18} ${to.x} ${to.y}`;
	}
	const curves = $derived(
		Object.entries(moves).flatMap(([from, to]) => {
			const [a, b] = [spots.get(from), spots.get(to)];
			return a && b && from !== to ? [curve(a, b)] : [];
		})
	);
</script>

{#each curves as d (d)}
	<path {d} class="move" />
{/each}
{#each marks as { id, role, x, y } (id)}
	{#if role === 'opponent'}
		<path class="opponent" d="M{x - 0.9} {y - 0.9}h0.6l0.3 0.5l0.3-0.5h0.6v1.8h-1.8z" />
	{:else if role === 'feeder'}
		<circle class="open" cx={x} cy={y} r="0.95" />
	{:else if role === 'helper'}
		<path class="open" d="M{x} {y - 1}l1 1.8h-2z" />
	{:else}
		<circle class="worker" cx={x} cy={y} r="0.55" />
	{/if}
{/each}

<style>
	.move {
		fill: none;
		stroke: var(--ink-soft);
		stroke-width: 0.22;
		stroke-dasharray: 0.1 0.6;
		stroke-linecap: round;
	}
	.open {
		fill: none;
		stroke: var(--ink);
		stroke-width: 0.3;
	}
	.opponent {
		fill: none;
		stroke: var(--ink);
		stroke-width: 0.3;
	}
	.worker {
		fill: var(--ink);
	}
</style>
