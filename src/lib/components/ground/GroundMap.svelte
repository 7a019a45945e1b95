<script lang="ts">
	import type { Sun } from '$core/conditions';
	import { CORNERS, halfOverlaps, smallestZones, type Corner } from '$core/ground';
	import type { Zone } from '$core/model/team';
	import type { GroundEditor } from '$lib/state/groundEditor.svelte';
	import { arrowStep } from '../drag/arrows';
	import { dragged, type DragHandlers } from '../drag/dragged';
	import Marking from '../field/Marking.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/ground';
	import { extentOf, metres } from './extent';
	import SunMark from './SunMark.svelte';

	/** The ground to scale: zones are moved, and pulled at their corners, with snapping. */
	let {
		editor,
		sun,
		holds
	}: {
		editor: GroundEditor;
		sun: Sun | null;
		/** Copies of the chosen drill that a zone holds; null where none is chosen. */
		holds: (zone: Zone) => number | null;
	} = $props();

	const say = useWords();
	let pixels = $state(700);
	let paper: HTMLElement | undefined = $state();

	const ground = $derived(editor.shown);
	// A drag does not move the paper under the hand.
	const extent = $derived(extentOf(editor.ground));
	const scale = $derived(pixels / extent.length);
	const unit = $derived(Math.max(1.2, extent.length / 45));
	const area = ({ length, width }: Zone) => length * width;
	// The smaller lies on top, so that each can be taken.
	const stacked = $derived(ground.zones.toSorted((a, b) => area(b) - area(a)));
	// Zones that are put together of others would write their names over those.
	const named = $derived(new Set(smallestZones(ground).map(({ id }) => id)));
	const slips = $derived(
		new Set(halfOverlaps(ground).flatMap(([one, other]) => [one.id, other.id]))
	);
	const box = ({ x, y, length, width }: Zone) =>
		`left:${(x - extent.x) * scale}px;top:${(y - extent.y) * scale}px;width:${length * scale}px;height:${width * scale}px`;

	const dragOf = (id: string, corner?: Corner): DragHandlers => ({
		onmove: ({ x, y }) => editor.pull({ id, corner }, { x: x / scale, y: y / scale }),
		ondrop: () => editor.drop(),
		oncancel: () => editor.cancel()
	});

	/** A drag over the paper draws a new zone from where it began. */
	const drawOf = (): DragHandlers => ({
		onmove({ x, y, clientX, clientY }) {
			const corner = paper?.getBoundingClientRect();
			if (!corner) return;
			const at = (left: number, top: number) => ({
				x: (left - corner.left) / scale + extent.x,
				y: (top - corner.top) / scale + extent.y
			});
			editor.draw(at(clientX - x, clientY - y), at(clientX, clientY));
		},
		ondrop() {
			editor.drop();
			editor.isDrawing = false;
		},
		oncancel: () => editor.cancel()
	});

	/** Arrows move a zone by a metre; with Shift they pull its far corner. */
	function step(event: KeyboardEvent, { id }: Zone) {
		const by = arrowStep(event);
		if (!by) return;
		event.preventDefault();
		const corner: Corner | undefined = event.shiftKey ? { along: 'far', across: 'far' } : undefined;
		editor.pull({ id, corner }, by);
		editor.drop();
	}
	function words(zone: Zone): string {
		const copies = holds(zone);
		return say(copies === null ? texts.zoneBy : texts.zoneByHolds, {
			name: zone.name,
			length: metres(zone.length),
			width: metres(zone.width),
			copies
		});
	}
</script>

<div
	class="map"
	bind:clientWidth={pixels}
	style:aspect-ratio="{extent.length} / {extent.width}"
	style:max-width="calc(max(58vh, 300px) * {extent.length / extent.width})"
	role="group"
	aria-label={say(texts.theGroundArrowsMoveZoneBy)}
>
	<svg viewBox="{extent.x} {extent.y} {extent.length} {extent.width}" aria-hidden="true">
		<rect class="grass" x={extent.x} y={extent.y} width={extent.length} height={extent.width} />
		<rect class="outline" x="0" y="0" width={ground.length} height={ground.width} />
		{#each ground.markings as marking, index (index)}<Marking {marking} />{/each}
		<SunMark {ground} {sun} {unit} />
	</svg>
	{#each stacked as zone (zone.id)}
		{@const copies = holds(zone)}
		<button
			type="button"
			class="zone"
			class:slip={slips.has(zone.id)}
			class:selected={zone.id === editor.selected}
			style={box(zone)}
			aria-label={words(zone)}
			aria-pressed={zone.id === editor.selected}
			onclick={() => (editor.selected = zone.id)}
			onkeydown={(event) => step(event, zone)}
			{@attach dragged(() => dragOf(zone.id))}
		>
			{#if named.has(zone.id) || zone.id === editor.selected}
				<span class="name">{zone.name}</span>
				{#if copies !== null}<span class="copies">× {copies}</span>{/if}
			{/if}
		</button>
	{/each}
	{#if editor.isDrawing}
		<div class="paper" bind:this={paper} {@attach dragged(drawOf)}></div>
	{/if}
	{#if editor.zone && !editor.isDrawing}
		{@const zone = editor.zone}
		{#each CORNERS as corner (`${corner.along} ${corner.across}`)}
			<span
				class="corner"
				style="left:{(zone.x - extent.x + (corner.along === 'far' ? zone.length : 0)) *
					scale}px;top:{(zone.y - extent.y + (corner.across === 'far' ? zone.width : 0)) * scale}px"
				style:cursor={corner.along === corner.across ? 'nwse-resize' : 'nesw-resize'}
				{@attach dragged(() => dragOf(zone.id, corner))}
			></span>
		{/each}
	{/if}
	{#if editor.zone}
		{@const zone = editor.zone}
		<span
			class="size"
			style="left:{(zone.x - extent.x + zone.length / 2) * scale}px;top:{(zone.y -
				extent.y +
				zone.width) *
				scale}px"
		>
			{metres(zone.length)} × {metres(zone.width)} · {Math.round(area(zone))} m²
		</span>
	{/if}
</div>

<style>
	.map {
		position: relative;
		border: 1px solid var(--ink);
		overflow: hidden;
		touch-action: pan-y;
	}
	svg {
		display: block;
		width: 100%;
		height: 100%;
	}
	.grass {
		fill: var(--turf);
	}
	.outline {
		fill: none;
		stroke: var(--turf-line);
		stroke-width: 0.4;
	}
	.zone {
		position: absolute;
		border: 1.5px dashed var(--action);
		background: transparent;
		padding: 3px 5px;
		display: flex;
		justify-content: space-between;
		align-items: flex-start;
		font: inherit;
		color: var(--action);
		cursor: grab;
		touch-action: none;
		overflow: hidden;
	}
	.zone:hover {
		background: rgb(255 255 255 / 35%);
	}
	.selected {
		border: 3px solid var(--ink);
		background: rgb(255 255 255 / 55%);
		color: var(--ink);
		z-index: 1;
	}
	.slip {
		background-image: repeating-linear-gradient(
			45deg,
			transparent 0 7px,
			rgb(200 134 26 / 45%) 7px 9px
		);
	}
	.name {
		font-weight: 800;
		font-size: 15px;
		white-space: nowrap;
	}
	.copies {
		font-weight: 700;
		font-size: 13px;
		font-stretch: 85%;
		white-space: nowrap;
	}
	.paper {
		position: absolute;
		inset: 0;
		z-index: 3;
		cursor: crosshair;
		touch-action: none;
		background: rgb(255 255 255 / 20%);
	}
	.corner {
		position: absolute;
		z-index: 2;
		width: 26px;
		height: 26px;
		margin: -13px 0 0 -13px;
		touch-action: none;
	}
	.corner::after {
		content: '';
		position: absolute;
		inset: 8px;
		background: #fff;
		border: 2px solid var(--ink);
	}
	.size {
		position: absolute;
		z-index: 2;
		transform: translate(-50%, -100%);
		background: var(--ink);
		color: var(--chalk);
		font-size: 12.5px;
		font-weight: 650;
		padding: 2px 7px;
		white-space: nowrap;
		pointer-events: none;
	}
</style>
