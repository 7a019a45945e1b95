<script lang="ts" generics="Row extends TypedRow">
	import type { Misfit } from '$core/base';
	import { Button } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import { invalidateAll } from '$app/navigation';
	import { page } from '$app/state';
	import { FormDraft } from '$lib/state/formDraft.svelte';
	import DraftForm from '../page/DraftForm.svelte';
	import Outcome from '../page/Outcome.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/table';
	import type { Column, TypedRow } from './columns';
	import TypedTable from './TypedTable.svelte';
	import type { TypedRows } from './typedRows.svelte';

	/** Rows that are typed in and saved together: the table, what became of it, and the button. */
	let {
		table,
		columns,
		stamp,
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
		/** Stamp of what is stored, as the page was read. */
		stamp: string;
		/** What the action answered. */
		answer: { misfit?: Misfit & { newest?: string }; saved?: unknown } | null | undefined;
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

	const say = useWords();
	let form: HTMLFormElement | undefined = $state();
	const draft = new FormDraft<readonly Row[]>({
		say,
		about: untrack(() => page.url.pathname),
		stamp: () => stamp,
		read: () => table.rows,
		write: (rows) => table.restore(rows),
		isChanged: () => table.isChanged,
		reload: invalidateAll
	});
	const fault = $derived(table.faultAt(answer?.misfit?.path));
	const blamed = $derived(fault && table.named.find(({ key }) => key === fault.key));
	const where = $derived(
		fault ? `${(blamed && nameOf(blamed)) || say(texts.aRow)}, ${fault.field}:` : undefined
	);
</script>

<Outcome
	misfit={answer?.misfit}
	{where}
	saved={answer?.saved !== undefined && !table.isChanged}
	{draft}
	{form}
/>
{#if table.rows.length === 0}
	<p>{empty}</p>
{:else}
	<TypedTable
		rows={table.rows}
		{columns}
		{fault}
		nameOf={(row) => nameOf(row) || say(texts.aNewRow)}
		{linkOf}
		onchange={table.change}
		onadd={table.add}
		{onremove}
	/>
{/if}
<DraftForm {draft} {action} bind:form class="save">
	<input type="hidden" name="rows" value={table.json} />
	<Button type="submit" disabled={!table.isChanged}>{save}</Button>
</DraftForm>

<style>
	p {
		font-size: 15px;
		padding: 20px 0;
	}
	:global(form.save) {
		padding-top: 16px;
	}
</style>
