<script lang="ts">
	import { Modal } from 'carbon-components-svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/page';

	/** The question whether a page with unsaved changes is to be left. */
	let { says, onstay, onleave }: { says: string; onstay: () => void; onleave: () => void } =
		$props();

	const say = useWords();
</script>

<Modal
	open
	size="sm"
	modalHeading={say(texts.youHaveUnsavedChangesLeaveAnyway)}
	primaryButtonText={say(texts.leave)}
	secondaryButtonText={say(texts.stay)}
	on:click:button--secondary={onstay}
	on:close={onstay}
	on:submit={onleave}
>
	<p>{says}</p>
</Modal>
