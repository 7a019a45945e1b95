<script lang="ts">
	import type { Evaluation, PlayerFigures } from '$core/playing';
	import { percent } from '../tape/words';
	import { useWording } from '../page/wording.svelte';

	/** The strip as numbers, a row a player. */
	let { evaluation, rows }: { evaluation: Evaluation; rows: readonly PlayerFigures[] } = $props();

	const w = useWording();
	const player = (id: string) => evaluation.context.playerById.get(id);
	const minutes = (seconds: number) => (seconds / 60).toFixed(0);
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex (a region that scrolls is reached by keyboard) -->
<div class="table" role="region" aria-label={w('Players in numbers')} tabindex="0">
	<table>
		<thead>
			<tr>
				<th scope="col">{w('Player')}</th>
				<th scope="col">No.</th>
				<th scope="col">{w('Turns')}</th>
				<th scope="col">Busy</th>
				<th scope="col">Works, min</th>
				<th scope="col">Helps, min</th>
				<th scope="col">Waits, min</th>
				<th scope="col">Listens, min</th>
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
