<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { tick, untrack } from 'svelte';
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import { addDays, weekdayOf } from '$core/conditions';
	import { lastDayOf, weekOf } from '$core/season';
	import { dayWords } from '$lib/components/page/dates';
	import Outcome from '$lib/components/page/Outcome.svelte';
	import Page from '$lib/components/page/Page.svelte';
	import { stay } from '$lib/components/page/notice.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import CalendarItem from '$lib/components/season/CalendarItem.svelte';
	import { calendarWeeks, type Item } from '$lib/components/season/calendarItems';
	import ItemPanel from '$lib/components/season/ItemPanel.svelte';
	import type { ActionData, PageData } from './$types';
	import texts from '$texts/calendar';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	const say = useWords();
	const asked = untrack(() => Number(page.url.searchParams.get('week') ?? NaN));
	/** The week that is looked at; null for all of them. */
	let week: number | null = $state(Number.isInteger(asked) && asked > 0 ? asked : null);
	let opened = $state<string | null>(null);
	/** The day that something is dragged over. */
	let over = $state<string | null>(null);
	/** What is on its way to another day, and what was moved last with where it was: it can go back. */
	let moving: Item | null = null;
	let last = $state<Item | null>(null);
	let mover: HTMLFormElement | undefined = $state();
	let move = $state({ practice: '', game: '', date: '', start: '' });

	const weeks = $derived(calendarWeeks(data.season, data.practices));
	const shown = $derived(
		week === null
			? weeks
			: weeks.filter((each) => each.week === Math.min(week ?? 1, data.season.weeks))
	);
	const items = $derived(
		new Map(
			weeks
				.flatMap(({ days }) => days.flatMap((day) => day.items))
				.map((each) => [keyOf(each), each])
		)
	);
	const item = $derived(opened === null ? undefined : items.get(opened));
	const misfit = $derived(form && 'misfit' in form ? form.misfit : null);
	const weekdays = $derived(weeks[0]?.days.map(({ date }) => dayWords(date).split(' ')[0]) ?? []);

	const keyOf = ({ kind, id }: Item) => `${kind}-${id}`;
	const startOf = (of: Item) =>
		of.kind === 'practice' ? of.practice.start : (of.game.start ?? '');

	/** Moves something to another day of the season; a step beyond it is none. */
	async function moveTo(of: Item, date: string, start = startOf(of)) {
		if (date === of.date && start === startOf(of)) return;
		if (date < data.season.firstDay || date > lastDayOf(data.season)) return;
		moving = of;
		move = {
			practice: of.kind === 'practice' ? of.id : '',
			game: of.kind === 'game' ? of.id : '',
			date,
			start
		};
		if (week !== null) week = weekOf(data.season, date);
		await tick();
		mover?.requestSubmit();
	}

	/** Puts what was moved last back to where it was. */
	function goBack() {
		const now = last && items.get(keyOf(last));
		if (last && now) void moveTo(now, last.date, startOf(last));
	}

	/** What was moved keeps the focus on its new day. */
	async function focusAgain(id: string) {
		await tick();
		document.getElementById(`item-${id}`)?.focus();
	}

	const dragOf = (of: Item) => ({
		onmove: ({ clientX, clientY }: { clientX: number; clientY: number }) => {
			const cell = document.elementFromPoint(clientX, clientY)?.closest<HTMLElement>('[data-day]');
			over = cell?.dataset.day ?? null;
		},
		ondrop: () => {
			const day = over;
			over = null;
			if (day) void moveTo(of, day);
		},
		oncancel: () => (over = null)
	});
</script>

<Page team={data.team} current="calendar" title={say(texts.calendar)} intro={say(texts.intro)} wide>
	{#snippet ways()}
		<a href="/{data.team.id}/calendar/file?season={data.season.id}" download
			>{say(texts.download)}</a
		>
		<a href="/{data.team.id}/calendar/games?season={data.season.id}">{say(texts.importGames)}</a>
		<a href="/{data.team.id}/dates?season={data.season.id}">{say(texts.usualDays)}</a>
		<Button size="small" href="/{data.team.id}/practices/new">{say(texts.newPractice)}</Button>
	{/snippet}
	<Outcome {misfit} />
	<div class="views">
		<button type="button" class="link" aria-pressed={week === null} onclick={() => (week = null)}
			>{say(texts.season)}</button
		>
		<button
			type="button"
			class="link"
			aria-pressed={week !== null}
			onclick={() =>
				(week = Math.min(data.season.weeks, Math.max(1, weekOf(data.season, data.today))))}
			>{say(texts.week)}</button
		>
		{#if week !== null}
			<button
				type="button"
				class="link"
				disabled={week <= 1}
				onclick={() => (week = (week ?? 2) - 1)}>← {say(texts.weekBefore)}</button
			>
			<button
				type="button"
				class="link"
				disabled={week >= data.season.weeks}
				onclick={() => (week = (week ?? 0) + 1)}>{say(texts.weekAfter)} →</button
			>
		{/if}
		{#if last && !misfit}
			<span role="status">
				{say(texts.moved, { day: dayWords(move.date), start: move.start })}
				<button type="button" class="link" onclick={goBack}>{say(texts.undo)}</button>
			</span>
		{/if}
	</div>
	<form
		method="POST"
		action="?/move"
		hidden
		bind:this={mover}
		use:enhance={(input) => {
			const after = stay(say)(input);
			const id = move.practice ? `practice-${move.practice}` : `game-${move.game}`;
			return async (outcome) => {
				if (typeof after === 'function') await after(outcome);
				// What came back to where it was needs no way back.
				const isBack =
					last?.id === moving?.id && last?.date === move.date && startOf(last) === move.start;
				if (outcome.result.type === 'success') last = isBack ? null : moving;
				await focusAgain(id);
			};
		}}
	>
		<input name="season" value={data.season.id} />
		<input name="practice" value={move.practice} />
		<input name="game" value={move.game} />
		<input name="date" value={move.date} />
		<input name="start" value={move.start} />
	</form>
	<div class="scroll">
		<table class:large={week !== null}>
			<thead>
				<tr>
					<th></th>
					{#each weekdays as weekday (weekday)}<th scope="col">{weekday}</th>{/each}
				</tr>
			</thead>
			<tbody>
				{#each shown as { week: number, phase, days } (number)}
					<tr>
						<th scope="row">
							<button type="button" class="link" onclick={() => (week = number)}
								>{say(texts.weekNumber, { week: number })}</button
							>
							{#if phase}<small>{phase}</small>{/if}
						</th>
						{#each days as { date, items, off } (date)}
							<td
								data-day={date}
								class:today={date === data.today}
								class:over={over === date}
								class:off
								class:weekend={weekdayOf(date) > 5}
							>
								<p>
									<span>{dayWords(date).replace(/^\S+ /, '')}</span>
									{#if date === data.today}<b>{say(texts.today)}</b>{/if}
								</p>
								{#if off}<p class="why">{say(texts.off, { name: off })}</p>{/if}
								{#each items as each (keyOf(each))}
									<CalendarItem
										item={each}
										isOpen={opened === keyOf(each)}
										isLarge={week !== null}
										onopen={() => (opened = opened === keyOf(each) ? null : keyOf(each))}
										onstep={(days) => void moveTo(each, addDays(date, days))}
										drag={() => dragOf(each)}
									/>
								{/each}
							</td>
						{/each}
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
	{#if item}
		<ItemPanel
			team={data.team.id}
			{item}
			today={data.today}
			season={data.season}
			onmove={(date, start) => void moveTo(item, date, start)}
			onclose={() => {
				const id = opened;
				opened = null;
				if (id) void focusAgain(id);
			}}
		/>
	{/if}
</Page>

<style>
	.views {
		display: flex;
		flex-wrap: wrap;
		gap: 6px 20px;
		align-items: baseline;
		padding-bottom: 8px;
		font-size: 14px;
	}
	.views [aria-pressed='true'] {
		color: var(--ink);
		text-decoration-thickness: 3px;
	}
	.scroll {
		overflow-x: auto;
	}
	table {
		table-layout: fixed;
		border-collapse: collapse;
		width: 100%;
		min-width: 860px;
	}
	thead th {
		font-size: 12px;
		font-weight: 700;
		text-align: left;
		padding: 2px 6px;
	}
	thead th:first-child {
		width: 92px;
	}
	tbody th {
		text-align: left;
		vertical-align: top;
		padding: 4px 8px 4px 0;
		border-top: 1px solid var(--rule);
	}
	small {
		display: block;
		font-size: 12px;
		font-weight: 450;
		color: var(--ink-soft);
	}
	td {
		vertical-align: top;
		height: 58px;
		padding: 3px 4px 6px;
		border: 1px solid var(--rule);
		background: #fff;
	}
	.large td {
		height: 320px;
	}
	td.weekend {
		background: #fbfaf5;
	}
	td.off {
		background: repeating-linear-gradient(45deg, var(--chalk-deep) 0 1px, transparent 1px 7px);
	}
	td.today {
		box-shadow: inset 0 3px 0 var(--now);
	}
	td.over {
		outline: 3px solid var(--action);
		outline-offset: -3px;
	}
	p {
		display: flex;
		justify-content: space-between;
		padding: 1px 2px 3px;
		font-size: 11.5px;
		color: var(--ink-soft);
	}
	p b {
		color: var(--now);
	}
	.why {
		color: var(--ink);
	}
	td > :global(button + button) {
		margin-top: 3px;
	}
</style>
