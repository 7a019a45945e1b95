<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { enhance } from '$app/forms';
	import type { Season } from '$core/model/season';
	import { lastDayOf } from '$core/season';
	import { dayWords } from '$lib/components/page/dates';
	import { stay } from '$lib/components/page/notice.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/calendar';
	import BottomPanel from './BottomPanel.svelte';
	import type { Item } from './calendarItems';

	/** What can be done with a practice or a game of the calendar. */
	let {
		team,
		item,
		today,
		season,
		onmove,
		onclose
	}: {
		team: string;
		item: Item;
		today: string;
		season: Season;
		onmove: (date: string, start: string) => void;
		onclose: () => void;
	} = $props();

	const say = useWords();
	let date = $derived(item.date);
	let start = $derived(item.kind === 'practice' ? item.practice.start : '');
	const practice = $derived(item.kind === 'practice' ? item.practice : null);
	const title = $derived(
		item.kind === 'game'
			? say(texts.gamePanel, { opponentName: item.game.opponent, day: dayWords(item.date) })
			: say(texts.panel, { day: dayWords(item.date), start: item.practice.start })
	);
</script>

<BottomPanel {title} {onclose}>
	{#snippet head()}
		{#if practice}
			<a href="/{team}/practices/{practice.id}">{say(texts.open)}</a>
			<a href="/{team}/practices/{practice.id}/calendar" download>{say(texts.oneFile)}</a>
			{#if practice.state === 'held'}
				<a href="/{team}/ladders?practice={practice.id}">{say(texts.counts)}</a>
			{/if}
		{:else}
			<a href="/{team}/dates?season={season.id}">{say(texts.editGames)}</a>
		{/if}
	{/snippet}
	{#if practice?.state === 'cancelled'}
		<p>{say(texts.cancelledBecause, { reason: practice.reason ?? '' })}</p>
	{/if}
	<div class="deeds">
		<form
			onsubmit={(event) => {
				event.preventDefault();
				onmove(date, start);
			}}
		>
			<label>
				{say(texts.moveTo)}
				<input
					class="typed"
					type="date"
					required
					min={season.firstDay}
					max={lastDayOf(season)}
					bind:value={date}
				/>
			</label>
			{#if practice}
				<label
					>{say(texts.at)} <input class="typed" type="time" required bind:value={start} /></label
				>
			{/if}
			<Button size="small" kind="tertiary" type="submit">{say(texts.move)}</Button>
		</form>
		{#if practice}
			<form method="POST" action="/{team}/calendar?/turn" use:enhance={stay(say)}>
				<input type="hidden" name="practice" value={practice.id} />
				{#if practice.state === 'planned'}
					{#if practice.date <= today}
						<Button size="small" type="submit" name="to" value="held">{say(texts.wasHeld)}</Button>
					{/if}
				{:else if practice.state === 'held'}
					<Button size="small" kind="tertiary" type="submit" name="to" value="planned"
						>{say(texts.notHeld)}</Button
					>
				{:else}
					<Button size="small" type="submit" name="to" value="planned">{say(texts.callBack)}</Button
					>
				{/if}
			</form>
			{#if practice.state === 'planned'}
				<form method="POST" action="/{team}/calendar?/turn" use:enhance={stay(say)}>
					<input type="hidden" name="practice" value={practice.id} />
					<input type="hidden" name="to" value="cancelled" />
					<label>
						{say(texts.reason)}
						<input
							class="typed"
							name="reason"
							required
							maxlength="200"
							placeholder={say(texts.reasonHint)}
						/>
					</label>
					<Button size="small" kind="tertiary" type="submit">{say(texts.cancelIt)}</Button>
				</form>
			{/if}
		{/if}
	</div>
</BottomPanel>

<style>
	a {
		display: inline-flex;
		min-height: 26px;
		align-items: center;
		font-weight: 650;
		color: var(--action);
	}
	.deeds {
		display: flex;
		flex-wrap: wrap;
		gap: 10px 40px;
		align-items: end;
	}
	form {
		display: flex;
		flex-wrap: wrap;
		gap: 8px 12px;
		align-items: end;
	}
	label {
		display: grid;
		gap: 2px;
		font-size: 12px;
		color: var(--ink-soft);
	}
	p {
		padding-bottom: 8px;
		font-size: 14px;
	}
</style>
