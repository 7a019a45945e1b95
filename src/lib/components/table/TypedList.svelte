<script lang="ts" generics="Row extends TypedRow & { name?: string }">
	import { Button } from 'carbon-components-svelte';
	import type { Snippet } from 'svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/table';
	import type { Column, TypedRow } from './columns';
	import TypedTable from './TypedTable.svelte';
	import type { TypedRows } from './typedRows.svelte';

	/** A list that is typed in: what it is, its rows, and a way to add one. */
	let {
		title,
		says,
		add,
		table,
		columns,
		fault,
		isOrdered = false,
		ways
	}: {
		title: string;
		says?: string;
		add: string;
		table: TypedRows<Row>;
		columns: readonly Column<Row>[];
		fault: { key: string | undefined; field: string } | null;
		/** Whether the order of its rows says something, and can be changed. */
		isOrdered?: boolean;
		/** More that can be done with the list. */
		ways?: Snippet;
	} = $props();

	const say = useWords();
	/** What a row is called: its first cell, as it is chosen or typed. */
	function nameOf(row: Row): string {
		const value = columns[0].value(row);
		const chosen = columns[0].options?.find(({ id }) => id === value)?.name;
		return row.name || chosen || value || say(texts.aNewOne);
	}
</script>

<section>
	<h2>{title}</h2>
	{#if says}<p>{says}</p>{/if}
	{#if table.rows.length > 0}
		<TypedTable
			rows={table.rows}
			{columns}
			{fault}
			{nameOf}
			onchange={table.change}
			onadd={table.add}
			onremove={table.remove}
			onup={isOrdered ? table.up : undefined}
		/>
	{/if}
	<div class="ways">
		<Button kind="ghost" size="small" type="button" on:click={table.add}>{add}</Button>
		{@render ways?.()}
	</div>
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
	.ways {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 18px;
		align-items: center;
	}
	.ways > :global(a) {
		font-size: 14px;
		font-weight: 600;
		color: var(--action);
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
