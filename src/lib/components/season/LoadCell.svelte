<script lang="ts">
	import type { WeekLoad } from '$core/season';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/season';

	/** What a week costs a player, and whether it is far more than the weeks before it. */
	let {
		load,
		week,
		most,
		jump,
		onopen
	}: {
		load: WeekLoad;
		week: number;
		most: number;
		jump: number;
		onopen: () => void;
	} = $props();

	const say = useWords();
	const HEIGHT = 46;
	const all = $derived(load.done + load.planned);
	const high = (value: number) => (most > 0 ? (value / most) * HEIGHT : 0);
	const times = $derived(load.times !== null && load.times >= jump ? load.times : null);
	const said = $derived(
		[
			say(texts.loadOfWeek, { week, load: Math.round(all) }),
			...(times === null ? [] : [say(texts.jump, { times: times.toFixed(1) })])
		].join(', ')
	);
</script>

<button type="button" aria-label={said} title={said} onclick={onopen}>
	<i class="done" style:height="{high(load.done)}px"></i>
	{#if load.planned > 0}
		<i class="planned" style:height="{high(load.planned)}px" style:bottom="{high(load.done)}px"></i>
	{/if}
	{#if all > 0}
		<b style:bottom="{high(all) >= 16 ? 2 : high(all) + 1}px">{Math.round(all)}</b>
	{/if}
	{#if times !== null}
		<svg viewBox="0 0 12 10" aria-hidden="true"><path d="M6 0 L12 10 L0 10 Z" /></svg>
	{/if}
</button>

<style>
	button {
		position: relative;
		display: block;
		width: 100%;
		height: 62px;
		padding: 0;
		border: 0;
		background: none;
		cursor: pointer;
	}
	button:hover {
		background: var(--chalk-deep);
	}
	i {
		position: absolute;
		left: 2px;
		right: 2px;
		bottom: 0;
	}
	.done {
		background: var(--help);
	}
	.planned {
		border: 1.5px solid var(--help);
	}
	b {
		position: absolute;
		left: 50%;
		transform: translateX(-50%);
		font-size: 11.5px;
		font-weight: 650;
		line-height: 13px;
		color: var(--ink);
	}
	svg {
		position: absolute;
		top: 1px;
		left: calc(50% - 6px);
		width: 12px;
	}
	path {
		fill: var(--wait);
		stroke: var(--wait-ink);
	}
</style>
