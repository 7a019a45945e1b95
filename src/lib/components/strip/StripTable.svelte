<script lang="ts">
	import type { Evaluation, PlayerFigures } from '$core/playing';
	import { percent } from '../tape/words';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/strip';

	/** The strip as numbers, a row a player. */
	let { evaluation, rows }: { evaluation: Evaluation; rows: readonly PlayerFigures[] } = $props();

	const say = useWords();
	const player = (id: string) => evaluation.context.playerById.get(id);
	const minutes = (seconds: number) => (seconds / 60).toFixed(0);
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex (a region that scrolls is reached by keyboard) -->
<div class="table" role="region" aria-label={say(texts.playersInNumbers)} tabindex="0">
	<table>
		<thead>
			<tr>
				<th scope="col">{say(texts.player)}</th>
				<th scope="col">{say(texts.no)}</th>
				<th scope="col">{say(texts.turns)}</th>
				<th scope="col">{say(texts.busy)}</th>
				<th scope="col">{say(texts.worksMin)}</th>
				<th scope="col">{say(texts.helpsMin)}</th>
				<th scope="col">{say(texts.waitsMin)}</th>
				<th scope="col">{say(texts.listensMin)}</th>
			</tr>
		</thead>
		<tbody>
			{#each rows as row (row.player)}
				<tr>
					<th scope="row">{player(row.player)?.name ?? row.player}</th>
					<td>{player(row.player)?.number ?? ''}</td>
					<td>{row.turns}</td>
					<td>{percent(row.busyShare)}</td>
					<td>{minutes(row.seconds.active)}</td>
					<td>{minutes(row.seconds.help)}</td>
					<td>{minutes(row.seconds.wait)}</td>
					<td>{minutes(row.seconds.listen)}</td>
				</tr>
			{/each}
		</tbody>
	</table>
</div>

<style>
	.table {
		overflow: auto;
		min-height: 0;
	}
	table {
		border-collapse: collapse;
		font-size: 12.5px;
		width: 100%;
	}
	th,
	td {
		padding: 2px 8px;
		text-align: right;
		white-space: nowrap;
	}
	th:first-child {
		text-align: left;
		font-weight: 600;
	}
	thead th {
		position: sticky;
		top: 0;
		background: var(--chalk);
		border-bottom: 1px solid var(--ink);
		font-weight: 600;
	}
	tbody tr:nth-child(even) {
		background: var(--chalk-deep);
	}
</style>
