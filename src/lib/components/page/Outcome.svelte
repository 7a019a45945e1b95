<script lang="ts">
	import { InlineNotification } from 'carbon-components-svelte';

	/** What became of a form that was sent: what was refused and where, or that it is stored. */
	let {
		misfit,
		saved = false,
		where
	}: {
		misfit: { path: string; message: string } | null | undefined;
		saved?: boolean;
		/** The place of the fault as a coach calls it; the path where it is not said. */
		where?: string;
	} = $props();
</script>

<div class="outcome">
	{#if misfit}
		<InlineNotification
			lowContrast
			hideCloseButton
			kind="error"
			role="alert"
			title="Not saved."
			subtitle="{where ?? misfit.path} {misfit.message}"
		/>
	{:else if saved}
		<InlineNotification lowContrast hideCloseButton kind="success" role="status" title="Saved." />
	{/if}
</div>
