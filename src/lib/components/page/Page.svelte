<script lang="ts">
	import { onDestroy, type Snippet } from 'svelte';
	import TopBar from './TopBar.svelte';
	import { notice } from './notice.svelte';
	import { sectionOf } from './pages';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/page';

	/** The frame of a page: the bar, the pages of its section, what it is, and what can be done at once. */
	let {
		team,
		current,
		title,
		heading = title,
		intro,
		ways,
		narrow = false,
		wide = false,
		children
	}: {
		team?: { id: string; name: string };
		/** The page's id in `pages.ts`, or that of the bar. */
		current: string;
		title: string;
		heading?: string;
		intro?: string;
		/** Links and buttons beside the heading. */
		ways?: Snippet;
		/** For pages that are read rather than looked through. */
		narrow?: boolean;
		/** For pages that use all the room there is. */
		wide?: boolean;
		children: Snippet;
	} = $props();

	// What was not done on another page is no longer of interest here.
	onDestroy(() => (notice.text = ''));

	const say = useWords();
	const section = $derived(team && sectionOf(current));
</script>

<svelte:head><title>{say(texts.titleOfPage, { title: title })}</title></svelte:head>

<TopBar {team} current={section?.id ?? current} />
{#if team && section && section.pages.length > 1}
	<nav class="pages" aria-label={say(section.name)}>
		{#each section.pages as { id, name } (id)}
			<a href="/{team.id}/{id}" aria-current={id === current ? 'page' : undefined}>{say(name)}</a>
		{/each}
	</nav>
{/if}
<main class:slim={narrow} class:broad={wide}>
	<header class="head">
		<div>
			<h1 class="wide">{heading}</h1>
			{#if intro}<p>{intro}</p>{/if}
		</div>
		{#if ways}<div class="ways">{@render ways()}</div>{/if}
	</header>
	{#if notice.text}<p class="notice" role="alert">{notice.text}</p>{/if}
	{@render children()}
</main>

<style>
	.pages {
		position: relative;
		display: flex;
		gap: 20px;
		padding: 0 16px;
		border-bottom: 1px solid var(--rule);
		overflow-x: auto;
	}
	.pages a {
		flex: none;
		min-width: 26px;
		padding: 9px 0 7px;
		font-size: 13.5px;
		font-weight: 600;
		color: var(--ink-soft);
		text-decoration: none;
		border-bottom: 3px solid transparent;
		white-space: nowrap;
	}
	.pages a:hover {
		color: var(--ink);
		border-bottom-color: var(--rule);
	}
	.pages [aria-current='page'] {
		color: var(--ink);
		border-bottom-color: var(--ink);
	}
	main {
		padding: 14px 16px 40px;
		max-width: 1400px;
	}
	main.broad {
		max-width: none;
	}
	main.slim {
		max-width: 1040px;
	}
	.head {
		display: flex;
		flex-wrap: wrap;
		gap: 8px 20px;
		justify-content: space-between;
		align-items: end;
		padding-bottom: 12px;
	}
	h1 {
		font-size: 21px;
		font-weight: 750;
	}
	p {
		color: var(--ink-soft);
		font-size: 13px;
		line-height: 1.4;
		max-width: 76ch;
	}
	.notice {
		color: var(--stop);
		font-size: 14px;
		font-weight: 650;
		padding-bottom: 10px;
	}
	.ways {
		display: flex;
		flex-wrap: wrap;
		gap: 8px 18px;
		align-items: center;
	}
	.ways :global(a:not(.bx--btn)) {
		display: inline-flex;
		align-items: center;
		min-height: 28px;
		font-weight: 600;
		color: var(--action);
	}
</style>
