<script lang="ts">
	import { Checkbox } from 'carbon-components-svelte';
	import type { Adult, Player, Team } from '$core/model/team';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/people';

	/** Who comes: players by unit and adults, each a box to tick. In a form they are sent by these names. */
	let {
		players,
		adults,
		units,
		expected = $bindable(),
		present = $bindable()
	}: {
		players: readonly Player[];
		adults: readonly Adult[];
		units: Team['units'];
		/** Ids of the players who come. */
		expected: string[];
		/** Ids of the adults who come. */
		present: string[];
	} = $props();

	const say = useWords();
	const groups = $derived([...new Set(players.map(({ unit }) => unit ?? ''))]);
	const unitName = (id: string) => units.find((unit) => unit.id === id)?.name ?? say(texts.players);
	const words = ({ number, name, usuallyLate }: Player) =>
		`${number ?? ''} ${name}${usuallyLate ? say(texts.usuallyLate) : ''}`.trim();
</script>

<div class="people">
	{#each groups as unit (unit)}
		<fieldset>
			<legend>{unitName(unit)}</legend>
			{#each players.filter((player) => (player.unit ?? '') === unit) as player (player.id)}
				<Checkbox
					id="player-{player.id}"
					name="expected"
					value={player.id}
					bind:group={expected}
					labelText={words(player)}
				/>
			{/each}
		</fieldset>
	{/each}
	<fieldset>
		<legend>{say(texts.adults, { presentCount: present.length })}</legend>
		{#each adults as adult (adult.id)}
			<Checkbox
				id="adult-{adult.id}"
				name="adults"
				value={adult.id}
				bind:group={present}
				labelText="{adult.name}, {adult.role}"
			/>
		{/each}
	</fieldset>
</div>

<style>
	.people {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(215px, 1fr));
		gap: 8px 24px;
		padding-bottom: 16px;
	}
	fieldset {
		border: 0;
		padding: 0;
		margin: 0;
		min-width: 0;
	}
	legend {
		font-weight: 700;
		border-bottom: 1px solid var(--rule);
		width: 100%;
		padding: 0 0 2px;
	}
</style>
