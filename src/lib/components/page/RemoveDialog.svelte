<script lang="ts">
	import { Modal } from 'carbon-components-svelte';
	import type { SubmitFunction } from '@sveltejs/kit';
	import { enhance } from '$app/forms';
	import { refusalWords } from './notice.svelte';

	/** Asks before something is removed for good; the form is sent when the coach says so. */
	let {
		what,
		says,
		field,
		value,
		button = 'Remove for good',
		onclose
	}: {
		/** The name of what goes. */
		what: string;
		/** What goes with it. */
		says: string;
		/** The field that names it to the action `remove`. */
		field: string;
		value: string;
		button?: string;
		onclose: () => void;
	} = $props();

	let form: HTMLFormElement | undefined = $state();
	/** Why it was not removed; empty before it was tried. */
	let refusal = $state('');

	const answered: SubmitFunction =
		() =>
		async ({ result, update }) => {
			if (result.type === 'error') return void (refusal = refusalWords(result));
			await update();
			if (result.type !== 'failure') return onclose();
			const { message, misfit } = result.data ?? {};
			refusal =
				message ?? (misfit ? `The ${misfit.path} ${misfit.message}.` : 'It was not removed.');
		};
</script>

<form method="POST" action="?/remove" bind:this={form} hidden use:enhance={answered}>
	<input type="hidden" name={field} {value} />
</form>
<Modal
	open
	danger
	size="sm"
	modalHeading="Remove {what}?"
	primaryButtonText={button}
	secondaryButtonText="Keep"
	on:click:button--secondary={onclose}
	on:close={onclose}
	on:submit={() => form?.requestSubmit()}
>
	<p>{says}</p>
	{#if refusal}<p class="refusal" role="alert">{refusal}</p>{/if}
</Modal>

<style>
	.refusal {
		padding-top: 10px;
		font-weight: 650;
		color: var(--stop);
	}
</style>
