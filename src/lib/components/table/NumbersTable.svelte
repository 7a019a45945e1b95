<script lang="ts" generics="Row extends { id: string }">
	import { DataTable } from 'carbon-components-svelte';
	import type { ComponentProps } from 'svelte';

	/** Numbers to be read, a row for each of something: sorted by the column whose heading is pressed. */
	let {
		columns,
		rows,
		chosen,
		names = 1
	}: {
		/** `shown` says what stands in a cell; sorting goes by the value itself. */
		columns: readonly {
			key: keyof Row & string;
			heading: string;
			shown?: (row: Row) => string;
		}[];
		rows: readonly Row[];
		/** The id of a row that stands out. */
		chosen?: string;
		/** Columns at the left that hold names, 1 or 2: numbers stand at the right. */
		names?: 1 | 2;
	} = $props();

	const headers = $derived(columns.map(({ key, heading }) => ({ key, value: heading })));
	// The library wants every path through a row for a key; those of the columns are some of them.
	type Headers = ComponentProps<DataTable<Row>>['headers'];
	const shownBy = $derived(new Map(columns.map(({ key, shown }) => [key as string, shown])));
	const rowById = $derived(new Map(rows.map((row) => [row.id, row])));

	function text(key: string, id: string, value: unknown): string {
		const row = rowById.get(id);
		const shown = shownBy.get(key);
		return row && shown ? shown(row) : String(value ?? '');
	}
</script>

<div class="numbers" class:two={names === 2}>
	<DataTable
		sortable
		size="compact"
		headers={headers as unknown as Headers}
		rows={[...rows]}
		rowClass={({ row }) => (row.id === chosen ? 'chosen' : '')}
	>
		<svelte:fragment slot="cell" let:row let:cell>
			{text(cell.key, row.id, cell.value)}
		</svelte:fragment>
	</DataTable>
</div>

<style>
	.numbers {
		overflow-x: auto;
	}
	.numbers :global(.bx--data-table) {
		font-size: 13px;
	}
	.numbers :global(.bx--data-table-container) {
		padding-top: 0;
	}
	.numbers :global(th),
	.numbers :global(td) {
		background: none;
		padding: 0 8px;
		height: 25px;
		font-size: 13px;
		letter-spacing: 0;
		color: var(--ink);
		border-top: 0;
		border-bottom: 1px solid var(--rule);
	}
	.numbers :global(th) {
		position: sticky;
		top: 0;
		z-index: 1;
		padding: 0;
		background: var(--chalk);
		border-bottom-color: var(--ink);
	}
	.numbers :global(th .bx--table-sort) {
		background: none;
		min-height: 28px;
		padding: 0 8px;
		font-weight: 650;
		color: var(--ink);
	}
	.numbers :global(tr) {
		background: none;
	}
	.numbers :global(th),
	.numbers :global(td) {
		white-space: nowrap;
	}
	.numbers :global(th:not(:first-child) .bx--table-header-label) {
		width: 100%;
		text-align: right;
	}
	.numbers :global(td:not(:first-child)) {
		text-align: right;
	}
	.numbers.two :global(td:nth-child(2)),
	.numbers.two :global(th:nth-child(2) .bx--table-header-label) {
		text-align: left;
	}
	/* A heading has room for its words; the arrow comes with the sorting. */
	.numbers :global(.bx--table-sort__icon-unsorted) {
		width: 0;
		min-width: 0;
	}
	.numbers :global(tr.chosen td) {
		background: var(--chalk-deep);
		font-weight: 700;
	}
</style>
