<script lang="ts">
	import { Modal } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { Edit } from '$core/practice';
	import PeoplePicker from './PeoplePicker.svelte';
	import type { PracticeEditor } from '$lib/state/practiceEditor.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/people';

	/** Who comes: players by unit, and adults. */
	let {
		editor,
		onapply,
		onclose
	}: { editor: PracticeEditor; onapply: (edit: Edit) => void; onclose: () => void } = $props();

	const say = useWords();
	// The dialog starts from who was expected when it was opened.
	let expected: string[] = $state(untrack(() => [...editor.practice.expected]));
	let present: string[] = $state(untrack(() => [...editor.practice.adults]));
	const { players } = $derived(editor.context);

	function apply() {
		const inOrder = players.map(({ id }) => id).filter((id) => expected.includes(id));
		const adultsInOrder = editor.context.adults
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
		adults={editor.context.adults}
		units={editor.context.team.units}
		bind:expected
		bind:present
	/>
</Modal>
