<script lang="ts">
	import { Checkbox, Modal } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { Edit } from '$core/practice';
	import type { PracticeEditor } from '$lib/state/practiceEditor.svelte';

	/** Who comes: players by unit, and adults. */
	let {
		editor,
		onapply,
		onclose
	}: { editor: PracticeEditor; onapply: (edit: Edit) => void; onclose: () => void } = $props();

	// The dialog starts from who was expected when it was opened.
	let expected: string[] = $state(untrack(() => [...editor.practice.expected]));
	let adults: string[] = $state(untrack(() => [...editor.practice.adults]));
	const { players } = $derived(editor.context);
	const units = $derived([...new Set(players.map(({ unit }) => unit ?? ''))]);
	const unitName = (id: string) =>
		editor.context.team.units.find((unit) => unit.id === id)?.name ?? 'Players';

	function apply() {
		const inOrder = players.map(({ id }) => id).filter((id) => expected.includes(id));
		const adultsInOrder = editor.context.adults
			.map(({ id }) => id)
			.filter((id) => adults.includes(id));
		onapply({ type: 'set-practice', set: { expected: inOrder, adults: adultsInOrder } });
		onclose();
	}
</script>

<Modal
	open
	modalHeading="Who comes?"
	primaryButtonText="Plan with {expected.length} players and {adults.length} adults"
	secondaryButtonText="Leave as it is"
	on:click:button--secondary={onclose}
	on:close={onclose}
	on:submit={apply}
>
	<div class="units">
		{#each units as unit (unit)}
			<fieldset>
				<legend>{unitName(unit)}</legend>
				{#each players.filter((player) => (player.unit ?? '') === unit) as player (player.id)}
					<Checkbox
						id="here-{player.id}"
						value={player.id}
						bind:group={expected}
						labelText="{player.number ?? ''} {player.name}"
					/>
				{/each}
			</fieldset>
		{/each}
		<fieldset>
			<legend>Adults</legend>
			{#each editor.context.adults as adult (adult.id)}
				<Checkbox
					id="adult-here-{adult.id}"
					value={adult.id}
					bind:group={adults}
					labelText="{adult.name}, {adult.role}"
				/>
			{/each}
		</fieldset>
	</div>
</Modal>

<style>
	.units {
		columns: 2;
		column-gap: 24px;
	}
	fieldset {
		border: 0;
		padding: 0 0 12px;
		margin: 0;
		break-inside: avoid;
	}
	legend {
		font-weight: 700;
		font-size: 13.5px;
	}
	@media (max-width: 672px) {
		.units {
			columns: 1;
		}
	}
</style>
