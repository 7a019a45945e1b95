<script lang="ts">
	import type { PeriodWindow } from '$core/playing';
	import { dragged, type DragHandlers } from '../drag/dragged';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/tape';

	const say = useWords();

	/** A period's stretch over all lanes: its name where no block fills it, and a bracket to select it by. */
	let {
		window,
		scale,
		left,
		width,
		isSelected,
		onselect,
		drag
	}: {
		window: PeriodWindow;
		scale: number;
		left: number;
		width: number;
		isSelected: boolean;
		onselect: () => void;
		drag: DragHandlers;
	} = $props();

	const { period } = $derived(window);
	const top = $derived(window.fromSecond * scale);
	const height = $derived((window.toSecond - window.fromSecond) * scale);
	/** Pixels below which a bar is lower than its words: they stand on a label over its edge. */
	const THIN = 11;
	const isBare = $derived(period.lanes.every(({ blocks }) => blocks.length === 0));
	const tone = $derived(period.kind === 'water' ? 'water' : isBare ? 'bare' : 'filled');
</script>

<button
	class="period {tone}"
	class:selected={isSelected}
	style:left="{left}px"
	style:top="{top}px"
	style:width="{width}px"
	style:height="{height}px"
	class:thin={height < THIN}
	style:font-size="{Math.min(13, Math.max(11, height - 2.5))}px"
	aria-pressed={isSelected}
	aria-label={say(texts.minutes, { name: period.name, minutes: period.minutes })}
	title={say(texts.nameAndMinutes, { name: period.name, minutes: period.minutes })}
	onclick={onselect}
	{@attach dragged(() => drag)}
>
	{#if isBare}<span
			>{say(texts.nameDotMinutes, { name: period.name, minutes: period.minutes })}</span
		>{/if}
	<span class="grip" aria-hidden="true"></span>
</button>

<style>
	.period {
		position: absolute;
		padding: 0 0 0 10px;
		border: 0;
		border-top: 1px solid var(--rule);
		background: transparent;
		font: inherit;
		font-weight: 600;
		line-height: 1;
		text-align: left;
		color: var(--ink);
		cursor: grab;
		touch-action: none;
		display: flex;
		align-items: center;
		white-space: nowrap;
	}
	.grip {
		position: absolute;
		inset: auto 0 0;
		height: 5px;
		cursor: ns-resize;
	}
	.grip:hover {
		background: rgb(18 84 90 / 35%);
	}
	.water {
		background: var(--water);
		color: var(--action-deep);
	}
	.bare {
		background:
			repeating-linear-gradient(90deg, transparent 0 7px, rgb(29 37 40 / 5%) 7px 8px),
			var(--chalk-deep);
	}
	.thin {
		z-index: 1;
	}
	.thin span:not(.grip) {
		background: inherit;
		padding: 1px 6px 1px 0;
		margin-block: -3px;
	}
	.selected {
		box-shadow: inset 5px 0 0 var(--action);
	}
	.period:focus-visible {
		outline-offset: -2px;
		z-index: 3;
	}
</style>
