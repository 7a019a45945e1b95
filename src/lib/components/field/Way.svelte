<script lang="ts">
	import type { LaidPath } from '$core/playing';

	/** The way of a ball or a player in a turn, or of players after it: each kind by its own line. */
	let {
		kind,
		d,
		end,
		scale
	}: {
		kind: LaidPath['kind'] | 'move';
		/** The line in metres. */
		d: string;
		/** Where a ball in flight comes down. */
		end?: { x: number; y: number };
		/** How much larger than on the half pitch. */
		scale: number;
	} = $props();

	const WIDTHS = { flight: 0.22, run: 0.75, carry: 0.6, move: 0.22 };
	const dashes = $derived(
		kind === 'carry' ? `0 ${scale}` : kind === 'move' ? `${0.1 * scale} ${0.6 * scale}` : undefined
	);
</script>

<path class={kind} {d} style:stroke-width={scale * WIDTHS[kind]} style:stroke-dasharray={dashes} />
{#if kind === 'flight' && end}<circle cx={end.x} cy={end.y} r={0.42 * scale} />{/if}

<style>
	path {
		fill: none;
		stroke: var(--ink);
	}
	circle {
		fill: var(--ink);
	}
	.run {
		stroke: var(--help);
		stroke-linecap: round;
		opacity: 0.75;
	}
	.carry {
		stroke: var(--action);
		stroke-linecap: round;
	}
	.move {
		stroke: var(--ink-soft);
		stroke-linecap: round;
	}
</style>
