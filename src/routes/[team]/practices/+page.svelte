<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { group } from 'd3-array';
	import { enhance } from '$app/forms';
	import { clockAt } from '$core/conditions';
	import { weekOf } from '$core/season';
	import { percent } from '$lib/components/tape/words';
	import { dayWords } from '$lib/components/page/dates';
	import { loadOnceDone } from '$lib/components/page/loadOnceDone.svelte';
	import Page from '$lib/components/page/Page.svelte';
	import type { PageData } from './$types';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/practices';
	import { stay } from '$lib/components/page/notice.svelte';

	let { data }: { data: PageData } = $props();

	const say = useWords();
	let showsArchived = $state(false);
	const shown = $derived(data.lines.filter(({ isArchived }) => showsArchived || !isArchived));
	const archived = $derived(data.lines.filter(({ isArchived }) => isArchived).length);
	// What comes next is what a coach looks for: weeks from this one on, then those before it, the latest first.
	const weeks = $derived.by(() => {
		const all = [...group(shown, ({ week }) => week)];
		const now = weekOf(data.season, data.today);
		const isPast = ([week]: (typeof all)[number]) => week < now;
		return [...all.filter((each) => !isPast(each)), ...all.filter(isPast).reverse()];
	});
	const base = $derived(`/${data.team.id}/practices`);
	const isPending = $derived(data.lines.some(({ summary }) => summary === null));

	loadOnceDone(
		() => data.team.id,
		() => isPending
	);
</script>

<Page
	team={data.team}
	current="practices"
	title={say(texts.practices)}
	intro={say(texts.weeksFrom, {
		name: data.season.name,
		weeks: data.season.weeks,
		day: dayWords(data.season.firstDay)
	})}
>
	{#snippet ways()}
		<Button size="small" href="{base}/new">{say(texts.newPractice)}</Button>
	{/snippet}
	{#if !data.hasPlayers}
		<p class="empty">
			{say(texts.thisTeamHasNoPlayersYet)}
			<a href="/{data.team.id}/squad">{say(texts.addTheSquadFirst)}</a>{say(
				texts.groupsTurnsAndWaitingAreWorked
			)}
		</p>
	{/if}
	{#each weeks as [week, lines] (week)}
		<section>
			<h2>
				{week > 0 && week <= data.season.weeks
					? say(texts.week, { week })
					: say(texts.outsideTheSeason)}
			</h2>
			<ul>
				{#each lines as line (line.id)}
					<li class:today={line.date === data.today}>
						<a href="{base}/{line.id}">{dayWords(line.date)}</a>
						{#if line.summary}
							{@const sum = line.summary}
							<span
								>{say(texts.to, {
									start: line.start,
									end: clockAt(line.start, sum.minutes * 60)
								})}</span
							>
							<span>{line.place}</span>
							<span
								>{say(texts.playersAdults, {
									playerCount: sum.players,
									adultCount: sum.adults
								})}</span
							>
							<span
								>{say(texts.ofMinPlanned, {
									plannedMinutes: sum.plannedMinutes,
									minutes: sum.minutes
								})}</span
							>
							<span
								>{sum.plannedMinutes > 0
									? say(texts.busy, { percent: percent(sum.busyShare) })
									: say(texts.empty)}</span
							>
							<span>
								{#if line.state === 'planned'}
									<b class:stops={sum.stops > 0}>{sum.stops}</b>
									{say(texts.mustFixCould, { hints: sum.warnings + sum.hints })}
								{:else}
									{line.state}
								{/if}
							</span>
						{:else}
							<span>{line.start}</span>
							<span>{line.place}</span>
							<span class="pending">{say(texts.beingWorkedOut)}</span>
						{/if}
						<form method="POST" use:enhance={stay(say)}>
							<input type="hidden" name="practice" value={line.id} />
							<a
								href="{base}/new?from={line.id}"
								aria-label={say(texts.copyOf, { day: dayWords(line.date) })}>{say(texts.copy)}</a
							>
							<a
								href="{base}/templates?from={line.id}"
								aria-label={say(texts.saveDayAsTemplate, { day: dayWords(line.date) })}
								>{say(texts.template)}</a
							>
							<button
								class="link"
								formaction={line.isArchived ? '?/restore' : '?/archive'}
								aria-label={say(texts.isArchivedRestoreArchiveDayWords, {
									isArchived: line.isArchived,
									day: dayWords(line.date)
								})}
							>
								{line.isArchived ? say(texts.restore) : say(texts.archive)}
							</button>
						</form>
					</li>
				{/each}
			</ul>
		</section>
	{:else}
		<p class="empty">
			{say(texts.thereIsNoPracticeYet)} <a href="{base}/new">{say(texts.createTheFirstOne)}</a>{say(
				texts.theDateTheMinutesAndWho
			)}
		</p>
	{/each}
	{#if data.lines.length < data.count}
		<p>
			<a class="link" href="?all" data-sveltekit-noscroll
				>{say(texts.showAllPractices, { count: data.count })}</a
			>
		</p>
	{/if}
	{#if archived > 0}
		<button class="link" onclick={() => (showsArchived = !showsArchived)}>
			{say(texts.archived, { showsArchived: !!showsArchived, archived })}
		</button>
	{/if}
</Page>

<style>
	section {
		display: grid;
		grid-template-columns: 110px 1fr;
		border-bottom: 1px solid var(--rule);
		padding: 8px 0;
	}
	h2 {
		font-size: 14px;
		font-weight: 700;
		padding-top: 6px;
	}
	li {
		display: grid;
		grid-template-columns: 1.4fr 1fr 1.2fr 1.4fr 1.5fr 0.7fr 1fr 1.1fr;
		gap: 12px;
		padding: 6px 8px;
		align-items: baseline;
		border-left: 4px solid transparent;
	}
	li.today {
		border-left-color: var(--action);
		background: #fff;
	}
	.pending {
		grid-column: span 4;
		color: var(--ink-soft);
	}
	li a,
	.empty a {
		font-weight: 700;
		color: var(--action);
	}
	form {
		display: flex;
		gap: 14px;
		align-items: baseline;
	}
	li form a,
	li form .link {
		font-weight: 600;
		font-size: 13px;
		padding: 0;
	}
	.stops {
		color: var(--stop);
	}
	.empty {
		padding: 24px 0;
		font-size: 15px;
	}
	@media (max-width: 900px) {
		section {
			grid-template-columns: 1fr;
		}
		li {
			grid-template-columns: 1fr 1fr;
			gap: 2px 12px;
		}
		li a {
			grid-column: 1 / -1;
			font-size: 16px;
			padding: 2px 0;
		}
	}
</style>
