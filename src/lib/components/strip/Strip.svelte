<script lang="ts">
	import type { Evaluation } from '$core/playing';
	import type { BoardView } from '$lib/state/boardView.svelte';
	import { mostIdleFirst, statePaths } from './layout';
	import { STATES } from './states';
	import StripTable from './StripTable.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/strip';

	/** A row a player, time along it: who works, helps, waits. The idlest on top. */
	let { evaluation, view }: { evaluation: Evaluation; view: BoardView } = $props();

	const say = useWords();
	const LABEL = 62;
	let width = $state(690);
	let height = $state(108);
	let asTable = $state(false);

	const seconds = $derived(Math.max(1, evaluation.seconds));
	const rows = $derived(mostIdleFirst(evaluation.figures.players));
	const rowHeight = $derived(Math.max(2.5, Math.min(14, height / Math.max(1, rows.length))));
	const gap = $derived(rowHeight > 4 ? 1 : 0.5);
	const scale = $derived((width - LABEL) / seconds);
	const paths = $derived(
		statePaths(
			rows.map(({ player }) => evaluation.players.get(player) ?? []),
			{ rowHeight, scale, markSeconds: 60 }
		)
	);
	const named = (index: number) =>
		evaluation.context.playerById.get(rows[index]?.player ?? '')?.name ?? '';
	let over = $state(-1);

	function point(event: PointerEvent & { currentTarget: Element }) {
		const box = event.currentTarget.getBoundingClientRect();
		over = Math.floor((event.clientY - box.top) / rowHeight);
		if (event.type === 'pointerdown') event.currentTarget.setPointerCapture(event.pointerId);
		// Only a press that began here moves the line, not one that is dragged across.
		if (event.currentTarget.hasPointerCapture(event.pointerId))
			view.moveTo((event.clientX - box.left - LABEL) / scale, seconds);
	}
</script>

<section class="strip" aria-label={say(texts.whoDoesWhat)}>
	<svg class="patterns" width="0" height="0" aria-hidden="true">
		<defs>
			<pattern
				id="strip-wait"
				width="5"
				height="5"
				patternUnits="userSpaceOnUse"
				patternTransform="rotate(45)"
			>
				<rect width="5" height="5" fill="#fff" />
				<rect width="2" height="5" fill="#c8861a" />
			</pattern>
			<pattern id="strip-off" width="6" height="6" patternUnits="userSpaceOnUse">
				<rect width="6" height="6" fill="#f6f4ee" />
				<circle cx="2" cy="2" r="0.8" fill="#556064" />
			</pattern>
		</defs>
	</svg>
	<header>
		<h2>{say(texts.whoDoesWhat)}</h2>
		<ul class="legend narrow">
			{#each STATES as { state, word, fill } (state)}
				<li>
					<svg width="13" height="11" aria-hidden="true">
						<rect x="0.5" y="0.5" width="12" height="10" {fill} stroke="var(--ink-soft)" />
					</svg>
					{say(word)}
				</li>
			{/each}
			<li class="mark">{say(texts.aMarkAMinute)}</li>
		</ul>
		<button class="link" aria-pressed={asTable} onclick={() => (asTable = !asTable)}>
			{asTable ? say(texts.asAStrip) : say(texts.asATable)}
		</button>
	</header>
	{#if asTable}
		<StripTable {evaluation} {rows} />
	{:else}
		<div class="rows" bind:clientWidth={width} bind:clientHeight={height}>
			<svg
				{width}
				height={rowHeight * rows.length}
				role="img"
				aria-label={say(texts.timeOfPlayersTheTableSays, { rowCount: rows.length })}
				onpointermove={point}
				onpointerdown={point}
				onpointerleave={() => (over = -1)}
			>
				<g transform="translate({LABEL} 0)">
					{#each STATES as { state, fill } (state)}
						<path d={paths.get(state) ?? ''} stroke={fill} stroke-width={rowHeight - gap} />
					{/each}
					<path
						d="M{view.now * scale} 0V{rowHeight * rows.length}"
						stroke="var(--now)"
						stroke-width="2"
					/>
					{#if over >= 0 && over < rows.length}
						<rect
							y={over * rowHeight - 0.5}
							width={seconds * scale}
							height={rowHeight + 1}
							class="over"
						/>
					{/if}
				</g>
				{#if over >= 0 && over < rows.length}
					<text x="0" y={Math.max(10, over * rowHeight + rowHeight)} class="who"
						>{named(over).split(' ')[0]}</text
					>
				{:else if rows.length > 0}
					<text x="0" y="10">{say(texts.idlest)}</text>
					<text x="0" y={rowHeight * rows.length - 2}>{say(texts.busiest)}</text>
				{/if}
			</svg>
		</div>
	{/if}
</section>

<style>
	.strip {
		min-height: 0;
		min-width: 0;
		display: grid;
		grid-template-rows: auto 1fr;
		border-top: 1px solid var(--ink);
		padding: 3px 8px 6px 8px;
	}
	.patterns {
		position: absolute;
	}
	header {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0 14px;
	}
	h2 {
		font-size: 13.5px;
		font-weight: 700;
	}
	.legend {
		display: flex;
		flex-wrap: wrap;
		gap: 0 12px;
		font-size: 12.5px;
		flex: 1;
	}
	.legend li {
		display: flex;
		align-items: center;
		gap: 4px;
	}
	.mark {
		color: var(--ink-soft);
	}
	.rows {
		min-height: 0;
		overflow-y: auto;
		overflow-x: hidden;
	}
	svg {
		display: block;
	}
	.over {
		fill: none;
		stroke: var(--ink);
	}
	text {
		font-size: 11.5px;
		fill: var(--ink-soft);
	}
	.who {
		fill: var(--ink);
		font-weight: 700;
		font-stretch: 75%;
	}
</style>
