<script lang="ts">
	import type { GamePlan } from '$core/model/practice';
	import type { Context } from '$core/practice';
	import { placesOf } from './places';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/lineup';

	const say = useWords();

	/** A line-up as a table: a row a place, a column a shift, and who sits at the foot. */
	let { lineup, context }: { lineup: GamePlan; context: Context } = $props();

	const name = (id: string | undefined) => {
		if (id === undefined) return '';
		return context.playerById.get(id)?.name ?? (id === 'filler' ? 'adult' : id);
	};
	const places = $derived(placesOf(lineup, context.team, say));
</script>

<div class="scroll">
	<table>
		<thead>
			<tr>
				<th scope="col">{say(texts.place)}</th>
				{#each lineup.shifts.keys() as shift (shift)}<th scope="col"
						>{say(texts.shift, { shift: shift + 1 })}</th
					>{/each}
			</tr>
		</thead>
		<tbody>
			{#each places as { key, words } (key)}
				<tr>
					<th scope="row">{words}</th>
					{#each lineup.shifts as { at }, shift (shift)}<td>{name(at[key])}</td>{/each}
				</tr>
			{/each}
			<tr class="sits">
				<th scope="row">{say(texts.sit)}</th>
				{#each lineup.shifts as { sit }, shift (shift)}<td>{sit.map(name).join(', ')}</td>{/each}
			</tr>
		</tbody>
	</table>
</div>

<style>
	.scroll {
		overflow-x: auto;
	}
	table {
		border-collapse: collapse;
		min-width: 100%;
	}
	th,
	td {
		text-align: left;
		vertical-align: top;
		padding: 3px 10px 3px 0;
		border-bottom: 1px solid var(--rule);
		font-size: 13px;
		line-height: 1.3;
	}
	tbody th {
		white-space: nowrap;
		font-weight: 600;
	}
	thead th {
		border-bottom-color: var(--ink);
		font-weight: 700;
	}
	.sits td {
		color: var(--ink-soft);
		font-size: 12px;
		min-width: 120px;
	}
</style>
