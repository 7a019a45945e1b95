<script lang="ts">
	import { dayWords } from '$lib/components/page/dates';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/season';
	import BottomPanel from './BottomPanel.svelte';
	import type { PracticeShare } from './view';

	/** The practices behind a number of the season. */
	let {
		team,
		title,
		says,
		shares,
		hasMinutes,
		onclose
	}: {
		team: string;
		title: string;
		/** What the number is made of. */
		says?: string;
		shares: readonly PracticeShare[];
		/** Whether minutes of one skill are meant. */
		hasMinutes: boolean;
		onclose: () => void;
	} = $props();

	const say = useWords();
</script>

<BottomPanel {title} {onclose}>
	{#snippet head()}
		{#if says}<p>{says}</p>{/if}
	{/snippet}
	<ul>
		{#each shares as { practice, minutes } (practice.id)}
			<li class={practice.state}>
				<a href="/{team}/practices/{practice.id}">{dayWords(practice.date)}, {practice.start}</a>
				{#if hasMinutes}
					<b>{say(texts.minutesOf, { minutes: Math.round(minutes) })}</b>
				{:else}
					<span>{practice.place}</span>
				{/if}
				<span>
					{say(
						practice.state === 'planned' && practice.summary?.plannedMinutes === 0
							? texts.stateEmpty
							: texts.stateOf,
						{ state: practice.state, reason: practice.reason ?? '' }
					)}
				</span>
			</li>
		{:else}
			<li class="none">{say(hasMinutes ? texts.noPracticeHere : texts.noPracticeInWeek)}</li>
		{/each}
	</ul>
</BottomPanel>

<style>
	p {
		font-size: 13.5px;
	}
	ul {
		columns: 330px;
		column-gap: 36px;
	}
	li {
		display: grid;
		grid-template-columns: 1.5fr 0.7fr 1fr;
		gap: 10px;
		align-items: baseline;
		padding: 4px 0;
		border-bottom: 1px solid var(--rule);
		break-inside: avoid;
		font-size: 13.5px;
	}
	li.none {
		display: block;
	}
	a {
		font-weight: 650;
		color: var(--action);
	}
	li.cancelled a {
		text-decoration: line-through;
	}
	span {
		color: var(--ink-soft);
		font-size: 13px;
	}
	b {
		font-variant-numeric: tabular-nums;
	}
</style>
