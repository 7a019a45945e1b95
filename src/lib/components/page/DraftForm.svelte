<script lang="ts" generics="Value">
	import { onMount, type Snippet } from 'svelte';
	import { enhance } from '$app/forms';
	import type { FormDraft } from '$lib/state/formDraft.svelte';
	import LeaveDialog from './LeaveDialog.svelte';

	/** A form whose typing is kept: it comes back on the next visit, and is asked about before it is left. */
	let {
		draft,
		action,
		form = $bindable(),
		class: name,
		children
	}: {
		draft: FormDraft<Value>;
		action?: string;
		form?: HTMLFormElement;
		class?: string;
		children: Snippet;
	} = $props();

	let isResumed = $state(false);

	onMount(() => {
		draft.resume();
		isResumed = true;
		return () => draft.dispose();
	});
	$effect(() => {
		if (isResumed) draft.keep();
	});
</script>

<LeaveDialog {draft} />
<form method="POST" {action} class={name} bind:this={form} use:enhance={draft.submit}>
	<input type="hidden" name="base" value={draft.base} />
	{@render children()}
</form>
