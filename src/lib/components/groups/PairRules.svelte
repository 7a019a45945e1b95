<script lang="ts">
	import { Button, Select, SelectItem } from 'carbon-components-svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/groups';

	/** Two players who go together or stay apart: chosen here, listed below, dropped again. */
	let {
		players,
		together = $bindable(),
		apart = $bindable()
	}: {
		/** Everybody who may be chosen. */
		players: readonly { id: string; name: string }[];
		/** Pairs of ids. */
		together: string[][];
		apart: string[][];
	} = $props();

	const say = useWords();
	let first = $state('');
	let second = $state('');
	const isPair = $derived(first !== '' && second !== '' && first !== second);
	const name = (id: string) => players.find((player) => player.id === id)?.name ?? id;
	const named = (words: typeof texts.pairTogether, [one, other]: string[]) =>
		say(words, { one: name(one), other: name(other) });
	const without = (list: string[][], pair: string[]) => list.filter((each) => each !== pair);
</script>

{#snippet rule(words: string, drop: () => void)}
	<li>
		{words}
		<button type="button" class="link" onclick={drop}>{say(texts.drop)}</button>
	</li>
{/snippet}

<fieldset>
	<legend>{say(texts.twoPlayers)}</legend>
	<Select id="first-player" size="sm" labelText={say(texts.one)} bind:selected={first}>
		<SelectItem value="" text={say(texts.choose)} />
		{#each players as player (player.id)}<SelectItem value={player.id} text={player.name} />{/each}
	</Select>
	<Select id="second-player" size="sm" labelText={say(texts.theOther)} bind:selected={second}>
		<SelectItem value="" text={say(texts.choose)} />
		{#each players as player (player.id)}<SelectItem value={player.id} text={player.name} />{/each}
	</Select>
	<div class="pair">
		<Button
			size="small"
			kind="tertiary"
			disabled={!isPair}
			on:click={() => (together = [...together, [first, second]])}>{say(texts.together)}</Button
		>
		<Button
			size="small"
			kind="tertiary"
			disabled={!isPair}
			on:click={() => (apart = [...apart, [first, second]])}>{say(texts.apart)}</Button
		>
	</div>
	<ul>
		{#each together as pair (pair)}
			{@render rule(named(texts.pairTogether, pair), () => (together = without(together, pair)))}
		{/each}
		{#each apart as pair (pair)}
			{@render rule(named(texts.pairApart, pair), () => (apart = without(apart, pair)))}
		{/each}
	</ul>
</fieldset>

<style>
	fieldset {
		border: 0;
		padding: 0;
		display: grid;
		gap: 8px;
		max-width: 420px;
	}
	legend {
		font-size: 12px;
		padding-bottom: 4px;
	}
	.pair {
		display: flex;
		gap: 8px;
	}
	li {
		font-size: 13px;
		line-height: 1.5;
	}
</style>
