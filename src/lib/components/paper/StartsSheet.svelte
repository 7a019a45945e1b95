<script lang="ts">
	import type { Evaluation } from '$core/playing';
	import type { GameWeek } from '$core/scene';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/scenes';
	import Starts from '../scene/Starts.svelte';

	/**
	 * How live play starts as the next opponent begins, on a sheet for coaches. It is fetched when it is asked for:
	 * nothing of it is on the page of any other sheet.
	 */
	let { evaluation }: { evaluation: Evaluation } = $props();

	const say = useWords();
	const { teamId, id } = $derived(evaluation.practice);
	const week = $derived(
		fetch(`/${teamId}/practices/${id}/game-week`).then(async (response) => {
			if (!response.ok) throw new Error(response.statusText);
			return (await response.json()) as GameWeek | null;
		})
	);
</script>

<section class="card" aria-label={say(texts.coachesOnly)}>
	<h2>{say(texts.coachesOnly)}</h2>
	{#await week then own}
		{#if own && own.seeds.length > 0}
			<Starts plan={evaluation} week={own} />
		{:else}
			<p>{say(texts.noSeeds)}</p>
		{/if}
	{:catch}
		<p role="alert">{say(texts.notLoaded)}</p>
	{/await}
</section>
