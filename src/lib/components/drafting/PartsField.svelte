<script lang="ts">
	import { useWords } from '$lib/components/page/words.svelte';
	import TypedTable from '../table/TypedTable.svelte';
	import type { DrillDraft } from './draft.svelte';
	import { partColumns, partRows, type Offered, type PartRow, type PartTable } from './partRows';

	/** A field of a drill that is a list of parts, a row each. */
	let { draft, table, offered }: { draft: DrillDraft; table: PartTable; offered: Offered } =
		$props();

	const say = useWords();
	let rows: PartRow[] = $derived(
		draft.asTyped((drill, calling) => partRows(table, drill, calling))
	);
	const columns = $derived(
		partColumns(table, draft.typed, { calling: draft.calling, say, offered })
	);
	function keep(next: PartRow[]) {
		rows = next;
		draft.set(table.change(rows, draft.typed, draft.calling));
	}
	const add = () =>
		keep([...rows, { ...table.fresh, key: draft.newKey(`new-${table.field}`) } as PartRow]);
</script>

{#if rows.length > 0}
	<TypedTable
		{rows}
		{columns}
		nameOf={(row) => row[table.names] || say(table.aNewOne)}
		onchange={(index, row) => keep(rows.with(index, row))}
		onadd={add}
		onremove={(row) => keep(rows.filter(({ key }) => key !== row.key))}
	/>
{/if}
<button type="button" class="link" onclick={add}>{say(table.add)}</button>

<style>
	.link {
		justify-self: start;
	}
</style>
