<script lang="ts">
	import { Select, SelectItem, SelectItemGroup } from 'carbon-components-svelte';
	import { goto } from '$app/navigation';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/season';
	import Choice from '../page/Choice.svelte';
	import type { LookAt } from './whose';

	/** Which season is looked at, and whose. */
	let {
		seasons,
		season,
		units,
		squad,
		unit,
		player,
		onlook
	}: {
		seasons: readonly { id: string; name: string }[];
		season: string;
		units: readonly { id: string; name: string }[];
		squad: readonly { id: string; name: string }[];
		/** Empty for the whole squad. */
		unit: string;
		/** Empty where no player is looked at. */
		player: string;
		onlook: (at: LookAt) => void;
	} = $props();

	const say = useWords();
	const chosen = $derived(player ? `player ${player}` : unit ? `unit ${unit}` : '');

	function choose(event: Event) {
		const [kind, id] = (event.target as HTMLSelectElement).value.split(' ');
		onlook(kind === '' ? {} : { [kind]: id });
	}
</script>

{#if seasons.length > 1}
	<Choice
		id="season"
		label={say(texts.changeSeason)}
		of={seasons}
		chosen={season}
		onchoose={(id) => void goto(`?season=${encodeURIComponent(id)}`)}
	/>
{/if}
<Select id="whose" size="sm" labelText={say(texts.lookAt)} selected={chosen} on:change={choose}>
	<SelectItem value="" text={say(texts.wholeSquad)} />
	{#if units.length > 0}
		<SelectItemGroup label={say(texts.units)}>
			{#each units as { id, name } (id)}<SelectItem value="unit {id}" text={name} />{/each}
		</SelectItemGroup>
	{/if}
	<SelectItemGroup label={say(texts.players)}>
		{#each squad as { id, name } (id)}<SelectItem value="player {id}" text={name} />{/each}
	</SelectItemGroup>
</Select>
