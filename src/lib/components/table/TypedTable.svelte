<script lang="ts" generics="Row extends TypedRow">
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/table';
	import type { Column, TypedRow } from './columns';

	/** A table to type in: Enter goes to the next row, on the last one it adds another. */
	let {
		rows,
		columns,
		fault,
		nameOf,
		linkOf,
		onchange,
		onadd,
		onremove,
		onup
	}: {
		rows: readonly Row[];
		columns: readonly Column<Row>[];
		/** The row and the column that were refused. */
		fault?: { key: string | undefined; field: string } | null;
		nameOf: (row: Row) => string;
		/** A page with more of a row. */
		linkOf?: (row: Row) => { href: string; text: string } | null;
		onchange: (index: number, row: Row) => void;
		onadd: () => void;
		onremove: (row: Row) => void;
		/** Moves a row before the one above it, where their order says something. */
		onup?: (row: Row) => void;
	} = $props();

	const say = useWords();
	const own = $props.id();

	function down(event: KeyboardEvent, index: number, column: string) {
		if (event.key !== 'Enter') return;
		event.preventDefault();
		const next = rows[index + 1];
		if (next) document.getElementById(`${next.key}-${column}`)?.focus();
		else onadd();
	}
	const isWrong = (row: Row, { id }: Column<Row>) =>
		fault?.key === row.key && fault.field === id ? true : undefined;
</script>

{#snippet cell(column: Column<Row>, row: Row, index: number)}
	{@const id = `${row.key}-${column.id}`}
	{@const label = column.label(row)}
	{@const write = (typed: string) => onchange(index, column.set(row, typed))}
	{#if column.kind === 'fact'}
		{column.value(row)}
	{:else if column.kind === 'choice'}
		<select
			{id}
			aria-label={label}
			value={column.value(row)}
			onchange={(event) => write(event.currentTarget.value)}
		>
			{#if !column.isNeeded}<option value="">{say(texts.none)}</option>{/if}
			{#each column.options ?? [] as option (option.id)}
				<option value={option.id}>{option.name}</option>
			{/each}
		</select>
	{:else if column.kind === 'tick'}
		<input
			{id}
			type="checkbox"
			aria-label={label}
			checked={column.value(row) === 'yes'}
			onchange={(event) => write(event.currentTarget.checked ? 'yes' : '')}
		/>
	{:else}
		<input
			{id}
			class:short={column.kind === 'number'}
			class:strong={column.isStrong}
			style:min-width={column.least ? `${column.least}px` : undefined}
			type={column.kind === 'date' || column.kind === 'time' ? column.kind : 'text'}
			inputmode={column.kind === 'number' ? 'decimal' : undefined}
			maxlength="2000"
			list={column.suggestions?.length ? `${own}-${column.id}` : undefined}
			aria-label={label}
			aria-invalid={isWrong(row, column)}
			placeholder={column.hint}
			value={column.value(row)}
			oninput={(event) => write(event.currentTarget.value)}
			onkeydown={(event) => down(event, index, column.id)}
		/>
	{/if}
{/snippet}

{#each columns as { id, suggestions = [] } (id)}
	{#if suggestions.length > 0}
		<datalist id="{own}-{id}">
			{#each suggestions as each (each)}<option value={each}></option>{/each}
		</datalist>
	{/if}
{/each}
<div class="scroll">
	<table>
		<thead>
			<tr>
				{#each columns as { id, heading, hint, kind } (id)}
					<th scope="col" class={kind} title={hint}>{heading}</th>
				{/each}
				{#if linkOf}<th scope="col"><span class="unseen">{say(texts.more)}</span></th>{/if}
				{#if onup}<th scope="col"><span class="unseen">{say(texts.up)}</span></th>{/if}
				<th scope="col"><span class="unseen">{say(texts.remove)}</span></th>
			</tr>
		</thead>
		<tbody>
			{#each rows as row, index (row.key)}
				<tr>
					{#each columns as column (column.id)}
						<td class={column.kind}>{@render cell(column, row, index)}</td>
					{/each}
					{#if linkOf}
						{@const link = linkOf(row)}
						<td>
							{#if link}<a
									href={link.href}
									aria-label={say(texts.of, { text: link.text, name: nameOf(row) })}>{link.text}</a
								>{/if}
						</td>
					{/if}
					{#if onup}
						<td>
							{#if index > 0}
								<button
									type="button"
									class="link"
									aria-label={say(texts.rowUp, { name: nameOf(row) })}
									onclick={() => onup(row)}>↑</button
								>
							{/if}
						</td>
					{/if}
					<td>
						<button
							type="button"
							class="link"
							aria-label={say(texts.removeRow, { name: nameOf(row) })}
							onclick={() => onremove(row)}>{say(texts.remove)}</button
						>
					</td>
				</tr>
			{/each}
		</tbody>
	</table>
</div>

<style>
	.scroll {
		position: relative;
		overflow-x: auto;
		border-top: 1px solid var(--ink);
	}
	table {
		border-collapse: collapse;
		width: 100%;
	}
	th {
		text-align: left;
		font-size: 12px;
		font-weight: 700;
		vertical-align: bottom;
		padding: 6px 6px 4px;
		white-space: nowrap;
	}
	td {
		padding: 0 2px;
		vertical-align: middle;
		border-bottom: 1px solid var(--rule);
	}
	input:not([type='checkbox']),
	select {
		width: 100%;
		min-width: 90px;
		min-height: 30px;
		border: 0;
		background: transparent;
		padding: 2px 4px;
		font: inherit;
		font-size: 13px;
		color: var(--ink);
	}
	input:hover,
	input:focus,
	select:hover {
		background: #fff;
	}
	input::placeholder {
		color: transparent;
	}
	input:focus::placeholder {
		color: var(--ink-soft);
	}
	input[aria-invalid] {
		box-shadow: inset 0 0 0 2px var(--stop);
	}
	input[type='checkbox'] {
		display: block;
		margin: 0 auto;
		width: 24px;
		height: 24px;
		accent-color: var(--action);
	}
	input.short:not([type='checkbox']) {
		min-width: 42px;
		width: 56px;
		text-align: right;
	}
	input.strong:not([type='checkbox']) {
		min-width: 160px;
		font-weight: 600;
	}
	.fact {
		font-size: 13px;
		text-align: right;
		padding-right: 12px;
	}
	.number {
		text-align: right;
	}
	th.tick {
		text-align: center;
	}
	a,
	.link {
		display: inline-flex;
		align-items: center;
		min-height: 28px;
		font-size: 13px;
		font-weight: 600;
		padding: 0 4px;
		color: var(--action);
	}
</style>
