<script lang="ts">
	import Page from '$lib/components/page/Page.svelte';
	import { useWording } from '$lib/components/page/wording.svelte';
	import Matrix from '$lib/components/together/Matrix.svelte';
	import type { PageData } from './$types';

	let { data }: { data: PageData } = $props();

	const w = useWording();
	const byId = $derived(new Map(data.players.map((player) => [player.id, player])));
	function nameOf(id: string) {
		const player = byId.get(id);
		return {
			name: player?.name ?? id,
			short: player?.number === undefined ? (player?.name ?? id).slice(0, 2) : String(player.number)
		};
	}
	const shown = $derived(data.together.pairs);
	/** The address of a part of the matrix, with all pairs or the first ones. */
	const pageOf = (part: number, isWhole: boolean) =>
		`?${new URLSearchParams({ part: String(part), ...(isWhole && { all: '' }) })}`;
	const tableSize = $derived(
		data.pairs > data.mostPairs ? `The ${data.mostPairs} least met` : `All ${data.pairs}`
	);
	const parts = $derived(Array.from({ length: data.parts }, (_, k) => k + 1));
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
			<div class="matrix">
				{#if data.parts > 1}
					<nav aria-label={w('Parts of the squad')}>
						{w('The squad in parts, who worked together most in one:')}
						{#each parts as part (part)}
							<a
								href={pageOf(part, data.isWhole)}
								aria-current={part === data.part ? 'page' : undefined}
								data-sveltekit-noscroll>{part}</a
							>
						{/each}
					</nav>
				{/if}
				<Matrix together={data.together} {nameOf} />
			</div>
			<section>
				<h2>Least met: {data.never} of {data.pairs} pairs never</h2>
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
				{#if data.pairs > shown.length || data.isWhole}
					<a class="link" href={pageOf(data.part, !data.isWhole)} data-sveltekit-noscroll>
						{data.isWhole ? 'Only the least met' : `${tableSize} pairs as a table`}
					</a>
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
	section > .link {
		display: inline-block;
		padding-top: 10px;
	}
	nav {
		font-size: 13.5px;
		padding-bottom: 8px;
	}
	nav a {
		display: inline-block;
		min-width: 28px;
		padding: 4px 6px;
		text-align: center;
		color: var(--action);
		font-weight: 600;
	}
	nav a[aria-current] {
		background: var(--ink);
		color: var(--chalk);
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
