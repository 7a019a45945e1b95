<script lang="ts">
	import { enhance } from '$app/forms';
	import { stay } from '$lib/components/page/notice.svelte';
	import { Select, SelectItem } from 'carbon-components-svelte';
	import { sum } from 'd3-array';
	import { untrack } from 'svelte';
	import { sizeHere } from '$core/building';
	import { toContext } from '$core/practice';
	import DrillRun from '$lib/components/drill/DrillRun.svelte';
	import DrillWords from '$lib/components/drill/DrillWords.svelte';
	import Ladder from '$lib/components/drill/Ladder.svelte';
	import { givenByPlayers, givenWith } from '$core/building';
	import TwoWays from '$lib/components/drill/TwoWays.svelte';
	import TurnsChart from '$lib/components/drill/TurnsChart.svelte';
	import Uses from '$lib/components/drill/Uses.svelte';
	import Page from '$lib/components/page/Page.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/drills';
	import { percent, turnsWords } from '$lib/components/tape/words';
	import { EMPTY_PERIOD, fitOf } from '$lib/components/shelf/fits';
	import { onRung } from '$core/playing';
	import type { PageData } from './$types';

	let { data }: { data: PageData } = $props();

	const say = useWords();
	const MINUTES = 12;
	const { drill } = $derived(data);
	const isNewest = $derived(drill.revision === data.revisions[0]?.revision);
	const own = $derived(`/${data.team.id}/drills/${encodeURIComponent(drill.id)}`);
	let rung = $state('');
	let feeds = $state(true);
	let chosen: number | null = $state(null);

	const context = $derived(toContext(data.here.surroundings));
	const plan = $derived({ practice: data.here.practice, context });
	const here = $derived(plan.practice.expected.length);
	const spotsOfEither = $derived(
		sum(drill.spots, ({ by, count }) => (by === 'either' ? count : 0))
	);
	const canFeed = $derived(spotsOfEither > 0);
	/** Adults of a copy: those that it needs, and those at the spots that either may hold. */
	const adults = $derived(drill.coaches.min + (feeds ? spotsOfEither : 0));
	const asked = $derived({
		minutes: MINUTES,
		adults: feeds ? spotsOfEither : 0,
		...(rung && rung !== 'climb' && { rung })
	});
	const given = $derived(givenByPlayers(drill, asked));
	/** Adults or players at the spots that either may hold, each with what that gives. */
	const feeders = $derived(
		[true, false].map((isAdult) => {
			const gives = givenWith(drill, players, { ...asked, adults: isAdult ? spotsOfEither : 0 });
			const words = gives
				? say(texts.waits, {
						reps: turnsWords(gives.turns, say),
						percent: percent(gives.waitShare)
					})
				: say(texts.doesNotRunSo);
			return { isAdult, name: isAdult ? say(texts.adult) : say(texts.playersInTurn), words };
		})
	);
	const fit = $derived(fitOf(plan, drill, MINUTES, { say, saysMinutes: true }));
	const marked = $derived.by(() => {
		const sized = sizeHere(plan, {
			period: EMPTY_PERIOD,
			drill,
			players: here,
			minutes: MINUTES,
			beside: []
		});
		if (!sized.ok) return [];
		const { options, best } = sized.value.output;
		return best === null ? [] : [...new Set(options[best].sizes)];
	});
	const least = $derived(given[0]?.players ?? drill.group.min);
	const most = $derived(given.at(-1)?.players ?? drill.group.max);
	const players = $derived(
		Math.min(most, Math.max(least, chosen ?? marked[0] ?? untrack(() => drill.group.ideal)))
	);
	const climb = $derived(
		rung === 'climb'
			? [undefined, ...drill.rungs.map(({ id }) => id)].map((id) => ({
					minutes: MINUTES / (drill.rungs.length + 1),
					...(id && { rung: id })
				}))
			: [{ minutes: MINUTES, ...(rung && { rung }) }]
	);
	const runPlayers = $derived(
		rung === 'climb'
			? Math.max(players, ...drill.rungs.map(({ set }) => set?.group?.min ?? 0))
			: players
	);
</script>

<Page team={data.team} current="drills" title={drill.name} intro={drill.summary}>
	{#snippet ways()}
		{#if isNewest}
			<a href="{own}/edit">{say(texts.edit)}</a>
		{:else}
			<a href="{own}/edit?revision={drill.revision}">{say(texts.restoreThisRevision)}</a>
		{/if}
		<a href="/{data.team.id}/drills/new?from={encodeURIComponent(drill.id)}">{say(texts.copy)}</a>
		<a href="{own}/file" download="{drill.id}.json">{say(texts.theDrillAsAFile)}</a>
		<form method="POST" use:enhance={stay(say)}>
			<button class="link" formaction={data.isArchived ? '?/restore' : '?/archive'}
				>{data.isArchived ? say(texts.restore) : say(texts.archive)}</button
			>
		</form>
		<a href="/{data.team.id}/drills">{say(texts.backToTheShelf)}</a>
	{/snippet}
	{#if data.isArchived}
		<p role="status">
			{say(texts.thisDrillIsArchivedItIs)}
		</p>
	{/if}
	<div class="columns">
		<div>
			<div class="choices">
				<Select id="rung" size="sm" labelText={say(texts.rung)} bind:selected={rung}>
					<SelectItem value="" text={say(texts.theDrillItself)} />
					{#each drill.rungs as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
					{#if drill.rungs.length > 0}
						<SelectItem value="climb" text={say(texts.climbThroughAllRungs)} />
					{/if}
				</Select>
				{#if canFeed}
					<fieldset>
						<legend>{say(texts.whoFeeds)}</legend>
						{#each feeders as { isAdult, name, words } (name)}
							<label class="tickable">
								<input type="radio" name="feeds" value={isAdult} bind:group={feeds} />
								{name} <span>{words}</span>
							</label>
						{/each}
					</fieldset>
				{/if}
			</div>
			<DrillRun {drill} players={runPlayers} {climb} {adults} />
		</div>
		<div>
			<p class="fit">
				<strong>{say(texts.forPlayersHere, { here })}</strong>
				{fit.words}
			</p>
			<TurnsChart {given} {players} {marked} onchoose={(count) => (chosen = count)} />
			<TwoWays team={data.team.id} {drill} {players} minutes={MINUTES} drills={data.drills} />
			<Ladder team={data.team.id} {drill} {players} minutes={MINUTES} adults={asked.adults} />
		</div>
	</div>
	<div class="columns words">
		<div>
			<DrillWords
				drill={onRung(drill, rung === '' || rung === 'climb' ? undefined : rung)}
				areas={data.team.skillAreas}
			/>
		</div>
		<Uses team={data.team.id} {drill} uses={data.uses} revisions={data.revisions} />
	</div>
</Page>

<style>
	.columns {
		display: grid;
		grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr);
		gap: 30px;
		align-items: start;
	}
	.words {
		padding-top: 22px;
	}
	.choices {
		display: flex;
		flex-wrap: wrap;
		gap: 8px 20px;
		align-items: end;
		padding-bottom: 10px;
	}
	fieldset {
		display: flex;
		flex-wrap: wrap;
		gap: 0 18px;
		border: 0;
		padding: 0;
		margin: 0;
	}
	legend {
		font-size: 12px;
		padding: 0;
	}
	label span {
		color: var(--ink-soft);
		font-size: 13px;
	}
	.fit {
		font-size: 15px;
		line-height: 1.4;
		padding-bottom: 8px;
		border-bottom: 1px solid var(--ink);
		margin-bottom: 8px;
	}
	@media (max-width: 900px) {
		.columns {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
