<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { toContext } from '$core/practice';
	import Page from '$lib/components/page/Page.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/drills';
	import { betterWords } from '$lib/components/shelf/better';
	import FindForm from '$lib/components/shelf/FindForm.svelte';
	import { fitOf } from '$lib/components/shelf/fits';
	import { groupWords } from '$lib/components/shelf/obstacles';
	import { skillName } from '$core/model/skill';
	import { dayWords } from '$lib/components/page/dates';
	import type { PageData } from './$types';

	let { data }: { data: PageData } = $props();

	const say = useWords();
	const minutes = $derived(data.ask.minutes ?? 12);

	const plan = $derived({
		practice: data.here.practice,
		context: toContext(data.here.surroundings)
	});
	/** Lines with how they would run here; without words to search for, the best fit first. */
	const lines = $derived.by(() => {
		const fitted = data.lines.map((line) => {
			const fit = fitOf(plan, line.drill, minutes, { say, saysMinutes: true });
			const { obstacle } = line.standing;
			return { ...line, fit, why: (obstacle && groupWords(obstacle, say)) || fit.words };
		});
		if (data.words !== '') return fitted;
		return fitted.toSorted((a, b) => b.fit.score - a.fit.score);
	});

	const skill = (id: string) => skillName(id, data.team.skillAreas);
	const intro = $derived.by(() => {
		const { expected, adults, date } = data.here.practice;
		const players = say(texts.expectedCountPlayerPlayers, { expectedCount: expected.length });
		const who = say(texts.and, { playerCount: players, adultCount: adults.length });
		const when = data.here.isPlanned ? say(texts.on, { day: dayWords(date) }) : '';
		return say(texts.ofDrillsCanRunWith, { fitting: data.fitting, found: data.found, when, who });
	});
</script>

<Page team={data.team} current="drills" title={say(texts.drills)} {intro}>
	{#snippet ways()}
		<a href="/{data.team.id}/drills/files">{say(texts.drillsAsFiles)}</a>
		<Button size="small" href="/{data.team.id}/drills/new">{say(texts.newDrill)}</Button>
	{/snippet}
	<FindForm
		words={data.words}
		filter={data.filter}
		ask={data.ask}
		facets={data.facets}
		areas={data.team.skillAreas}
		zones={data.zones}
		coming={data.coming}
		fitting={data.fitting}
	/>
	<ul>
		{#each lines as { drill, fit, why, lastUsed, unusedFor } (drill.id)}
			{@const better = fit.score >= 0 ? betterWords(fit, say) : ''}
			<li class:off={fit.score < 0}>
				<a href="/{data.team.id}/drills/{encodeURIComponent(drill.id)}">{drill.name}</a>
				<span class="skills"
					>{drill.skills
						.filter(({ focus }) => focus === 'main')
						.map(({ skill: id }) => skill(id))
						.join(', ')}</span
				>
				<span class="fit"
					>{why}{#if better}<br /><em>{better}</em>{/if}</span
				>
				<span class="soft">{drill.ground.length} × {drill.ground.width} m</span>
				<span class="soft">{say(texts.effort, { effort: drill.effort })}</span>
				<span class="soft"
					>{lastUsed === null
						? say(texts.notUsedYet)
						: unusedFor === 0
							? say(texts.inTheLastPractice)
							: say(texts.unusedForPracticeAgoPracticesAgo, { unusedFor })}</span
				>
				<p>{drill.summary}</p>
			</li>
		{:else}
			<li class="empty">
				{say(texts.noDrillsMatch)} <a href="?">{say(texts.showAllDrills)}</a>
			</li>
		{/each}
	</ul>
	{#if data.found > lines.length}
		<p class="more">
			{say(texts.theBestOfAddAWord, { lineCount: lines.length, found: data.found })}
		</p>
	{/if}
	{#if data.archived.length > 0}
		<p class="more">
			{say(texts.archived)}
			{#each data.archived as { id, name }, index (id)}{index > 0 ? ', ' : ''}<a
					href="/{data.team.id}/drills/{encodeURIComponent(id)}">{name}</a
				>{/each}
		</p>
	{/if}
</Page>

<style>
	li {
		display: grid;
		grid-template-columns: 1.3fr 1fr 2.2fr 0.8fr 0.5fr 0.9fr;
		gap: 2px 16px;
		align-items: baseline;
		padding: 8px 0;
		border-bottom: 1px solid var(--rule);
		font-size: 14px;
	}
	li.empty {
		display: block;
		font-size: 15px;
		padding: 18px 0;
	}
	a {
		font-weight: 700;
		font-size: 15px;
		color: var(--action);
	}
	.fit {
		font-weight: 600;
	}
	.fit em {
		font-style: normal;
		font-weight: 400;
		font-size: 13px;
		color: var(--ink-soft);
	}
	.off .fit {
		font-weight: 400;
		color: var(--wait-ink);
	}
	.soft,
	.skills {
		font-size: 13px;
	}
	.soft,
	li p,
	.more {
		color: var(--ink-soft);
		font-size: 13px;
	}
	li p {
		grid-column: 1 / -1;
	}
	.more {
		padding-top: 10px;
	}
	@media (max-width: 900px) {
		li {
			grid-template-columns: 1fr 1fr 1fr;
		}
		li a,
		.fit {
			grid-column: 1 / -1;
		}
		.skills {
			display: none;
		}
	}
</style>
