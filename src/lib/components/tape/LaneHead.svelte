<script lang="ts">
	import type { Context } from '$core/practice';
	import type { Column } from './layout';

	/** Names and sizes of the zones over their lanes, each with its place on the ground. */
	let {
		columns,
		context,
		ruler,
		laneWidth
	}: { columns: readonly Column[]; context: Context; ruler: number; laneWidth: number } = $props();
	const ground = $derived(context.ground);
	const metres = (value: number) => Math.round(value);
</script>

<div class="heads" style:padding-left="{ruler}px">
	{#each columns as { zone } (zone.id)}
		<div class="head" style:width="{laneWidth}px">
			<div>
				<strong>{zone.name}</strong>
				<span class="narrow">{metres(zone.length)}×{metres(zone.width)} m</span>
			</div>
			<svg viewBox="0 0 {ground.length} {ground.width}" width="26" height="18" aria-hidden="true">
				<rect
					width={ground.length}
					height={ground.width}
					fill="none"
					stroke="currentColor"
					stroke-width="2.4"
				/>
				<rect x={zone.x} y={zone.y} width={zone.length} height={zone.width} fill="var(--action)" />
			</svg>
		</div>
	{/each}
</div>

<style>
	.heads {
		display: flex;
		background: var(--chalk-deep);
		border-bottom: 1px solid var(--rule);
		min-width: max-content;
	}
	.head {
		padding: 3px 6px 4px;
		display: flex;
		justify-content: space-between;
		align-items: center;
		border-left: 1px solid var(--rule);
		line-height: 1.15;
		overflow: hidden;
	}
	strong {
		display: block;
		font-size: 14px;
	}
	span {
		font-size: 11.5px;
		color: var(--ink-soft);
		white-space: nowrap;
	}
	svg {
		flex: none;
		color: var(--ink-soft);
	}
</style>
