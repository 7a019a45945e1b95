<script lang="ts">
	import { Modal } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { Edit, Plan } from '$core/practice';
	import PeoplePicker from './PeoplePicker.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/people';

	/** Who comes: players by unit, and adults. */
	let {
		plan,
		onapply,
		onclose
	}: { plan: Plan; onapply: (edit: Edit) => void; onclose: () => void } = $props();

	const say = useWords();
	// The dialog starts from who was expected when it was opened.
	let expected: string[] = $state(untrack(() => [...plan.practice.expected]));
	let present: string[] = $state(untrack(() => [...plan.practice.adults]));
	const { players } = $derived(plan.context);

	function apply() {
		const inOrder = players.map(({ id }) => id).filter((id) => expected.includes(id));
		const adultsInOrder = plan.context.adults
			.map(({ id }) => id)
			.filter((id) => present.includes(id));
		onapply({ type: 'set-practice', set: { expected: inOrder, adults: adultsInOrder } });
		onclose();
	}
</script>

<Modal
	open
	modalHeading={say(texts.whoComes)}
	primaryButtonText={say(texts.planWithPlayersAndAdults, {
		expectedCount: expected.length,
		presentCount: present.length
	})}
	secondaryButtonText={say(texts.cancel)}
	on:click:button--secondary={onclose}
	on:close={onclose}
	on:submit={apply}
>
	<PeoplePicker
		{players}
		adults={plan.context.adults}
		units={plan.context.team.units}
		bind:expected
		bind:present
	/>
</Modal>
