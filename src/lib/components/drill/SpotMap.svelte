<script lang="ts">
	import { arrowStep } from '../drag/arrows';
	import { dragged, type DragHandlers } from '../drag/dragged';
	import { useWording } from '../page/wording.svelte';
	import type { SpotRow } from './draft';

	/** The ground of a copy on a grid of metres: spots are dragged, or moved by the arrow keys. */
	let {
		rows,
		length,
		width,
		onmove
	}: {
		rows: readonly SpotRow[];
		/** Metres. */
		length: number;
		width: number;
		onmove: (index: number, at: { x: number; y: number }) => void;
	} = $props();

	const w = useWording();
	let pixels = $state(500);
	let pulled: { index: number; x: number; y: number } | null = $state.raw(null);

	const scale = $derived(pixels / length);
	const across = $derived(Array.from({ length: Math.floor(length) + 1 }, (_, metre) => metre));
	const down = $derived(Array.from({ length: Math.floor(width) + 1 }, (_, metre) => metre));
	const placed = $derived(
		rows.map((row, index) => {
			const own = pulled?.index === index ? pulled : null;
			const x = own?.x ?? (Number(row.x.replace(',', '.')) || 0);
			const y = own?.y ?? (Number(row.y.replace(',', '.')) || 0);
			return { row, index, x, y };
		})
	);
	const moves = $derived(
		placed.flatMap(({ row, x, y }) => {
			const next = placed.find((other) => other.row.id === row.goesTo);
			return next && next.row.id !== row.id
				? [{ key: row.key, d: `M${x} ${y}L${next.x} ${next.y}` }]
				: [];
		})
	);

	/** On the nearest half metre of the copy. */
	const within = (value: number, most: number) =>
		Math.min(most, Math.max(0, Math.round(value * 2) / 2));
	const dragOf = (index: number): DragHandlers => ({
		onmove({ x, y }) {
			const row = rows[index];
			pulled = {
				index,
				x: within(Number(row.x) + x / scale, length),
				y: within(Number(row.y) + y / scale, width)
			};
		},
		ondrop() {
			if (pulled) onmove(pulled.index, pulled);
			pulled = null;
		},
		oncancel: () => (pulled = null)
	});
	function step(event: KeyboardEvent, index: number) {
		const by = arrowStep(event);
		if (!by) return;
		event.preventDefault();
		const { x, y } = placed[index];
		onmove(index, { x: within(x + by.x / 2, length), y: within(y + by.y / 2, width) });
	}
</script>

<div
	class="map"
	bind:clientWidth={pixels}
	style:aspect-ratio="{length} / {width}"
	style:max-width="calc(46vh * {length / width})"
	role="group"
	aria-label={w('Spots on a grid of metres; arrows move one by half a metre')}
>
	<svg viewBox="0 0 {length} {width}" aria-hidden="true">
		{#each across as metre (metre)}
			<path
				class:five={metre % 5 === 0}
				d="M{metre} 0V{width}"
				vector-effect="non-scaling-stroke"
			/>
		{/each}
		{#each down as metre (metre)}
			<path
				class:five={metre % 5 === 0}
				d="M0 {metre}H{length}"
				vector-effect="non-scaling-stroke"
			/>
		{/each}
		{#each moves as { key, d } (key)}<path
				class="move"
				{d}
				vector-effect="non-scaling-stroke"
			/>{/each}
	</svg>
	{#each placed as { row, index, x, y } (row.key)}
		<button
			type="button"
			class={row.role}
			style="left:{x * scale}px;top:{y * scale}px"
			aria-label="{w('Spot')} {row.id || 'new'}, {x} m, {y} m"
			onkeydown={(event) => step(event, index)}
			{@attach dragged(() => dragOf(index))}>{row.id || '?'}</button
		>
	{/each}
</div>

<style>
	.map {
		position: relative;
		border: 1px solid var(--ink);
		background: var(--turf);
		overflow: hidden;
	}
	svg {
		display: block;
		width: 100%;
		height: 100%;
	}
	path {
		stroke: #fff;
		stroke-width: 1;
		opacity: 0.7;
	}
	.five {
		stroke-width: 2;
		opacity: 1;
	}
	.move {
		stroke: var(--ink-soft);
		stroke-width: 2;
		stroke-dasharray: 2 5;
		opacity: 1;
	}
	button {
		position: absolute;
		transform: translate(-50%, -50%);
		min-width: 34px;
		min-height: 30px;
		padding: 2px 6px;
		border: 2px solid var(--ink);
		background: #fff;
		font: inherit;
		font-size: 13px;
		font-weight: 700;
		color: var(--ink);
		cursor: grab;
		touch-action: none;
	}
	.worker {
		background: var(--ink);
		color: #fff;
	}
	.feeder {
		border-radius: 16px;
	}
	.helper {
		border-style: dashed;
	}
</style>
