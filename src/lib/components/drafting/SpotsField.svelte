<script lang="ts">
	import type { Snippet } from 'svelte';
	import type { Drill } from '$core/model/drill';
	import type { Point } from '$core/playing';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/drafting';
	import { BALL } from '$core/scene';
	import TypedTable from '../table/TypedTable.svelte';
	import type { DrillDraft } from './draft.svelte';
	import type { SceneGround } from './sceneGround';
	import { SCENE_TOOLS, TOOLS, type Side, type Tool } from './mapping';
	import SpotMap from './SpotMap.svelte';
	import {
		newSpotRow,
		spotColumns,
		spotRows,
		spotsIn,
		tokenColumns,
		tokenRow,
		type SpotRow
	} from './spotRows';
	import { wayColumns, wayRows, waysIn, withWay, type WayEnd, type WayRow } from './wayRows';

	/** Spots, where their players go after a turn, and the ways within it: drawn, and as tables. */
	let {
		draft,
		units,
		scene,
		beside
	}: {
		draft: DrillDraft;
		units: readonly { id: string; name: string }[];
		/** The scene of a game is drawn, on this ground and with the places of our line-up, not a drill. */
		scene?: SceneGround;
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
	/** Tokens: ours go by numbers, theirs by letters, where they have no place in the line-up. */
	const put = (side: Side, at: Point) =>
		keep([...rows, tokenRow(draft.newKey('token'), { side, at, rows })]);
	function putLineUp() {
		const places = scene?.lineUp ?? [];
		const more = places.map(({ name, unit, at }) => ({
			...tokenRow(draft.newKey('token'), { side: 'ours', at, rows }),
			...{ name, unit }
		}));
		keep([...rows, ...more]);
	}
	function putBall() {
		const { length, width } = draft.typed.ground;
		const at = { x: length / 2, y: width / 2 };
		const row = tokenRow(draft.newKey('ball'), { side: 'theirs', at, rows });
		keep([...rows, { ...row, name: BALL, role: 'feeder', by: 'marker' }]);
	}
	const middle = (by: number): Point => {
		const { length, width } = draft.typed.ground;
		return { x: length / 2 + by, y: Math.max(1, Math.min(width - 1, 2 + 2 * rows.length)) };
	};
	function addSpot() {
		const key = draft.newKey('spot');
		keep([...rows, newSpotRow(key, draft.typed)]);
	}
	const place = (key: string, { x, y }: Point) => change(key, { x: String(x), y: String(y) });
	function join(from: WayEnd, to: WayEnd) {
		if (tool === 'move') {
			if (typeof from === 'string' && typeof to === 'string') change(from, { goesTo: to });
		} else if ((tool === 'flight' || tool === 'run' || tool === 'carry') && from !== to) {
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
			{#each scene ? SCENE_TOOLS : TOOLS as { tool: each, name } (each)}
				<button type="button" aria-pressed={tool === each} onclick={() => (tool = each)}
					>{say(name)}</button
				>
			{/each}
		</div>
		<SpotMap
			drill={draft.typed}
			calling={draft.calling}
			{tool}
			markings={scene?.markings}
			onplace={place}
			onjoin={join}
			onput={put}
		/>
	</div>
	{@render beside()}
</div>
<TypedTable
	{rows}
	columns={scene
		? tokenColumns(units, say)
		: spotColumns(rows, { units, hasResult: draft.typed.rotation.result !== undefined }, say)}
	nameOf={({ name }) => name || say(scene ? texts.aNewToken : texts.aNewSpot)}
	onchange={(index, row) => keep(rows.with(index, row))}
	onadd={scene ? () => put('ours', middle(-3)) : addSpot}
	onremove={(row) => keep(rows.filter(({ key }) => key !== row.key))}
/>
<div>
	{#if scene}
		<button type="button" class="link" onclick={() => put('ours', middle(-3))}
			>{say(texts.addOurs)}</button
		>
		<button type="button" class="link" onclick={() => put('theirs', middle(3))}
			>{say(texts.addTheirs)}</button
		>
		{#if scene.lineUp.length > 0 && !rows.some(({ role }) => role === 'worker')}
			<button type="button" class="link" onclick={putLineUp}>{say(texts.putLineUp)}</button>
		{/if}
		{#if !rows.some(({ role }) => role === 'feeder')}
			<button type="button" class="link" onclick={putBall}>{say(texts.putBall)}</button>
		{/if}
	{:else}
		<button type="button" class="link" onclick={addSpot}>{say(texts.addASpot)}</button>
	{/if}
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
