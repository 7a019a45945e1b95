<script lang="ts">
	import type { Sun } from '$core/conditions';
	import type { Ground } from '$core/model/team';

	/** Where north is, and where the sun stands: its light falls along the lines. */
	let {
		ground,
		sun,
		unit
	}: { ground: Ground; sun: Sun | null; /** Metres of a mark. */ unit: number } = $props();

	const centre = $derived({ x: ground.length / 2, y: ground.width / 2 });
	const reach = $derived(Math.min(ground.length, ground.width) / 2);
	const north = $derived(360 - (ground.bearing ?? 90));
	const RAYS = [-1, 0, 1];
</script>

{#if ground.bearing !== undefined}
	<g transform="translate({ground.length - 2.2 * unit} {2.2 * unit}) rotate({north})">
		<path
			class="north"
			d="M{-1.2 * unit} 0H{1.1 * unit}M{0.4 * unit} {-0.5 * unit}L{1.2 * unit} 0L{0.4 * unit} {0.5 *
				unit}"
		/>
		<text
			x={-1.9 * unit}
			y={0.35 * unit}
			style:font-size="{unit}px"
			transform="rotate({-north} {-1.9 * unit} 0)">N</text
		>
	</g>
{/if}
{#if sun && sun.height > 0}
	<g transform="translate({centre.x} {centre.y}) rotate({sun.angle})">
		<circle class="sun" cx={reach} cy="0" r={0.8 * unit} />
		{#each RAYS as ray (ray)}
			<path
				class="ray"
				d="M{reach - 1.5 * unit} {ray * 1.3 * unit}H{reach - 5 * unit}m{0.8 * unit} {-0.5 *
					unit}l{-0.8 * unit} {0.5 * unit}l{0.8 * unit} {0.5 * unit}"
			/>
		{/each}
	</g>
{/if}

<style>
	.north {
		fill: none;
		stroke: var(--ink);
		stroke-width: 0.3;
	}
	text {
		font-weight: 800;
		text-anchor: middle;
		fill: var(--ink);
	}
	.sun {
		fill: #fff;
		stroke: var(--wait-ink);
		stroke-width: 0.5;
	}
	.ray {
		fill: none;
		stroke: var(--wait-ink);
		stroke-width: 0.4;
	}
</style>
