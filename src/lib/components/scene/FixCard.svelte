<script lang="ts">
	import type { Snippet } from 'svelte';
	import type { Fix } from '$core/model/scene';
	import { skillName, type SkillAreas } from '$core/model/skill';
	import type { Ground } from '$core/model/team';
	import { dayWords } from '$lib/components/page/dates';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/scenes';
	import SceneDrawing from './SceneDrawing.svelte';

	/** Something on the fix list: drawn, with what was decided and where it was set up. */
	let {
		fix,
		setUp,
		team,
		games,
		grounds,
		areas,
		children
	}: {
		fix: Fix;
		setUp: readonly { practice: string; date: string }[];
		/** Id of the team. */
		team: string;
		games: readonly { id: string; opponent: string }[];
		grounds: readonly Ground[];
		areas: SkillAreas;
		/** What can be done with it. */
		children: Snippet;
	} = $props();

	const say = useWords();
	const game = $derived(games.find(({ id }) => id === fix.game));
	const markings = $derived(grounds.find(({ id }) => id === fix.groundId)?.markings);
</script>

<article aria-label={fix.name}>
	<div class="drawing"><SceneDrawing scene={fix} {markings} /></div>
	<div class="told">
		<h3>{fix.name}</h3>
		{#if fix.decided}<p class="decided">{fix.decided}</p>{/if}
		<p class="facts">
			{game
				? say(texts.sinceGame, { day: dayWords(fix.since), name: game.opponent })
				: say(texts.since, { day: dayWords(fix.since) })}
			{#each fix.skills ?? [] as skill (skill)}<span>{skillName(skill, areas)}</span>{/each}
		</p>
		<p class="facts">
			{#if setUp.length === 0}
				{say(texts.notSetUp)}
			{:else}
				{say(texts.wasSetUp)}
				{#each setUp as { practice, date } (practice)}
					<a class="link" href="/{team}/practices/{practice}">{dayWords(date)}</a>
				{/each}
			{/if}
			{#if fix.closed}<strong>{say(texts.fixedOn, { day: dayWords(fix.closed) })}</strong>{/if}
		</p>
		{@render children()}
	</div>
</article>

<style>
	article {
		display: grid;
		grid-template-columns: minmax(0, 380px) minmax(0, 1fr);
		gap: 10px 24px;
	}
	.told {
		display: grid;
		gap: 8px;
		align-content: start;
	}
	h3 {
		font-size: 20px;
		font-weight: 750;
	}
	.decided {
		font-size: 16px;
	}
	.facts {
		display: flex;
		flex-wrap: wrap;
		gap: 2px 14px;
		font-size: 14px;
		color: var(--ink-soft);
	}
	.facts span {
		color: var(--ink);
		font-weight: 650;
	}
	@media (max-width: 672px) {
		article {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
