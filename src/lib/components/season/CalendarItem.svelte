<script lang="ts">
	import { clockAt } from '$core/conditions';
	import { dayWords } from '$lib/components/page/dates';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/calendar';
	import { dragged, type DragHandlers } from '../drag/dragged';
	import { percent } from '../tape/words';
	import type { Item } from './calendarItems';

	/** A practice or a game in the calendar: opened by a press, moved by a drag or by Shift and the arrow keys. */
	let {
		item,
		isOpen,
		isLarge,
		onopen,
		onstep,
		drag
	}: {
		item: Item;
		isOpen: boolean;
		/** With what it holds, where there is room. */
		isLarge: boolean;
		onopen: () => void;
		/** Told by how many days it is moved. */
		onstep: (days: number) => void;
		drag: () => DragHandlers;
	} = $props();

	const say = useWords();
	const STEPS: Record<string, number> = {
		ArrowLeft: -1,
		ArrowRight: 1,
		ArrowUp: -7,
		ArrowDown: 7
	};

	function onkeydown(event: KeyboardEvent) {
		const days = event.shiftKey ? STEPS[event.key] : undefined;
		if (days === undefined) return;
		event.preventDefault();
		onstep(days);
	}
	const kind = $derived(
		item.kind === 'game'
			? item.game.cancelled
				? 'cancelled'
				: 'game'
			: item.practice.state === 'planned' && item.practice.summary?.plannedMinutes === 0
				? 'empty'
				: item.practice.state
	);
	const label = $derived(
		item.kind === 'game'
			? say(item.game.cancelled ? texts.gameCancelled : texts.gameItem, {
					opponentName: item.game.opponent,
					day: dayWords(item.date)
				})
			: say(texts.practiceItem, {
					state: item.practice.state,
					day: dayWords(item.date),
					start: item.practice.start,
					place: item.practice.place
				})
	);
	/** What stands under the time, where there is room. */
	const more = $derived.by(() => {
		if (item.kind === 'game') return [item.game.place ?? ''];
		const { practice } = item;
		const { summary, state, place, minutes } = practice;
		if (state === 'cancelled')
			return [say(texts.cancelledBecause, { reason: practice.reason ?? '' })];
		if (!summary || summary.plannedMinutes === 0) return [place, say(texts.noPlan)];
		return [
			place,
			say(texts.planned, { planned: summary.plannedMinutes, minutes }),
			say(texts.busy, { percent: percent(summary.busyShare) }),
			...(summary.stops > 0 ? [say(texts.stops, { count: summary.stops })] : [])
		];
	});
</script>

<button
	type="button"
	id="item-{item.kind}-{item.id}"
	class={kind}
	class:practice={item.kind === 'practice'}
	class:open={isOpen}
	aria-label={label}
	aria-expanded={isOpen}
	{onkeydown}
	onclick={onopen}
	{@attach dragged(drag)}
>
	{#if item.kind === 'game'}
		<strong>{say(texts.against, { opponentName: item.game.opponent })}</strong>
		{#if item.game.start}<span>{item.game.start}</span>{/if}
	{:else}
		<strong>{item.practice.start}</strong>
		<span>{isLarge ? clockAt(item.practice.start, item.practice.minutes * 60) : ''}</span>
	{/if}
	{#if isLarge}
		{#each more.filter(Boolean) as line (line)}<small>{line}</small>{/each}
	{/if}
</button>

<style>
	button {
		display: flex;
		flex-wrap: wrap;
		gap: 0 6px;
		align-items: baseline;
		width: 100%;
		min-height: 26px;
		padding: 3px 6px;
		border: 1.5px solid var(--action);
		background: #fff;
		color: var(--ink);
		font: inherit;
		font-size: 12.5px;
		line-height: 1.25;
		text-align: left;
		cursor: grab;
		touch-action: none;
	}
	strong {
		font-weight: 700;
	}
	small {
		width: 100%;
		font-size: 12px;
	}
	.held {
		background: var(--action);
		color: #fff;
	}
	.empty {
		border-style: dashed;
		background: transparent;
	}
	.game {
		border-color: var(--ink);
		background: var(--chalk-deep);
	}
	.cancelled {
		border-color: var(--ink-soft);
		background: transparent;
		color: var(--ink-soft);
	}
	.cancelled strong {
		text-decoration: line-through;
	}
	.open {
		outline: 3px solid var(--ink);
		outline-offset: 1px;
	}
</style>
