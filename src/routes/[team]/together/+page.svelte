<script lang="ts">
	import Page from '$lib/components/page/Page.svelte';
	import { useWording } from '$lib/components/page/wording.svelte';
	import Matrix from '$lib/components/together/Matrix.svelte';
	import type { PageData } from './$types';

	let { data }: { data: PageData } = $props();

	const w = useWording();
	const NAMED = 12;
	let isWhole = $state(false);

	const byId = $derived(new Map(data.players.map((player) => [player.id, player])));
	function nameOf(id: string) {
		const player = byId.get(id);
		return {
			name: player?.name ?? id,
			short: player?.number === undefined ? (player?.name ?? id).slice(0, 2) : String(player.number)
		};
	}
	const { pairs } = $derived(data.together);
	const never = $derived(pairs.filter(({ times }) => times === 0).length);
	const shown = $derived(isWhole ? pairs : pairs.slice(0, NAMED));
	const intro = $derived(
		`${data.held} practices were held. A square is larger the more minutes two were in a group together; who worked together most stands side by side; a ring has never met.`
	);
</script>

<Page team={data.team} current="together" title="Who has worked with whom" {intro}>
	{#if data.players.length < 2}
		<p class="empty">
			{w('With two players in the squad this begins to say something.')}
			<a href="/{data.team.id}/squad">{w('Add players')}</a>
		</p>
	{:else}
		<div class="columns">
			<div class="matrix"><Matrix together={data.together} {nameOf} /></div>
			<section>
				<h2>Least met: {never} of {pairs.length} pairs never</h2>
				<table>
					<thead>
						<tr>
							<th scope="col">One</th><th scope="col">The other</th>
							<th scope="col">times</th><th scope="col">min</th>
						</tr>
					</thead>
					<tbody>
						{#each shown as { a, b, times, minutes } (`${a} ${b}`)}
							<tr>
								<td>{nameOf(a).name}</td>
								<td>{nameOf(b).name}</td>
								<td>{times}</td>
								<td>{minutes}</td>
							</tr>
						{/each}
					</tbody>
				</table>
				{#if pairs.length > NAMED}
					<button class="link" onclick={() => (isWhole = !isWhole)}>
						{isWhole ? `Only the ${NAMED} least met` : `All ${pairs.length} pairs as a table`}
					</button>
				{/if}
				<p>{w('Groups of the kind "fresh" on the board put these together first.')}</p>
			</section>
		</div>
	{/if}
</Page>

<style>
	.columns {
		display: grid;
		grid-template-columns: minmax(0, auto) minmax(300px, 1fr);
		gap: 28px;
		align-items: start;
	}
	.matrix {
		min-width: 0;
	}
	h2 {
		font-size: 15px;
		font-weight: 700;
		padding-bottom: 8px;
		border-bottom: 1px solid var(--ink);
	}
	table {
		border-collapse: collapse;
		width: 100%;
	}
	th,
	td {
		font-size: 13px;
		text-align: left;
		padding: 4px 10px 4px 0;
		border-bottom: 1px solid var(--rule);
	}
	th {
		font-weight: 700;
	}
	th:nth-child(n + 3),
	td:nth-child(n + 3) {
		text-align: right;
	}
	section p {
		color: var(--ink-soft);
		font-size: 13px;
		padding-top: 6px;
	}
	.empty {
		font-size: 15px;
		padding: 20px 0;
	}
	.empty a {
		font-weight: 600;
		color: var(--action);
	}
	@media (max-width: 1100px) {
		.columns {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
