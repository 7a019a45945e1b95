<script lang="ts">
	import { enhance } from '$app/forms';
	import { stay } from '$lib/components/page/notice.svelte';
	import { Select, SelectItem } from 'carbon-components-svelte';
	import { sum } from 'd3-array';
	import { untrack } from 'svelte';
	import { sizeHere } from '$core/building';
	import { toContext } from '$core/practice';
	import { kept } from '$core/words';
	import DrillRun from '$lib/components/drill/DrillRun.svelte';
	import DrillWords from '$lib/components/drill/DrillWords.svelte';
	import Ladder from '$lib/components/drill/Ladder.svelte';
	import { givenByPlayers, givenWith } from '$lib/components/drill/numbers';
	import TurnsChart from '$lib/components/drill/TurnsChart.svelte';
	import Uses from '$lib/components/drill/Uses.svelte';
	import Page from '$lib/components/page/Page.svelte';
	import { useWording } from '$lib/components/page/wording.svelte';
	import { percent, turnsWords } from '$lib/components/tape/words';
	import { EMPTY_PERIOD, fitOf } from '$lib/components/shelf/fits';
	import type { PageData } from './$types';

	let { data }: { data: PageData } = $props();

	const w = useWording();
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
				? `${turnsWords(gives.turns)}, waits ${percent(gives.waitShare)}`
				: 'does not run so';
			return { isAdult, name: isAdult ? 'an adult' : 'players in turn', words };
		})
	);
	const fit = $derived(fitOf(plan, drill, MINUTES, { saysMinutes: true }));
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

<Page team={data.team} current="drills" title={kept(drill.name)} intro={kept(drill.summary)}>
	{#snippet ways()}
		{#if isNewest}
			<a href="{own}/edit">Edit</a>
		{:else}
			<a href="{own}/edit?revision={drill.revision}">Restore this revision</a>
		{/if}
		<a href="/{data.team.id}/drills/new?from={encodeURIComponent(drill.id)}">Copy</a>
		<a href="{own}/file" download="{drill.id}.json">{w('The drill as a file')}</a>
		<form method="POST" use:enhance={stay}>
			<button class="link" formaction={data.isArchived ? '?/restore' : '?/archive'}
				>{data.isArchived ? 'Restore' : 'Archive'}</button
			>
		</form>
		<a href="/{data.team.id}/drills">{w('Back to the shelf')}</a>
	{/snippet}
	{#if data.isArchived}
		<p role="status">
			{w('This drill is archived: it is not on the shelf, and practices that have it keep it.')}
		</p>
	{/if}
	<div class="columns">
		<div>
			<div class="choices">
				<Select id="rung" size="sm" labelText={w('Rung')} bind:selected={rung}>
					<SelectItem value="" text={w('The drill itself')} />
					{#each drill.rungs as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
					{#if drill.rungs.length > 0}
						<SelectItem value="climb" text={w('Climb through all rungs')} />
					{/if}
				</Select>
				{#if canFeed}
					<fieldset>
						<legend>{w('Who feeds')}</legend>
						{#each feeders as { isAdult, name, words } (name)}
							<label class="tickable">
								<input type="radio" name="feeds" value={isAdult} bind:group={feeds} />
								{w(name)} <span>{w(words)}</span>
							</label>
						{/each}
					</fieldset>
				{/if}
			</div>
			<DrillRun {drill} players={runPlayers} {climb} {adults} />
		</div>
		<div>
			<p class="fit">
				<strong>{w(`For ${here} players here:`)}</strong>
				{w(fit.words)}
			</p>
			<TurnsChart {given} {players} {marked} onchoose={(count) => (chosen = count)} />
			<Ladder team={data.team.id} {drill} {players} minutes={MINUTES} adults={asked.adults} />
		</div>
	</div>
	<div class="columns words">
		<div><DrillWords {drill} areas={data.team.skillAreas} /></div>
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
