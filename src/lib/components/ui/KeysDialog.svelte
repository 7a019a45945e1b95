<script lang="ts">
	import { Modal, Toggle } from 'carbon-components-svelte';
	import { KEYS } from './keys';
	import { useWording } from '../page/wording.svelte';

	/** The keys of the board, and the switch that turns single letters off. */
	let { areOn = $bindable(), onclose }: { areOn: boolean; onclose: () => void } = $props();

	const w = useWording();
</script>

<Modal open passiveModal modalHeading="Keys" on:close={onclose} size="sm">
	<dl>
		{#each KEYS as { keys, does } (keys)}
			<dt>{keys}</dt>
			<dd>{w(does)}</dd>
		{/each}
	</dl>
	<Toggle id="letters" labelText="Single letters" labelA="off" labelB="on" bind:toggled={areOn} />
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
