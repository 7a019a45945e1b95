<script lang="ts" generics="Row extends TypedRow">
	import { Button } from 'carbon-components-svelte';
	import { enhance } from '$app/forms';
	import { keepTyped } from '../page/keepTyped';
	import Outcome from '../page/Outcome.svelte';
	import { useWording } from '../page/wording.svelte';
	import type { Column, TypedRow } from './columns';
	import TypedTable from './TypedTable.svelte';
	import type { TypedRows } from './typedRows.svelte';

	/** Rows that are typed in and saved together: the table, what became of it, and the button. */
	let {
		table,
		columns,
		answer,
		nameOf,
		linkOf,
		save,
		empty,
		action,
		onremove = table.remove
	}: {
		table: TypedRows<Row>;
		columns: readonly Column<Row>[];
		/** What the action answered. */
		answer: { misfit?: { path: string; message: string }; saved?: unknown } | null | undefined;
		/** How a row is called; empty for a new one. */
		nameOf: (row: Row) => string;
		linkOf?: (row: Row) => { href: string; text: string } | null;
		/** The words of the button. */
		save: string;
		/** What is said while there is no row. */
		empty: string;
		action?: string;
		onremove?: (row: Row) => void;
	} = $props();

	const w = useWording();
	const fault = $derived(table.faultAt(answer?.misfit?.path));
	const blamed = $derived(fault && table.named.find(({ key }) => key === fault.key));
	const where = $derived(
		fault ? `${(blamed && nameOf(blamed)) || 'A row'}, ${fault.field}:` : undefined
	);
</script>

<Outcome misfit={answer?.misfit} {where} saved={answer?.saved !== undefined && !table.isChanged} />
{#if table.rows.length === 0}
	<p>{w(empty)}</p>
{:else}
	<TypedTable
		rows={table.rows}
		{columns}
		{fault}
		nameOf={(row) => nameOf(row) || 'a new row'}
		{linkOf}
		onchange={table.change}
		onadd={table.add}
		{onremove}
	/>
{/if}
<form method="POST" {action} use:enhance={keepTyped}>
	<input type="hidden" name="rows" value={table.json} />
	<Button type="submit" disabled={!table.isChanged}>{w(save)}</Button>
</form>

<style>
	p {
		font-size: 15px;
		padding: 20px 0;
	}
	form {
		padding-top: 16px;
	}
</style>
