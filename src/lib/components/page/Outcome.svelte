<script lang="ts">
	import { placeText, type Misfit } from '$core/base';
	import { InlineNotification } from 'carbon-components-svelte';
	import type { FormDraft } from '$lib/state/formDraft.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/page';

	const say = useWords();

	/** What became of a form that was sent: what was refused and where, or that it is stored. */
	let {
		misfit,
		saved = false,
		where,
		draft,
		form
	}: {
		misfit: (Misfit & { newest?: string }) | null | undefined;
		saved?: boolean;
		/** The place of the fault as a coach calls it; the path where it is not said. */
		where?: string;
		/** The form's draft, for what is not saved yet and what was typed earlier. */
		draft?: Pick<
			FormDraft<never>,
			'trouble' | 'newest' | 'isBack' | 'isUnkept' | 'discard' | 'keepMine'
		>;
		/** The form that is sent again where the coach keeps their own. */
		form?: HTMLFormElement;
	} = $props();
</script>

<div class="outcome">
	{#if draft?.trouble}
		<InlineNotification
			lowContrast
			hideCloseButton
			kind="warning"
			role="alert"
			title={draft.trouble}
		/>
	{:else if draft?.newest}
		<div class="ask" role="alert">
			<strong>{say(texts.somebodyElseHasSavedThis)}</strong>
			<button type="button" class="link" onclick={() => draft.keepMine(form)}
				>{say(texts.keepMine)}</button
			>
			<button type="button" class="link" onclick={() => draft.discard()}
				>{say(texts.takeTheirs)}</button
			>
		</div>
	{:else if misfit && misfit.newest === undefined}
		<InlineNotification
			lowContrast
			hideCloseButton
			kind="error"
			role="alert"
			title={say(texts.notSaved)}
			subtitle="{where ?? placeText(misfit)} {misfit.message}"
		/>
	{:else if saved}
		<InlineNotification
			lowContrast
			hideCloseButton
			kind="success"
			role="status"
			title={say(texts.saved)}
		/>
	{/if}
	{#if draft?.isUnkept}
		<p class="ask" role="alert">
			{say(texts.noRoomToKeep)}
		</p>
	{/if}
	{#if draft?.isBack}
		<p class="ask" role="status">
			{say(texts.yourUnsavedChangesAreBack)}
			<button type="button" class="link" onclick={() => draft.discard()}
				>{say(texts.discardThem)}</button
			>
		</p>
	{/if}
</div>

<style>
	.ask {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 16px;
		align-items: baseline;
		padding: 8px 12px;
		margin-bottom: 10px;
		border: 1px solid var(--ink);
		font-size: 14px;
	}
</style>
