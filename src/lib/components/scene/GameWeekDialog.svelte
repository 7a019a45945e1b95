<script lang="ts">
	import { Button, Modal } from 'carbon-components-svelte';
	import { nanoid } from 'nanoid';
	import { plainPeriod } from '$core/building';
	import type { Period } from '$core/model/practice';
	import type { Evaluation } from '$core/playing';
	import type { GameWeek } from '$core/scene';
	import { dayWords } from '$lib/components/page/dates';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/scenes';
	import Starts from './Starts.svelte';

	/** What this practice does to get ready for the next game: how often live play starts as the opponent begins, and the talk. */
	let {
		plan,
		week,
		onadd,
		onclose
	}: {
		plan: Evaluation;
		week: GameWeek;
		/** Puts a period on the tape. */
		onadd: (period: Period) => void;
		onclose: () => void;
	} = $props();

	const say = useWords();
	const most = $derived(Math.floor(plan.context.limits.gameTalkMinutes));
	const hasTalk = $derived(plan.practice.periods.some(({ about }) => about === 'game'));
	function add() {
		const talk = plainPeriod('talk', {
			...{ id: nanoid(8), name: say(texts.talkName), minutes: Math.max(1, most) }
		});
		// Its name is on paper and in calendars: whom it is about stays out of it.
		onadd({ ...talk, about: 'game' });
		onclose();
	}
</script>

<Modal
	open
	passiveModal
	modalHeading={say(texts.gameWeekOf, { name: week.game.opponent, day: dayWords(week.game.date) })}
	on:close={onclose}
>
	<p class="only">{say(texts.coachesOnly)}</p>
	{#if week.seeds.length > 0}
		<Starts {plan} {week} />
	{:else}
		<p>
			{say(texts.noSeeds)}
			<a class="link" href="/{plan.practice.teamId}/game-week">{say(texts.drawASeed)}</a>
		</p>
	{/if}
	{#if week.hasTalk && most >= 1}
		<div class="talk">
			<p>{say(texts.talkBelongs, { name: week.game.opponent, most })}</p>
			{#if hasTalk}
				<p>{say(texts.talkIsIn)}</p>
			{:else}
				<Button size="small" kind="tertiary" on:click={add}>{say(texts.addTalk)}</Button>
			{/if}
		</div>
	{/if}
</Modal>

<style>
	.only {
		font-size: 13px;
		font-weight: 700;
		color: var(--stop);
	}
	.talk {
		padding-top: 10px;
		border-top: 1px solid var(--ink);
	}
	.talk p {
		padding-bottom: 6px;
	}
</style>
