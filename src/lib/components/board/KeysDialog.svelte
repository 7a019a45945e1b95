<script lang="ts">
	import { Modal, Toggle } from 'carbon-components-svelte';
	import { KEYS } from './keys';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/board';

	/** The keys of the board, and the switch that turns single letters off. */
	let { areOn = $bindable(), onclose }: { areOn: boolean; onclose: () => void } = $props();

	const say = useWords();
</script>

<Modal open passiveModal modalHeading={say(texts.keys)} on:close={onclose} size="sm">
	<dl>
		{#each KEYS as { keys, does } (keys)}
			<dt>{keys}</dt>
			<dd>{say(does)}</dd>
		{/each}
	</dl>
	<Toggle
		id="letters"
		labelText={say(texts.singleLetters)}
		labelA={say(texts.off)}
		labelB={say(texts.on)}
		bind:toggled={areOn}
	/>
</Modal>

<style>
	dl {
		display: grid;
		grid-template-columns: 120px 1fr;
		gap: 6px 12px;
		padding-bottom: 16px;
	}
	dt {
		font-weight: 700;
		white-space: pre;
	}
</style>
