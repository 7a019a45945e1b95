<script lang="ts">
	import type { Snippet } from 'svelte';
	import type { Drill } from '$core/model/drill';
	import type { Point } from '$core/playing';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/drafting';
	import TypedTable from '../table/TypedTable.svelte';
	import type { DrillDraft } from './draft.svelte';
	import { TOOLS, type Tool } from './mapping';
	import SpotMap from './SpotMap.svelte';
	import { newSpotRow, spotColumns, spotRows, spotsIn, type SpotRow } from './spotRows';
	import { wayColumns, wayRows, waysIn, withWay, type WayEnd, type WayRow } from './wayRows';

	/** Spots, where their players go after a turn, and the ways within it: drawn, and as tables. */
	let {
		draft,
		units,
		beside
	}: {
		draft: DrillDraft;
		units: readonly { id: string; name: string }[];
		/** What stands beside the map. */
		beside: Snippet;
	} = $props();

	const say = useWords();
	let rows: SpotRow[] = $derived(draft.asTyped(spotRows));
	let ways: WayRow[] = $derived(draft.asTyped(wayRows));
	let tool: Tool = $state('place');

	function keep(next: SpotRow[]) {
		rows = next;
		const names = Object.fromEntries(rows.map(({ key, name }) => [key, name]));
		draft.set(spotsIn(rows, draft.typed), names);
		// Ways name their spots: they follow where one is called otherwise.
		ways = wayRows(draft.typed, draft.calling);
	}
	function keepWays(next: WayRow[]) {
		ways = next;
		draft.set({ paths: waysIn(ways, draft.calling) });
	}
	const change = (key: string, typed: Partial<SpotRow>) =>
		keep(rows.map((row) => (row.key === key ? { ...row, ...typed } : row)));
	function addSpot() {
		const key = draft.newKey('spot');
		keep([...rows, newSpotRow(key, draft.typed)]);
	}
	const place = (key: string, { x, y }: Point) => change(key, { x: String(x), y: String(y) });
	function join(from: WayEnd, to: WayEnd) {
		if (tool === 'move') {
			if (typeof from === 'string' && typeof to === 'string') change(from, { goesTo: to });
		} else if (tool !== 'place' && from !== to) {
			const drill: Drill = {
				...draft.typed,
				paths: withWay(draft.typed, { from, to, kind: tool })
			};
			keepWays(wayRows(drill, draft.calling));
		}
	}
	const addWay = () =>
		keepWays([...ways, { key: draft.newKey('new-way'), from: '', to: '', kind: 'run', step: '' }]);
</script>

<div class="halves">
	<div>
		<div class="segments" role="group" aria-label={say(texts.whatDrawingDoes)}>
			{#each TOOLS as { tool: each, name } (each)}
				<button type="button" aria-pressed={tool === each} onclick={() => (tool = each)}
					>{say(name)}</button
				>
			{/each}
		</div>
		<SpotMap drill={draft.typed} calling={draft.calling} {tool} onplace={place} onjoin={join} />
	</div>
	{@render beside()}
</div>
<TypedTable
	{rows}
	columns={spotColumns(rows, { units, hasResult: draft.typed.rotation.result !== undefined }, say)}
	nameOf={({ name }) => name || say(texts.aNewSpot)}
	onchange={(index, row) => keep(rows.with(index, row))}
	onadd={addSpot}
	onremove={(row) => keep(rows.filter(({ key }) => key !== row.key))}
/>
<div>
	<button type="button" class="link" onclick={addSpot}>{say(texts.addASpot)}</button>
	<button type="button" class="link" onclick={addWay}>{say(texts.addAWay)}</button>
</div>
{#if ways.length > 0}
	<TypedTable
		rows={ways}
		columns={wayColumns(say)}
		nameOf={({ from, to }) => say(texts.theWayFromTo, { from, to })}
		onchange={(index, row) => keepWays(ways.with(index, row))}
		onadd={addWay}
		onremove={(row) => keepWays(ways.filter(({ key }) => key !== row.key))}
	/>
{/if}

<style>
	div > .link {
		margin-right: 18px;
	}
</style>
