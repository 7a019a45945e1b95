<script lang="ts">
	import type { LaidCopy, Point } from '$core/practice';

	/** The drawing of a running copy: spots by their role, ways of a turn, and where players go after it. */
	let {
		copy,
		scale
	}: { copy: LaidCopy; /** How much larger than on the half pitch. */ scale: number } = $props();

	const drill = $derived(copy.played.run.drill);
	const marks = $derived(
		(drill?.spots ?? []).flatMap(({ id, role }) => {
			const point = copy.spots.get(id);
			return point ? [{ id, role, ...point }] : [];
		})
	);

	/** A soft curve from one spot to the next, and its middle. */
	function curve(from: Point, to: Point) {
		const [mx, my] = [(from.x + to.x) / 2, (from.y + to.y) / 2];
		const [dx, dy] = [to.x - from.x, to.y - from.y];
		const [cx, cy] = [mx - dy * 0.18, my + dx * 0.18];
		return {
			d: `M${from.x} ${from.y}Q${cx} ${cy} ${to.x} ${to.y}`,
			x: (mx + cx) / 2,
			y: (my + cy) / 2
		};
	}
	const curves = $derived(
		(drill?.spots ?? []).flatMap(({ id }, index) => {
			const next = drill?.rotation.moves[id];
			const [a, b] = [copy.spots.get(id), copy.spots.get(next ?? '')];
			return a && b && id !== next ? [{ id, turn: index + 1, ...curve(a, b) }] : [];
		})
	);
	const line = ({ from, to }: { from: Point; to: Point }) => `M${from.x} ${from.y}L${to.x} ${to.y}`;
</script>

{#each copy.paths as path, index (index)}
	<path
		class={path.kind}
		d={line(path)}
		style:stroke-width={scale * (path.kind === 'flight' ? 0.22 : path.kind === 'run' ? 0.75 : 0.6)}
		style:stroke-dasharray={path.kind === 'carry' ? `0 ${scale}` : undefined}
	/>
	{#if path.kind === 'flight'}<circle
			class="ball"
			cx={path.to.x}
			cy={path.to.y}
			r={0.42 * scale}
		/>{/if}
{/each}
{#each curves as { id, d, x, y, turn } (id)}
	<path
		{d}
		class="move"
		style:stroke-width={0.22 * scale}
		style:stroke-dasharray="{0.1 * scale}
		{0.6 * scale}"
	/>
	<text class="turn" {x} {y} style:font-size="{1.5 * scale}px">{turn}</text>
{/each}
{#each marks as { id, role, x, y } (id)}
	<g transform="translate({x} {y}) scale({scale})">
		{#if role === 'opponent'}
			<path class="opponent" d="M-0.9 -0.9h0.6l0.3 0.5l0.3-0.5h0.6v1.8h-1.8z" />
		{:else if role === 'feeder'}
			<circle class="open" r="0.95" />
		{:else if role === 'helper'}
			<path class="open" d="M0 -1l1 1.8h-2z" />
		{:else}
			<circle class="worker" r="0.55" />
		{/if}
	</g>
{/each}

<style>
	.flight {
		fill: none;
		stroke: var(--ink);
	}
	.ball {
		fill: var(--ink);
	}
	.run {
		fill: none;
		stroke: var(--help);
		stroke-linecap: round;
		opacity: 0.75;
	}
	.carry {
		fill: none;
		stroke: var(--action);
		stroke-linecap: round;
	}
	.move {
		fill: none;
		stroke: var(--ink-soft);
		stroke-linecap: round;
	}
	.turn {
		fill: var(--ink-soft);
		font-weight: 700;
		text-anchor: middle;
		dominant-baseline: central;
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
