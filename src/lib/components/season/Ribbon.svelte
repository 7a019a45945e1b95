<script lang="ts">
	import type { Season } from '$core/model/season';
	import { dayWords } from '$lib/components/page/dates';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/season';
	import { weekOfRibbon, type ShownPractice } from './view';

	/** What is on in a week: practices as boxes, games as diamonds, each a way to it. */
	let {
		team,
		season,
		practices,
		week,
		today
	}: {
		team: string;
		season: Season;
		practices: readonly ShownPractice[];
		week: number;
		today: string;
	} = $props();

	const say = useWords();
	const items = $derived(weekOfRibbon({ season, practices }, week));

	const kindOf = ({ state, summary }: ShownPractice) =>
		state === 'planned' && summary?.plannedMinutes === 0 ? 'empty' : state;
	function called(practice: ShownPractice): string {
		const values = { state: practice.state, day: dayWords(practice.date), start: practice.start };
		return kindOf(practice) === 'empty'
			? say(texts.emptyPractice, values)
			: say(texts.practiceOn, values);
	}
</script>

<span class="ribbon">
	{#each items as item (item.kind === 'game' ? item.game.id : item.practice.id)}
		{#if item.kind === 'practice'}
			<a
				href="/{team}/practices/{item.practice.id}"
				class={kindOf(item.practice)}
				title={called(item.practice)}
				aria-label={called(item.practice)}
			>
				<svg viewBox="0 0 10 14" aria-hidden="true">
					<rect x="1" y="1" width="8" height="12" />
					{#if item.practice.state === 'cancelled'}<path d="M1 13 L9 1" />{/if}
				</svg>
			</a>
		{:else}
			{@const values = { opponentName: item.game.opponent, day: dayWords(item.game.date) }}
			{@const said = say(item.game.cancelled ? texts.gameOff : texts.gameOn, values)}
			<a
				href="/{team}/calendar?week={week}"
				class="game"
				class:past={item.game.date < today}
				class:cancelled={item.game.cancelled}
				title={said}
				aria-label={said}
			>
				<svg viewBox="0 0 14 14" aria-hidden="true">
					<path d="M7 1 L13 7 L7 13 L1 7 Z" />
				</svg>
			</a>
		{/if}
	{/each}
</span>

<style>
	.ribbon {
		display: flex;
		flex-wrap: wrap;
		justify-content: center;
		min-height: 24px;
	}
	a {
		display: grid;
		place-items: center;
		width: 17px;
		height: 24px;
	}
	a.game {
		width: 19px;
	}
	svg {
		height: 14px;
		overflow: visible;
	}
	rect,
	path {
		fill: #fff;
		stroke: var(--action);
		stroke-width: 1.6;
	}
	.held rect {
		fill: var(--action);
	}
	.empty rect {
		fill: none;
		stroke-dasharray: 2 1.6;
	}
	.cancelled rect,
	.cancelled path {
		stroke: var(--ink-soft);
		fill: none;
	}
	.game path {
		stroke: var(--ink);
		fill: none;
	}
	.game.past path {
		fill: var(--ink);
	}
	.game.cancelled path {
		stroke-dasharray: 2 1.6;
	}
	a:hover rect,
	a:hover path {
		stroke-width: 2.6;
	}
</style>
