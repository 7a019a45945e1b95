<script lang="ts">
	import type { ClothCell } from '$core/season';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/season';

	/** One skill in one week: what each player had, what is planned on top of it, what is owed behind it. */
	let {
		id,
		name,
		cell,
		week,
		scale,
		isPast,
		isOpen,
		tabindex,
		onfocus,
		onkeydown,
		onopen
	}: {
		id: string;
		/** The skill's, with the unit's. */
		name: string;
		cell: ClothCell;
		week: number;
		/** Minutes that fill the cell. */
		scale: number;
		/** Whether the week has begun. */
		isPast: boolean;
		isOpen: boolean;
		tabindex: 0 | -1;
		onfocus: () => void;
		onkeydown: (event: KeyboardEvent) => void;
		onopen: () => void;
	} = $props();

	const HEIGHT = 24;
	/** Pixels of a bar from which on its number fits inside. */
	const FITS = 15;

	const say = useWords();
	const high = (minutes: number) => (minutes <= 0 ? 0 : Math.max(2, (minutes / scale) * HEIGHT));
	const done = $derived(high(cell.done));
	const planned = $derived(high(cell.planned));
	const minutes = $derived(Math.round(cell.done + cell.planned));
	const says = $derived(
		say(texts.cellSays, {
			name,
			week,
			done: Math.round(cell.done),
			planned: Math.round(cell.planned),
			owed: Math.round(cell.owed)
		})
	);
</script>

<button
	type="button"
	{id}
	{tabindex}
	class:open={isOpen}
	aria-label={says}
	title={says}
	{onfocus}
	{onkeydown}
	onclick={onopen}
>
	{#if cell.owed > 0}<i class="owed" class:soon={!isPast}></i>{/if}
	{#if planned > 0}
		<i class="planned" style:height="{planned}px" style:bottom="{done}px"></i>
	{/if}
	{#if done > 0}<i class="done" style:height="{done}px"></i>{/if}
	{#if minutes > 0}
		<b class:on={done >= FITS} style:bottom="{done + planned >= FITS ? 1 : done + planned + 1}px"
			>{minutes}</b
		>
	{:else if cell.owed > 0 && isPast}
		<b class="none">0</b>
	{/if}
</button>

<style>
	button {
		position: relative;
		display: block;
		width: 100%;
		height: 28px;
		padding: 0;
		border: 0;
		background: none;
		color: inherit;
		font: inherit;
		cursor: pointer;
	}
	button:hover,
	.open {
		background: var(--chalk-deep);
	}
	.open {
		outline: 2px solid var(--ink);
		outline-offset: -2px;
	}
	i {
		position: absolute;
		left: 2px;
		right: 2px;
		bottom: 0;
	}
	.owed {
		top: 1px;
		background: repeating-linear-gradient(135deg, var(--wait) 0 1.5px, transparent 1.5px 6px);
	}
	.owed.soon {
		opacity: 0.45;
	}
	.done {
		background: var(--action);
	}
	.planned {
		background: var(--chalk);
		border: 1.5px solid var(--action);
	}
	b {
		position: absolute;
		left: 50%;
		transform: translateX(-50%);
		padding: 0 2px;
		font-size: 11.5px;
		font-weight: 650;
		line-height: 13px;
		color: var(--ink);
		font-variant-numeric: tabular-nums;
	}
	b.on {
		color: #fff;
	}
	.owed ~ b:not(.on) {
		background: var(--chalk);
	}
	b.none {
		bottom: 7px;
		color: var(--wait-ink);
		background: var(--chalk);
	}
</style>
