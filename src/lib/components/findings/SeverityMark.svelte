<script lang="ts">
	import type { Severity } from '$core/checks';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/findings';

	const say = useWords();

	/** A shape for each severity, so that colour is not needed to tell them apart. */
	let { severity }: { severity: Severity } = $props();
	const WORDS: Record<Severity, string> = {
		stop: say(texts.mustBeFixed),
		warn: 'hurts',
		hint: say(texts.couldBeBetter)
	};
</script>

<svg width="16" height="16" viewBox="0 0 16 16" role="img" aria-label={WORDS[severity]}>
	{#if severity === 'stop'}
		<path d="M5 1h6l4 4v6l-4 4H5l-4-4V5z" fill="var(--stop)" />
	{:else if severity === 'warn'}
		<path d="M8 1.5L15 14.5H1z" fill="var(--wait)" />
	{:else}
		<circle cx="8" cy="8" r="5.5" fill="none" stroke="var(--action)" stroke-width="2.5" />
	{/if}
</svg>

<style>
	svg {
		margin-top: 1px;
	}
</style>
