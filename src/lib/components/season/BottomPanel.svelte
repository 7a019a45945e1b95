<script lang="ts">
	import { tick, type Snippet } from 'svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/season';

	/** What was opened on a page of the season, over its foot: Escape closes it. */
	let {
		title,
		head,
		onclose,
		children
	}: {
		title: string;
		/** What stands beside the title. */
		head?: Snippet;
		onclose: () => void;
		children: Snippet;
	} = $props();

	const say = useWords();

	function onkeydown(event: KeyboardEvent) {
		if (event.key === 'Escape') onclose();
	}
	function focusIt(node: HTMLElement) {
		void tick().then(() => node.focus({ preventScroll: true }));
	}
</script>

<svelte:window {onkeydown} />
<aside aria-label={title}>
	<header>
		<h2 tabindex="-1" {@attach focusIt}>{title}</h2>
		{@render head?.()}
		<button type="button" class="link" onclick={onclose}>{say(texts.close)}</button>
	</header>
	{@render children()}
</aside>

<style>
	aside {
		position: fixed;
		inset: auto 0 0;
		z-index: 20;
		max-height: 50vh;
		overflow-y: auto;
		padding: 10px 16px 14px;
		background: #fff;
		border-top: 3px solid var(--ink);
	}
	header {
		display: flex;
		flex-wrap: wrap;
		gap: 2px 20px;
		align-items: baseline;
		padding-bottom: 6px;
	}
	h2 {
		font-size: 16.5px;
		font-weight: 750;
		outline: none;
	}
	.link {
		margin-left: auto;
	}
</style>
