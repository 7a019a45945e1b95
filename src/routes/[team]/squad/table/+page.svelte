<script lang="ts">
	import { Button, InlineNotification, Select, SelectItem } from 'carbon-components-svelte';
	import { enhance } from '$app/forms';
	import Page from '$lib/components/page/Page.svelte';
	import type { ActionData, PageData } from './$types';
	import LinesToCorrect from '$lib/components/squad/LinesToCorrect.svelte';
	import WideTable from '$lib/components/table/WideTable.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/squad';
	import { stay } from '$lib/components/page/notice.svelte';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	const say = useWords();
	const { skillAreas } = $derived(data.team);
	const reading = $derived(form && 'reading' in form ? form.reading : null);
	const message = $derived(form && 'message' in form ? form.message : '');
	const stored = $derived(form && 'stored' in form ? (form.stored ?? 0) : 0);
	const TAB = '\t';
	const DELIMITER = new Map([
		[',', 'commas'],
		[';', 'semicolons'],
		[TAB, 'tabs']
	]);
	const FIELDS = [
		'number',
		'name',
		'unit',
		'positions',
		'born',
		'leads',
		say(texts.usuallyLate),
		'id'
	];

	// What is chosen and put right stays until the file is looked at again.
	let columns: string[] = $derived(reading?.columns.map(({ takenFor }) => takenFor) ?? []);
	let lines = $derived(
		reading?.lines.map(({ line, cells }) => ({
			line,
			cells: reading.headings.map((_, place) => cells[place] ?? '')
		})) ?? []
	);
	/** After the good lines are stored, those that are left come from the page, not from the file. */
	const corrected = $derived(
		reading?.isCorrected ? JSON.stringify({ headings: reading.headings, lines }) : ''
	);
	function correct(at: number, place: number, cell: string) {
		lines = lines.map((each, index) =>
			index === at ? { ...each, cells: each.cells.with(place, cell) } : each
		);
	}
</script>

<Page team={data.team} current="squad" title={say(texts.squadAsATableFile)}>
	<p>
		<a href="/{data.team.id}/squad/table/download" download="squad.csv">{say(texts.downloadCSV)}</a
		>{say(texts.changeItInAnyProgramFor)}
	</p>
	<form method="POST" action="?/look" enctype="multipart/form-data" use:enhance={stay(say)}>
		<input type="hidden" name="columns" value={JSON.stringify(columns)} />
		<input type="hidden" name="corrected" value={corrected} />
		{#if corrected === ''}
			<label class="file"
				>{say(texts.cSVFile)}
				<input
					type="file"
					name="file"
					accept=".csv,.txt,text/csv"
					onchange={() => (columns = [])}
				/></label
			>
			<Select id="delimiter" name="delimiter" labelText={say(texts.betweenCells)} size="sm">
				<SelectItem value="" text={say(texts.findOut)} />
				<SelectItem value="," text={say(texts.commas)} />
				<SelectItem value=";" text={say(texts.semicolons)} />
				<SelectItem value={TAB} text={say(texts.tabs)} />
			</Select>
			<Select id="encoding" name="encoding" labelText={say(texts.letters)} size="sm">
				<SelectItem value="auto" text={say(texts.findOut)} />
				<SelectItem value="utf-8" text={say(texts.utf8)} />
				<SelectItem value="windows-1252" text={say(texts.windowsWestern)} />
				<SelectItem value="utf-16le" text={say(texts.utf16)} />
			</Select>
		{/if}
		<Button type="submit" size="small" kind="tertiary"
			>{reading ? say(texts.checkAgain) : say(texts.checkTheFile)}</Button
		>
		{#if reading && reading.trouble === '' && reading.players > 0}
			<Button type="submit" size="small" formaction="?/store">
				{say(texts.import, { count: reading.players })}
			</Button>
		{/if}
		{#if message}
			<InlineNotification
				lowContrast
				hideCloseButton
				kind="error"
				title={say(texts.nothingImported)}
				subtitle={message}
			/>
		{/if}
		{#if stored > 0}
			<p role="status">
				<strong>{say(texts.imported, { count: stored })}</strong>
				{say(texts.leftToCorrectBelow, { count: lines.length })}
				<a href="/{data.team.id}/squad">{say(texts.goToTheSquad)}</a>
			</p>
		{/if}
		{#if reading}
			<section aria-label={say(texts.whatTheFileHolds)}>
				{#if stored === 0}
					<p>
						{say(texts.ofThemNew, {
							count: reading.players,
							added: reading.added
						})}{#if reading.delimiter}{say(texts.betweenCellsLettersAs, {
								delimiter: DELIMITER.get(reading.delimiter) ?? reading.delimiter,
								encoding: reading.encoding
							})}{/if}.
					</p>
				{/if}
				{#if reading.trouble}<p class="wrong" role="alert">{reading.trouble}</p>{/if}
				{#if lines.length > 0}
					<h2 class:wrong={reading.bad.length > 0}>
						{say(texts.toCorrect, { count: reading.bad.length })}
					</h2>
					{#if corrected === ''}
						<p>
							{reading.players > 0
								? say(texts.importTheOtherLinesNowAnd)
								: say(texts.correctTheFileAndCheckIt)}
						</p>
					{/if}
					<LinesToCorrect
						headings={reading.headings}
						{lines}
						bad={reading.bad}
						isLocked={corrected === ''}
						oncorrect={correct}
					/>
				{/if}
				{#if reading.notes.length > 0}
					<h2>{say(texts.takenAsItIsWritten)}</h2>
					<ul>
						{#each reading.notes as { line, column, message: words }, index (index)}
							<li>{say(texts.lineNote, { line, column, words })}</li>
						{/each}
					</ul>
				{/if}
				{#if corrected === ''}
					<h2>{say(texts.columns)}</h2>
					<div class="columns">
						{#each reading.columns as { heading }, place (place)}
							<Select
								id="column-{place}"
								size="sm"
								labelText={say(texts.is, { heading })}
								selected={columns[place]}
								on:update={(event) => (columns = columns.with(place, String(event.detail)))}
							>
								<SelectItem value="" text={say(texts.leftOut)} />
								{#each FIELDS as field (field)}<SelectItem value={field} text={field} />{/each}
								{#each skillAreas as { id, name } (id)}
									<SelectItem value={id} text={name} />
								{/each}
							</Select>
						{/each}
					</div>
				{/if}
				{#if reading.rows.length > 0}
					<h2>{say(texts.theFirstRows)}</h2>
					<WideTable
						headings={[
							say(texts.no),
							say(texts.name),
							say(texts.unit),
							say(texts.positions),
							...skillAreas.map(({ name }) => name)
						]}
					>
						{#each reading.rows as row, index (index)}
							<tr>
								<td>{row.number ?? ''}</td>
								<td>{row.name}</td>
								<td>{data.team.units.find(({ id }) => id === row.unit)?.name ?? ''}</td>
								<td>{row.positions.join(', ')}</td>
								{#each skillAreas as { id } (id)}<td>{row.ratings[id] ?? ''}</td>{/each}
							</tr>
						{/each}
					</WideTable>
				{/if}
			</section>
		{/if}
	</form>
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
	}
	form > :global(.bx--form-item) {
		flex: 0 0 170px;
	}
	form > p,
	section {
		flex-basis: 100%;
		min-width: 0;
	}
	.file {
		display: grid;
		gap: 6px;
		font-size: 12px;
	}
	.columns {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
		gap: 10px 16px;
	}
	li {
		line-height: 1.5;
		font-size: 13px;
	}
</style>
