<script lang="ts">
	import { onMount } from 'svelte';
	import { beforeNavigate, goto } from '$app/navigation';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/page';

	const say = useWords();

	/** Asks before a page with unsaved changes is left; they stay kept in this browser all the same. */
	let {
		draft,
		says = say(texts.theyAreKeptInThisBrowser)
	}: { draft: { isOpen: boolean; flush?(): void; leave(): void }; says?: string } = $props();

	let isAllowed = false;
	let leaving: { url: URL; delta: number | undefined } | null = $state.raw(null);

	beforeNavigate(({ cancel, type, to, delta, willUnload }) => {
		if (isAllowed || !draft.isOpen || type === 'form') return;
		// The browser asks by itself before a page is left for another site or closed.
		cancel();
		draft.flush?.();
		if (!willUnload && to) leaving = { url: to.url, delta };
	});
	function leave() {
		const way = leaving;
		leaving = null;
		isAllowed = true;
		draft.leave();
		if (way?.delta !== undefined) history.go(way.delta);
		else if (way) goto(way.url);
	}
	const stay = () => (leaving = null);

	/** The dialog itself is fetched once the page is there: whoever leaves may have no network by then. */
	const load = () => import('./LeaveModal.svelte');
	onMount(() => void load().catch(() => undefined));
</script>

{#if leaving}
	{#await load() then { default: LeaveModal }}
		<LeaveModal {says} onstay={stay} onleave={leave} />
	{/await}
{/if}
