<script lang="ts">
	import { Modal, Select, SelectItem } from 'carbon-components-svelte';
	import { nanoid } from 'nanoid';
	import type { Period, Practice } from '$core/model/practice';
	import { copyPeriod } from '$core/building';
	import { dayWords } from '../page/dates';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/board';

	/** Takes a period of another practice of the team over, as a copy. */
	let {
		team,
		others,
		onborrow,
		onclose
	}: {
		team: string;
		/** The team's other practices, the newest first. */
		others: readonly { id: string; date: string }[];
		onborrow: (period: Period) => void;
		onclose: () => void;
	} = $props();

	const say = useWords();
	let chosen = $state('');
	let trouble = $state('');
	let periods: Period[] = $state.raw([]);

	async function choose(id: string) {
		chosen = id;
		trouble = '';
		periods = [];
		if (!id) return;
		const response = await fetch(`/${team}/practices/${id}/document`).catch(() => null);
		if (!response?.ok) trouble = say(texts.thatPracticeCannotBeReadNow);
		else if (chosen === id) periods = ((await response.json()) as Practice).periods;
	}
	function borrow(period: Period) {
		onborrow(copyPeriod(period, () => nanoid(8)));
		onclose();
	}
</script>

<Modal open passiveModal modalHeading={say(texts.periodOfAnotherPractice)} on:close={onclose}>
	<Select
		id="other-practice"
		labelText={say(texts.practice)}
		selected={chosen}
		on:change={(event) => choose((event.target as HTMLSelectElement).value)}
	>
		<SelectItem
			value=""
			text={others.length > 0 ? say(texts.chooseOne) : say(texts.thereIsNoOtherPracticeYet)}
		/>
		{#each others as { id, date } (id)}
			<SelectItem value={id} text={dayWords(date)} />
		{/each}
	</Select>
	{#if trouble}<p role="alert">{trouble}</p>{/if}
	<ul>
		{#each periods as period (period.id)}
			<li>
				<button class="link" onclick={() => borrow(period)}>{period.name}</button>
				<span>{say(texts.min, { minutes: period.minutes })}</span>
			</li>
		{/each}
	</ul>
</Modal>

<style>
	ul {
		padding-top: 12px;
		min-height: 220px;
	}
	li {
		display: flex;
		justify-content: space-between;
		align-items: center;
		border-bottom: 1px solid var(--rule);
		padding: 3px 0;
	}
	p {
		color: var(--stop);
		padding-top: 8px;
	}
</style>
