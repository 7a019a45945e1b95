<script lang="ts">
	import type { Drill } from '$core/model/drill';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/drill';
	import Way from './Way.svelte';

	/** Two ways of running a drill side by side, for the number of players of one copy today. */
	let {
		team,
		drill,
		players,
		minutes,
		drills
	}: {
		team: string;
		drill: Drill;
		players: number;
		minutes: number;
		/** The drills of the shelf, by name. */
		drills: readonly { id: string; name: string }[];
	} = $props();

	const say = useWords();
	/** Other drills that were asked for, by their ids. */
	let known: Record<string, Drill> = $state.raw({});
	let chosen: Record<string, string> = $state({});
	let isAway = $state(false);

	const WAYS = [
		{ key: 'one', name: say(texts.oneWay) },
		{ key: 'other', name: say(texts.theOtherWay) }
	];
	const others = $derived(
		drills.some(({ id }) => id === drill.id)
			? drills
			: [{ id: drill.id, name: drill.name }, ...drills]
	);
	const drillOf = (key: string) => known[chosen[key] ?? ''] ?? drill;

	async function choose(key: string, id: string) {
		isAway = false;
		if (id !== drill.id && !known[id]) {
			const answer = await fetch(`/${team}/drills/${encodeURIComponent(id)}/file`).catch(
				() => null
			);
			if (!answer?.ok) {
				isAway = true;
				return;
			}
			known = { ...known, [id]: await answer.json() };
		}
		chosen = { ...chosen, [key]: id };
	}
</script>

<h2>{say(texts.twoWays)}</h2>
{#if isAway}<p role="alert">{say(texts.drillNotRead)}</p>{/if}
<div class="ways">
	{#each WAYS as { key, name } (key)}
		<Way
			id="way-{key}"
			{name}
			drill={drillOf(key)}
			{players}
			{minutes}
			{others}
			onchoose={(id) => choose(key, id)}
		/>
	{/each}
</div>

<style>
	h2 {
		font-size: 15px;
		font-weight: 700;
		padding: 18px 0 6px;
	}
	.ways {
		display: grid;
		grid-template-columns: repeat(2, minmax(0, 1fr));
		gap: 24px;
	}
	@media (max-width: 480px) {
		.ways {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
