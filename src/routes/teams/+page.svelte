<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import Page from '$lib/components/page/Page.svelte';
	import RemoveDialog from '$lib/components/page/RemoveDialog.svelte';
	import type { PageData } from './$types';

	let { data }: { data: PageData } = $props();

	let leaving = $state<{ id: string; name: string } | null>(null);
	const count = (number: number, one: string, many: string) =>
		number === 1 ? `1 ${one}` : `${number} ${many}`;
</script>

<Page current="teams" title="Teams" intro="Each has its own squad, ground, drills and practices.">
	{#snippet ways()}
		<Button size="small" href="/teams/new">New team</Button>
	{/snippet}
	<ul>
		{#each data.teams as team (team.id)}
			<li>
				<a href="/{team.id}/practices">{team.name}</a>
				<span>{team.sport}</span>
				<span>{count(team.players, 'player', 'players')}</span>
				<span>{count(team.practices, 'practice', 'practices')}</span>
				<span>{team.isDemo ? 'made up, to try things' : ''}</span>
				<button
					class="link"
					aria-label="Remove {team.name}"
					onclick={() => (leaving = { id: team.id, name: team.name })}>Remove</button
				>
			</li>
		{:else}
			<li class="empty">
				There is no team yet. <a href="/teams/new">Create the first one</a>: its name, its sport,
				and who plays.
			</li>
		{/each}
	</ul>
</Page>

{#if leaving}
	<RemoveDialog
		what={leaving.name}
		says="Its squad, drills, practices and what was counted go with it. Under Data it can be kept first."
		field="team"
		value={leaving.id}
		button="Remove the team and all of it"
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
