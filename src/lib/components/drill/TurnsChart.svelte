<script lang="ts">
	import { max } from 'd3-array';
	import { scaleBand, scaleLinear } from 'd3-scale';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/drill';
	import NumbersTable from '../table/NumbersTable.svelte';
	import { percent, turnsWords } from '../tape/words';
	import type { Given } from '$core/building';

	/** Turns and waiting by the number of players of a copy: a bar a number, its hatched part the waiting. */
	let {
		given,
		players,
		marked,
		onchoose
	}: {
		given: readonly Given[];
		/** The number that is looked at. */
		players: number;
		/** Sizes of the copies that suit those who are here. */
		marked: readonly number[];
		onchoose: (players: number) => void;
	} = $props();

	const say = useWords();
	const WIDTH = 420;
	const HEIGHT = 170;
	const FOOT = 34;

	const x = $derived(
		scaleBand(
			given.map((each) => String(each.players)),
			[0, WIDTH]
		).padding(0.18)
	);
	const y = $derived(
		scaleLinear([0, max(given, ({ turns }) => turns.mean) ?? 1], [0, HEIGHT - FOOT - 20])
	);
	const sides = $derived((given[0]?.sides ?? []).map(({ name }) => name));
	const chosen = $derived(given.find((each) => each.players === players));
	const span = ({ min, max }: Given['turns']) =>
		min === max ? say(texts.turnsEach, { count: min }) : say(texts.toTurnsEach, { min, max });
	const words = ({ turns, waitShare, longestWaitSeconds }: Given) =>
		say(texts.eachWaitsUpToSAt, {
			reps: turnsWords(turns, say),
			waits: percent(waitShare),
			seconds: Math.round(longestWaitSeconds)
		});

	type Row = Record<string, string | number> & { id: string };
	const rows = $derived(
		given.map((each): Row => ({
			id: String(each.players),
			players: each.players,
			turns: each.turns.mean,
			span: say(texts.between, { min: each.turns.min, max: each.turns.max }),
			waits: each.waitShare,
			longest: each.longestWaitSeconds,
			...Object.fromEntries(
				each.sides.map(({ name, turns }) => [
					`side ${name}`,
					say(texts.between, { min: turns.min, max: turns.max })
				])
			)
		}))
	);
	const columns = $derived([
		{
			key: 'players',
			heading: say(texts.playersHeading),
			shown: (row: Row) =>
				marked.includes(Number(row.players))
					? say(texts.hereToday, { count: row.players })
					: String(row.players)
		},
		{
			key: 'turns',
			heading: say(texts.turns),
			shown: (row: Row) => Number(row.turns).toFixed(1)
		},
		{ key: 'span', heading: say(texts.leastToMost) },
		...sides.map((side) => ({ key: `side ${side}`, heading: side })),
		{
			key: 'waits',
			heading: say(texts.waitsHeading),
			shown: (row: Row) => percent(Number(row.waits))
		},
		{
			key: 'longest',
			heading: say(texts.longestWait),
			shown: (row: Row) => say(texts.seconds, { seconds: Math.round(Number(row.longest)) })
		}
	]);
</script>

<p class="chosen" role="status">
	<strong>{say(texts.playerCount, { playerCount: players })}</strong>
	{chosen ? words(chosen) : say(texts.doNotFillTheSpots)}
	{#each chosen?.sides ?? [] as { name, turns } (name)}
		<span class="side">{name} {span(turns)}</span>
	{/each}
</p>
<svg viewBox="0 0 {WIDTH} {HEIGHT}" aria-hidden="true">
	<defs>
		<pattern
			id="chart-wait"
			width="6"
			height="6"
			patternUnits="userSpaceOnUse"
			patternTransform="rotate(45)"
		>
			<rect width="6" height="6" fill="#fff" />
			<rect width="2.4" height="6" fill="var(--wait)" />
		</pattern>
	</defs>
	{#each given as each (each.players)}
		{@const left = x(String(each.players)) ?? 0}
		{@const height = y(each.turns.mean)}
		{@const top = HEIGHT - FOOT - height}
		{@const wait = height * each.waitShare}
		<g class:on={each.players === players}>
			<rect class="turns" x={left} y={top} width={x.bandwidth()} {height} />
			<rect fill="url(#chart-wait)" x={left} y={top} width={x.bandwidth()} height={wait} />
			<rect class="frame" x={left} y={top} width={x.bandwidth()} {height} />
			<text class="value" x={left + x.bandwidth() / 2} y={top - 5}
				>{Math.round(each.turns.mean)}</text
			>
			<text x={left + x.bandwidth() / 2} y={HEIGHT - FOOT + 16}>{each.players}</text>
			{#if marked.includes(each.players)}
				<path class="here" d="M{left + x.bandwidth() / 2} {HEIGHT - FOOT + 20}l5 9h-10z" />
			{/if}
		</g>
	{/each}
</svg>
<input
	type="range"
	min={given[0]?.players ?? 1}
	max={given.at(-1)?.players ?? 1}
	value={players}
	aria-label={say(texts.playersOfACopy)}
	aria-valuetext={say(texts.playersAndWords, {
		playerCount: players,
		words: chosen ? words(chosen) : ''
	})}
	oninput={(event) => onchoose(event.currentTarget.valueAsNumber)}
/>
<details>
	<summary>{say(texts.asATable)}</summary>
	<NumbersTable {columns} {rows} chosen={String(players)} />
</details>

<style>
	.chosen {
		font-size: 14px;
		min-height: 22px;
	}
	.side {
		display: block;
		font-weight: 650;
	}
	svg {
		display: block;
		width: 100%;
	}
	.turns {
		fill: var(--action);
	}
	.frame {
		fill: none;
		stroke: var(--ink);
	}
	g:not(.on) {
		opacity: 0.62;
	}
	text {
		font-size: 13px;
		text-anchor: middle;
		fill: var(--ink);
	}
	.value,
	.on text {
		font-weight: 750;
	}
	.here {
		fill: var(--ink);
	}
	input {
		width: 100%;
		accent-color: var(--action);
		height: 28px;
	}
	summary {
		cursor: pointer;
		font-weight: 600;
		font-size: 13px;
		color: var(--action);
		padding: 4px 0;
	}
</style>
