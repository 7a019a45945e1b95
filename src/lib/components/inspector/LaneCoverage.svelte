<script lang="ts">
	import { besideLane } from '$core/season';
	import type { Evaluation } from '$core/playing';
	import type { Lane } from '$core/model/practice';
	import Fold from '../page/Fold.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/inspector';

	/** What the players of a unit's lane get of each skill in this practice: what nobody covers comes first. */
	let { evaluation, lane, isOpen }: { evaluation: Evaluation; lane: Lane; isOpen: boolean } =
		$props();

	const say = useWords();
	const name = (id: string) =>
		evaluation.context.team.skillAreas.find((area) => area.id === id)?.name ?? id;
	const areas = $derived(
		besideLane(evaluation, lane).map(({ area, here, elsewhere }) => ({
			area,
			here: Math.round(here),
			elsewhere: Math.round(elsewhere)
		}))
	);
</script>

<Fold summary={say(texts.laneCovers)} {isOpen}>
	<table>
		<thead>
			<tr>
				<th scope="col"><span class="unseen">{say(texts.skill)}</span></th>
				<th scope="col">{say(texts.inThisLane)}</th>
				<th scope="col">{say(texts.inTheRest)}</th>
			</tr>
		</thead>
		<tbody>
			{#each areas as { area, here, elsewhere } (area)}
				<tr class:covered={elsewhere > 0}>
					<th scope="row">{name(area)}</th>
					<td>{here > 0 ? say(texts.min, { minutes: here }) : '–'}</td>
					<td>{elsewhere > 0 ? say(texts.min, { minutes: elsewhere }) : '–'}</td>
				</tr>
			{/each}
		</tbody>
	</table>
</Fold>

<style>
	table {
		border-collapse: collapse;
		width: 100%;
		font-size: 13px;
	}
	th,
	td {
		padding: 2px 4px 2px 0;
		border-bottom: 1px solid var(--rule);
		text-align: left;
	}
	td {
		text-align: right;
	}
	thead th {
		font-size: 11px;
		text-align: right;
	}
	tbody th {
		font-weight: 700;
	}
	.covered > * {
		color: var(--ink-soft);
		font-weight: 400;
	}
</style>
