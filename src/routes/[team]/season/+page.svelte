<script lang="ts">
	import { untrack } from 'svelte';
	import { enhance } from '$app/forms';
	import { goto, replaceState } from '$app/navigation';
	import { page } from '$app/state';
	import { daysOfWeek, weekOf, type Lack } from '$core/season';
	import { dayWords } from '$lib/components/page/dates';
	import { stay } from '$lib/components/page/notice.svelte';
	import { loadOnceDone } from '$lib/components/page/loadOnceDone.svelte';
	import Page from '$lib/components/page/Page.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import CellPanel from '$lib/components/season/CellPanel.svelte';
	import Cloth from '$lib/components/season/Cloth.svelte';
	import ClothTable from '$lib/components/season/ClothTable.svelte';
	import DueList from '$lib/components/season/DueList.svelte';
	import Figures from '$lib/components/season/Figures.svelte';
	import Lacks from '$lib/components/season/Lacks.svelte';
	import LadderList from '$lib/components/season/LadderList.svelte';
	import Legend from '$lib/components/season/Legend.svelte';
	import { weekWords, wholeWords } from '$lib/components/season/lineWords';
	import { wholeName } from '$lib/components/season/names';
	import {
		lineKey,
		ordered,
		seasonView,
		sharesOf,
		type Opened,
		type Order
	} from '$lib/components/season/view';
	import { addressOf, type LookAt } from '$lib/components/season/whose';
	import WhoseSeason from '$lib/components/season/WhoseSeason.svelte';
	import type { PageData } from './$types';
	import texts from '$texts/season';

	let { data }: { data: PageData } = $props();

	const say = useWords();
	let unit = $state(untrack(() => page.url.searchParams.get('unit')) ?? '');
	let order: Order = $state('listed');
	let isTable = $state(false);
	let opened = $state<Opened | null>(null);

	const players = $derived(
		data.squad
			.filter(({ id }) => !data.player || id === data.player.id)
			.map(({ id, unit: own }) => ({ id, ...(own !== undefined && { unit: own }) }))
	);
	/** Targets of units that nobody who is looked at is in say nothing here. */
	const season = $derived({
		...data.season,
		targets: data.season.targets?.filter(
			(target) => !data.player || target.unit === undefined || target.unit === players[0]?.unit
		)
	});
	const sent = $derived({
		today: data.today,
		season,
		areas: data.areas,
		players,
		practices: data.practices,
		sums: data.sums,
		costs: data.costs,
		counts: data.counts,
		pushes: data.pushes,
		tallies: data.tallies,
		drills: data.drills
	});
	const only = $derived(!data.player && unit !== '' ? unit : undefined);
	const view = $derived(seasonView(sent, only));
	const now = $derived(Math.max(1, weekOf(data.season, data.today)));
	const lines = $derived(ordered(view.lines, order, now));
	const called = $derived({ areas: data.areas, units: data.units });
	const ladders = $derived(data.ladders[only ?? ''] ?? []);
	/** Who lacks what; null until the server has added it up. */
	let lacks: Lack[] | null = $state.raw(null);
	$effect(() => {
		// Whatever is stored anew may change it.
		void data.sums;
		const url = `/${data.team.id}/season/lacks?season=${encodeURIComponent(data.season.id)}`;
		void fetch(url).then(
			async (answer) => {
				if (answer.ok) lacks = await answer.json();
			},
			() => undefined
		);
	});
	const whose = $derived(
		data.player?.name ??
			(only === undefined
				? say(texts.whereItStands)
				: say(texts.whereUnitStands, {
						name: data.units.find(({ id }) => id === only)?.name ?? only
					}))
	);
	const overdue = $derived(
		data.practices.filter(({ date, state }) => date < data.today && state === 'planned')
	);
	const isPending = $derived(data.practices.some(({ summary }) => summary === null));
	const line = $derived(lines.find((each) => lineKey(each) === opened?.line));
	const shares = $derived(
		opened
			? sharesOf(view, {
					season: data.season,
					practices: data.practices,
					line,
					week: opened.week,
					unit: only
				})
			: []
	);
	const panel = $derived.by(() => {
		if (!opened) return null;
		const { week } = opened;
		const name = line && wholeName(line, called, say);
		const { first, last } = daysOfWeek(data.season, week ?? 1);
		const says = line && (week ? weekWords(line, week, say) : wholeWords(line, view, say));
		const title =
			name === undefined
				? week === undefined
					? say(texts.panelAll)
					: say(texts.panelWeek, { week: week ?? 1, first: dayWords(first), last: dayWords(last) })
				: week
					? say(texts.panelLineWeek, { name, week })
					: name;
		return { title, says };
	});

	/** The squad or a unit is at hand; a player's season is loaded. */
	function look(at: LookAt) {
		opened = null;
		const url = addressOf(page.url, at);
		unit = at.unit ?? '';
		if (at.player || data.player) void goto(url, { noScroll: true, keepFocus: true });
		else replaceState(url, {});
	}

	loadOnceDone(
		() => data.team.id,
		() => isPending
	);
</script>

<Page
	team={data.team}
	current="season"
	title={say(texts.season)}
	wide
	heading={say(texts.weeks, { name: data.season.name, weeks: data.season.weeks })}
>
	{#snippet ways()}
		<WhoseSeason
			seasons={data.seasons}
			season={data.season.id}
			units={data.units}
			squad={data.squad}
			{unit}
			player={data.player?.id ?? ''}
			onlook={look}
		/>
	{/snippet}
	<Figures
		figures={view.figures}
		dueDay={view.dueDay}
		lackers={lacks && new Set(lacks.map(({ player }) => player)).size}
		{called}
		onopen={(at) => (opened = at)}
	/>
	{#if overdue.length > 0}
		<form method="POST" action="?/hold" class="overdue" use:enhance={stay(say)}>
			{#each overdue as { id } (id)}<input type="hidden" name="practice" value={id} />{/each}
			{say(texts.overdue, { count: overdue.length })}
			<button class="link">{say(texts.markHeld, { count: overdue.length })}</button>
			<a href="/{data.team.id}/calendar">{say(texts.orOneByOne)}</a>
		</form>
	{/if}
	{#if data.practices.length === 0}
		<p class="empty">
			{say(texts.noPractices)}
			<a href="/{data.team.id}/dates">{say(texts.setItUp)}</a>
		</p>
	{/if}
	<div class="halves">
		<div class="cloth">
			{#if isTable}
				<ClothTable {lines} weeks={view.weeks} {called} />
			{:else}
				<Cloth
					team={data.team.id}
					season={data.season}
					areas={data.areas}
					units={data.units}
					practices={data.practices}
					{lines}
					weeks={view.weeks}
					today={data.today}
					jump={data.jump}
					{opened}
					onopen={(at) => (opened = at)}
				/>
			{/if}
			<Legend bind:order bind:isTable />
		</div>
		<div class="side">
			<DueList
				team={data.team.id}
				season={data.season.id}
				today={data.today}
				day={view.dueDay}
				areas={data.areas}
				units={data.units}
				due={view.due}
			/>
			<LadderList team={data.team.id} {ladders} {whose} />
			{#if lacks}<Lacks team={data.team.id} {lacks} squad={data.squad} {called} />{/if}
		</div>
	</div>
	{#if panel}
		<CellPanel
			team={data.team.id}
			title={panel.title}
			says={panel.says}
			{shares}
			hasMinutes={line !== undefined}
			onclose={() => (opened = null)}
		/>
	{/if}
</Page>

<style>
	.halves {
		display: grid;
		grid-template-columns: minmax(0, 1fr) 280px;
		gap: 28px;
		align-items: start;
	}
	.side {
		display: grid;
		gap: 22px;
		padding-top: 16px;
	}
	.overdue,
	.empty {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 16px;
		align-items: baseline;
		padding: 8px 0;
		font-size: 14px;
	}
	.overdue {
		border-left: 4px solid var(--wait);
		padding-left: 10px;
		margin: 8px 0;
	}
	.overdue a,
	.empty a {
		font-weight: 650;
		color: var(--action);
	}
	@media (max-width: 980px) {
		.halves {
			padding-top: 14px;
			grid-template-columns: minmax(0, 1fr);
		}
		/* What is due comes first where there is no room beside the cloth. */
		.side {
			display: contents;
		}
		.side > :global(*) {
			order: 2;
		}
		.side > :global(:first-child) {
			order: -1;
		}
	}
</style>
