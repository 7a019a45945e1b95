<script lang="ts">
	import type { Snippet } from 'svelte';
	import { SECTIONS } from './pages';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/page';

	/** The black bar: where one is, whose team it is, whether all is saved. */
	let {
		team,
		current,
		children
	}: {
		/** The team that is worked on; none where teams are chosen. */
		team?: { id: string; name: string };
		/** The section or the page that is looked at. */
		current: string;
		children?: Snippet;
	} = $props();

	const say = useWords();
</script>

<header>
	<a class="brand wide" href="/">{say(texts.brand)}</a>
	<nav aria-label={say(texts.main)}>
		<a href="/teams" aria-current={current === 'teams' ? 'page' : undefined}>{say(texts.teams)}</a>
		{#if team}
			{#each SECTIONS as { id, name } (id)}
				<a href="/{team.id}/{id}" aria-current={current === id ? 'page' : undefined}>{say(name)}</a>
				{#if id === 'practices' && current === 'board'}
					<span aria-current="page">{say(texts.practice)}</span>
				{/if}
			{/each}
		{/if}
		<a href="/data" aria-current={current === 'data' ? 'page' : undefined}>{say(texts.data)}</a>
	</nav>
	<p>
		{#if children}<span class="state">{@render children()}</span>{/if}
		{#if team}<a href="/teams" title={say(texts.allTeams)}>{team.name}</a>{/if}
	</p>
</header>

<style>
	header {
		background: var(--ink);
		color: var(--chalk);
		display: flex;
		align-items: stretch;
		gap: 22px;
		padding: 0 16px;
		min-height: 40px;
		overflow: hidden;
	}
	a,
	span {
		color: var(--chalk);
		text-decoration: none;
	}
	.brand {
		font-weight: 800;
		font-size: 15.5px;
		display: flex;
		align-items: center;
		white-space: nowrap;
	}
	nav {
		display: flex;
		gap: 20px;
		min-width: 0;
		overflow-x: auto;
		/* Shadows at the ends show that there is more: they are covered where there is none. */
		background:
			linear-gradient(to right, var(--ink) 40%, transparent) left / 36px 100% no-repeat local,
			linear-gradient(to left, var(--ink) 40%, transparent) right / 36px 100% no-repeat local,
			linear-gradient(to right, rgb(255 255 255 / 55%), transparent) left / 14px 100% no-repeat
				scroll,
			linear-gradient(to left, rgb(255 255 255 / 55%), transparent) right / 14px 100% no-repeat
				scroll;
	}
	nav > * {
		display: flex;
		align-items: center;
		border-bottom: 3px solid transparent;
		border-top: 3px solid transparent;
	}
	nav > :hover {
		border-bottom-color: var(--rule);
	}
	[aria-current='page'] {
		border-bottom-color: var(--chalk);
	}
	p {
		flex-shrink: 0;
		max-width: 45%;
		margin-left: auto;
		align-self: center;
		font-size: 12.5px;
		text-align: right;
		white-space: nowrap;
		overflow: hidden;
		text-overflow: ellipsis;
	}
	@media (max-width: 560px) {
		p > a {
			display: none;
		}
		.state::after {
			display: none;
		}
	}
	.state::after {
		content: '·';
		padding: 0 6px;
	}
	header :focus-visible {
		outline-color: var(--chalk);
	}
</style>
