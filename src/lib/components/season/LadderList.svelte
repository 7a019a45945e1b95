<script lang="ts">
	import type { LadderStanding } from '$core/season';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/season';
	import LadderBar from './LadderBar.svelte';
	import SideSection from './SideSection.svelte';
	import { standingWords } from './ladderWords';

	/** Where the ladders stand that were run last. */
	let {
		team,
		ladders,
		whose
	}: {
		team: string;
		/** Each with the names of its rungs, null for the drill itself. */
		ladders: readonly {
			standing: LadderStanding;
			name: string;
			rungs: readonly (string | null)[];
		}[];
		/** Whose ladders they are. */
		whose: string;
	} = $props();

	const say = useWords();
</script>

<SideSection title={say(texts.ladders)} aside={whose}>
	<ul>
		{#each ladders as { standing, name, rungs } (standing.drill)}
			{@const names = rungs.map((each) => each ?? say(texts.itself))}
			<li>
				<a href="/{team}/drills/{standing.drill}">{name}</a>
				<LadderBar {standing} {names} />
				<p>{names[standing.at]} · {standingWords(standing, names, say)}</p>
			</li>
		{:else}
			<li class="none">{say(texts.noLadders)}</li>
		{/each}
	</ul>
	<a class="all" href="/{team}/ladders">{say(texts.allLadders)}</a>
</SideSection>

<style>
	li {
		display: grid;
		grid-template-columns: 1fr auto;
		gap: 1px 10px;
		align-items: end;
		padding: 6px 0;
		border-bottom: 1px solid var(--rule);
	}
	li.none {
		display: block;
		font-size: 13px;
		color: var(--ink-soft);
	}
	li a {
		font-size: 14px;
		font-weight: 700;
		color: var(--ink);
	}
	p {
		grid-column: 1 / -1;
		font-size: 12.5px;
		color: var(--ink-soft);
	}
	.all {
		display: inline-flex;
		align-items: center;
		min-height: 32px;
		font-size: 13.5px;
		font-weight: 600;
		color: var(--action);
	}
</style>
