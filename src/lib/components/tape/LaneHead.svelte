<script lang="ts">
	import type { Context } from '$core/practice';
	import type { Pivot } from '$lib/state/boardView.svelte';
	import Bib from '../bib/Bib.svelte';
	import { PIVOTS, type TapeLane } from './pivots';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/tape';

	/** What the lanes stand for, and the choice of that. Zones show their place on the ground. */
	let {
		lanes,
		pivot,
		context,
		ruler,
		laneWidth,
		onpivot
	}: {
		lanes: readonly TapeLane[];
		pivot: Pivot;
		context: Context;
		ruler: number;
		laneWidth: number;
		onpivot: (pivot: Pivot) => void;
	} = $props();

	const say = useWords();
	const ground = $derived(context.ground);
</script>

<div class="heads">
	<select
		class="pivot"
		style:width="{ruler}px"
		aria-label={say(texts.lanes)}
		title={say(texts.lanesByKeys)}
		value={pivot}
		onchange={(event) => onpivot(event.currentTarget.value as Pivot)}
	>
		{#each PIVOTS as each (each.pivot)}
			<option value={each.pivot}>{say(each.name)}</option>
		{/each}
	</select>
	{#each lanes as { id, name, detail, zone, bib } (id)}
		<div class="head" style:width="{laneWidth}px" title="{name}, {detail}">
			<div class="words">
				<strong class:long={name.length > (laneWidth < 80 ? 6 : 8)}>{name}</strong>
				<span class="narrow">{detail}</span>
			</div>
			{#if zone}
				<svg viewBox="0 0 {ground.length} {ground.width}" width="26" height="18" aria-hidden="true">
					<rect
						width={ground.length}
						height={ground.width}
						fill="none"
						stroke="currentColor"
						stroke-width="2.4"
					/>
					<rect
						x={zone.x}
						y={zone.y}
						width={zone.length}
						height={zone.width}
						fill="var(--action)"
					/>
				</svg>
			{:else if bib !== undefined}
				<Bib {bib} size={22} />
			{/if}
		</div>
	{/each}
</div>

<style>
	.heads {
		display: flex;
		background: var(--chalk-deep);
		border-bottom: 1px solid var(--rule);
		min-width: max-content;
	}
	.pivot {
		font: inherit;
		font-size: 12.5px;
		font-weight: 600;
		color: var(--action);
		background: transparent;
		border: 0;
		padding: 0 0 0 2px;
		font-stretch: 75%;
		cursor: pointer;
	}
	.head {
		padding: 3px 6px 4px;
		display: flex;
		justify-content: space-between;
		align-items: center;
		border-left: 1px solid var(--rule);
		line-height: 1.15;
		overflow: hidden;
	}
	.words {
		min-width: 0;
	}
	strong {
		display: block;
		font-size: 14px;
		white-space: nowrap;
		overflow: hidden;
		text-overflow: ellipsis;
	}
	strong.long {
		font-size: 12px;
		font-stretch: 75%;
	}
	span {
		font-size: 11.5px;
		color: var(--ink-soft);
		white-space: nowrap;
	}
	svg {
		flex: none;
		color: var(--ink-soft);
	}
</style>
