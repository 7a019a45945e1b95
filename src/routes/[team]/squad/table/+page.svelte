<script lang="ts">
	import { Button, InlineNotification, Select, SelectItem } from 'carbon-components-svelte';
	import { enhance } from '$app/forms';
	import Page from '$lib/components/page/Page.svelte';
	import type { ActionData, PageData } from './$types';
	import { useWording } from '$lib/components/page/wording.svelte';
	import { stay } from '$lib/components/page/notice.svelte';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	const w = useWording();
	const reading = $derived(form && 'reading' in form ? form.reading : null);
	const message = $derived(form && 'message' in form ? form.message : '');
	const TAB = '\t';
	const DELIMITER = new Map([
		[',', 'commas'],
		[';', 'semicolons'],
		[TAB, 'tabs']
	]);
	const heading = (id: string) => data.team.skillAreas.find((area) => area.id === id)?.name ?? id;
</script>

<Page team={data.team} current="squad" title="Squad as a table file">
	<p>
		<a href="/{data.team.id}/squad/table/download" download="squad.csv"
			>{w('Take the squad out as CSV')}</a
		>, change it in any program for tables, and bring it back. Nothing is stored before you say so.
	</p>
	<form method="POST" action="?/look" enctype="multipart/form-data" use:enhance={stay}>
		<label class="file"
			>CSV file <input type="file" name="file" accept=".csv,.txt,text/csv" /></label
		>
		<Select id="delimiter" name="delimiter" labelText="Between cells" size="sm">
			<SelectItem value="" text="find out" />
			<SelectItem value="," text="commas" />
			<SelectItem value=";" text="semicolons" />
			<SelectItem value={TAB} text="tabs" />
		</Select>
		<Select id="encoding" name="encoding" labelText="Letters" size="sm">
			<SelectItem value="auto" text="find out" />
			<SelectItem value="utf-8" text="UTF-8" />
			<SelectItem value="windows-1252" text="Windows, western" />
			<SelectItem value="utf-16le" text="UTF-16" />
		</Select>
		<Button type="submit" size="small" kind="tertiary">Look at the file</Button>
		{#if reading && reading.wrong === 0 && reading.players > 0}
			<Button type="submit" size="small" formaction="?/store">
				Store {reading.players}
				{w('players')}
			</Button>
		{/if}
	</form>
	{#if message}
		<InlineNotification
			lowContrast
			hideCloseButton
			kind="error"
			title="Not stored."
			subtitle={message}
		/>
	{/if}
	{#if reading}
		<section aria-label="What the file holds">
			<p>
				{reading.players}
				{w('players,')}
				{reading.added} of them new, {DELIMITER.get(reading.delimiter) ?? reading.delimiter} between cells,
				letters as {reading.encoding}.
			</p>
			{#if reading.wrong > 0}
				<h2 class="wrong">{reading.wrong} things to put right in the file first</h2>
				<ul>
					{#each reading.faults as { line, column, message: words }, index (index)}
						<li>Line {line}{column ? `, ${column}` : ''}: {words}</li>
					{/each}
				</ul>
			{/if}
			<h2>Columns</h2>
			<ul>
				{#each reading.columns as { heading: found, takenFor }, index (index)}
					<li>“{found}” {takenFor ? `is ${heading(takenFor)}` : 'is left out'}</li>
				{/each}
			</ul>
			{#if reading.rows.length > 0}
				<h2>The first rows</h2>
				<div class="scroll">
					<table>
						<thead>
							<tr>
								<th scope="col">No.</th><th scope="col">Name</th><th scope="col">{w('Unit')}</th>
								<th scope="col">Positions</th>
								{#each data.team.skillAreas as { id, name } (id)}<th scope="col">{name}</th>{/each}
							</tr>
						</thead>
						<tbody>
							{#each reading.rows as row, index (index)}
								<tr>
									<td>{row.number ?? ''}</td>
									<td>{row.name}</td>
									<td>{data.team.units.find(({ id }) => id === row.unit)?.name ?? ''}</td>
									<td>{row.positions.join(', ')}</td>
									{#each data.team.skillAreas as { id } (id)}<td>{row.ratings[id] ?? ''}</td>{/each}
								</tr>
							{/each}
						</tbody>
					</table>
				</div>
			{/if}
		</section>
	{/if}
</Page>

<style>
	h2 {
		font-size: 14px;
		font-weight: 700;
		padding: 14px 0 4px;
	}
	.wrong {
		color: var(--stop);
	}
	p {
		padding: 6px 0 12px;
		line-height: 1.4;
	}
	a {
		font-weight: 600;
		color: var(--action);
	}
	form {
		display: flex;
		flex-wrap: wrap;
		gap: 12px 20px;
		align-items: end;
		padding-bottom: 14px;
		border-bottom: 1px solid var(--ink);
	}
	form :global(.bx--form-item) {
		flex: 0 0 170px;
	}
	.file {
		display: grid;
		gap: 6px;
		font-size: 12px;
	}
	li {
		line-height: 1.5;
		font-size: 13px;
	}
	.scroll {
		overflow-x: auto;
	}
	table {
		border-collapse: collapse;
	}
	th,
	td {
		text-align: left;
		font-size: 13px;
		padding: 4px 14px 4px 0;
		border-bottom: 1px solid var(--rule);
		white-space: nowrap;
	}
</style>
