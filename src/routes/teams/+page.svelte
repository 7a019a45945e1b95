<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import Page from '$lib/components/page/Page.svelte';
	import RemoveDialog from '$lib/components/page/RemoveDialog.svelte';
	import type { PageData } from './$types';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/teams';

	const say = useWords();

	let { data }: { data: PageData } = $props();

	let leaving = $state<{ id: string; name: string } | null>(null);
	const count = (number: number, one: string, many: string) =>
		say(texts.numberMany, { number, one, many });
</script>

<Page current="teams" title={say(texts.teams)} intro={say(texts.eachHasItsOwnSquadGround)}>
	{#snippet ways()}
		<Button size="small" href="/teams/new">{say(texts.newTeam)}</Button>
	{/snippet}
	<ul>
		{#each data.teams as team (team.id)}
			<li>
				<a href="/{team.id}/season">{team.name}</a>
				<span>{team.sport}</span>
				<span>{count(team.players, 'player', 'players')}</span>
				<span>{count(team.practices, 'practice', 'practices')}</span>
				<span>{team.isDemo ? say(texts.madeUpToTryThings) : ''}</span>
				<button
					class="link"
					aria-label={say(texts.removeNamed, { name: team.name })}
					onclick={() => (leaving = { id: team.id, name: team.name })}>{say(texts.remove)}</button
				>
			</li>
		{:else}
			<li class="empty">
				{say(texts.thereIsNoTeamYet)} <a href="/teams/new">{say(texts.createTheFirstOne)}</a>{say(
					texts.itsNameItsSportAndWho
				)}
			</li>
		{/each}
	</ul>
</Page>

{#if leaving}
	<RemoveDialog
		what={leaving.name}
		says={say(texts.itsSquadDrillsPracticesAndWhat)}
		field="team"
		value={leaving.id}
		button={say(texts.removeTheTeamAndAllOf)}
		onclose={() => (leaving = null)}
	/>
{/if}

<style>
	li {
		display: grid;
		grid-template-columns: 2fr 1.2fr 0.8fr 0.8fr 1.2fr auto;
		gap: 4px 16px;
		align-items: baseline;
		padding: 11px 0;
		border-bottom: 1px solid var(--rule);
	}
	li.empty {
		display: block;
		font-size: 15px;
	}
	li a {
		font-weight: 700;
		font-size: 15px;
		color: var(--action);
	}
	.link {
		font-weight: 600;
		font-size: 13px;
		padding: 0;
	}
	@media (max-width: 672px) {
		li {
			grid-template-columns: 1fr 1fr;
		}
		li a {
			grid-column: 1 / -1;
		}
	}
</style>
