<script lang="ts">
	import type { Proposal } from './proposals';

	/** Where something would come to lie, and what that does, while it is dragged. */
	let {
		proposal,
		scale,
		left,
		laneWidth,
		lanes
	}: { proposal: Proposal; scale: number; left: number; laneWidth: number; lanes: number } =
		$props();

	const { ghost } = $derived(proposal);
	const columns = $derived(Math.min(ghost.columns, lanes - ghost.column));
</script>

<div
	class="ghost"
	style:left="{left + ghost.column * laneWidth}px"
	style:width="{columns * laneWidth}px"
	style:top="{ghost.fromSecond * scale}px"
	style:height="{Math.max(3, (ghost.toSecond - ghost.fromSecond) * scale)}px"
>
	<span>{proposal.words}</span>
</div>

<style>
	.ghost {
		position: absolute;
		z-index: 5;
		pointer-events: none;
		border: 2px dashed var(--action);
		background: rgb(18 84 90 / 14%);
	}
	span {
		position: absolute;
		left: 0;
		top: 0;
		background: var(--action);
		color: #fff;
		font-weight: 700;
		font-size: 13px;
		padding: 2px 8px;
		white-space: nowrap;
	}
</style>
