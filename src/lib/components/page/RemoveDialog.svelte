<script lang="ts">
	import { placeText } from '$core/base';
	import { Modal } from 'carbon-components-svelte';
	import type { SubmitFunction } from '@sveltejs/kit';
	import { enhance } from '$app/forms';
	import { refusalWords } from './notice.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/page';

	const say = useWords();

	/** Asks before something is removed for good; the form is sent when the coach says so. */
	let {
		what,
		says,
		field,
		value,
		also = {},
		button = say(texts.removeForGood),
		onclose
	}: {
		/** The name of what goes. */
		what: string;
		/** What goes with it. */
		says: string;
		/** The field that names it to the action `remove`. */
		field: string;
		value: string;
		/** Other fields that the action reads. */
		also?: Readonly<Record<string, string>>;
		button?: string;
		onclose: () => void;
	} = $props();

	let form: HTMLFormElement | undefined = $state();
	/** Why it was not removed; empty before it was tried. */
	let refusal = $state('');

	const answered: SubmitFunction =
		() =>
		async ({ result, update }) => {
			if (result.type === 'error') return void (refusal = refusalWords(result, say));
			await update();
			if (result.type !== 'failure') return onclose();
			const { message, misfit } = result.data ?? {};
			refusal =
				message ??
				(misfit
					? say(texts.misfitAt, { path: placeText(misfit), message: misfit.message })
					: say(texts.itWasNotRemoved));
		};
</script>

<form method="POST" action="?/remove" bind:this={form} hidden use:enhance={answered}>
	<input type="hidden" name={field} {value} />
	{#each Object.entries(also) as [name, said] (name)}<input
			type="hidden"
			{name}
			value={said}
		/>{/each}
</form>
<Modal
	open
	danger
	size="sm"
	modalHeading={say(texts.remove, { what })}
	primaryButtonText={button}
	secondaryButtonText={say(texts.keep)}
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
