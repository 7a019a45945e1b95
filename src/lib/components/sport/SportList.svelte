<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/sport';
	import type { Column } from '../table/columns';
	import TypedTable from '../table/TypedTable.svelte';
	import type { TypedRows } from '../table/typedRows.svelte';
	import type { SportRow } from './rows';

	/** A list of the sport: what it is, its rows, and a way to add one. */
	let {
		title,
		says,
		add,
		table,
		columns,
		fault
	}: {
		title: string;
		says?: string;
		add: string;
		table: TypedRows<SportRow>;
		columns: readonly Column<SportRow>[];
		fault: { key: string | undefined; field: string } | null;
	} = $props();

	const say = useWords();
	const nameOf = (row: SportRow) => columns[0].options?.find(({ id }) => id === row.position)?.name;
</script>

<section>
	<h2>{title}</h2>
	{#if says}<p>{says}</p>{/if}
	{#if table.rows.length > 0}
		<TypedTable
			rows={table.rows}
			{columns}
			{fault}
			nameOf={(row) => row.name || nameOf(row) || say(texts.aNewOne)}
			onchange={table.change}
			onadd={table.add}
			onremove={table.remove}
		/>
	{/if}
	<Button kind="ghost" size="small" type="button" on:click={table.add}>{add}</Button>
</section>

<style>
	section {
		display: grid;
		gap: 6px;
		min-width: 0;
		align-content: start;
		justify-items: start;
	}
	section > :global(.scroll) {
		width: 100%;
	}
	h2 {
		font-size: 16px;
		font-weight: 700;
	}
	p {
		font-size: 13px;
		color: var(--ink-soft);
		max-width: 70ch;
	}
</style>
