<script lang="ts">
	import WideTable from '../table/WideTable.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/squad';

	const say = useWords();

	interface Line {
		line: number;
		cells: string[];
	}
	interface Faulty extends Line {
		faults: readonly { column: string; message: string }[];
	}

	/** Lines of a table file with what is wrong with each below it; corrected in place unless they are locked. */
	let {
		headings,
		lines,
		bad,
		isLocked,
		oncorrect
	}: {
		headings: readonly string[];
		lines: readonly Line[];
		bad: readonly Faulty[];
		isLocked: boolean;
		oncorrect: (at: number, place: number, cell: string) => void;
	} = $props();

	/** What is wrong with a line, in words; empty where nothing is. */
	const faultsOf = (line: number) =>
		(bad.find((each) => each.line === line)?.faults ?? [])
			.map(({ column, message }) =>
				column ? `${column}: ${message}` : say(texts.lineFault, { line, message })
			)
			.join('; ');
</script>

<WideTable headings={[say(texts.line), ...headings]}>
	{#each lines as { line, cells }, at (line)}
		<tr>
			<td>{line}</td>
			{#each cells as cell, place (place)}
				<td>
					{#if isLocked}
						{cell}
					{:else}
						<input
							aria-label={say(texts.placeAndLine, { place: headings[place], line })}
							value={cell}
							oninput={(event) => oncorrect(at, place, event.currentTarget.value)}
						/>
					{/if}
				</td>
			{/each}
		</tr>
		<tr>
			<td></td>
			<td class="wrong" colspan={cells.length}>{faultsOf(line)}</td>
		</tr>
	{/each}
</WideTable>

<style>
	td.wrong {
		white-space: normal;
		color: var(--stop);
	}
	input {
		font: inherit;
		font-size: 13px;
		min-height: 28px;
		min-width: 70px;
		max-width: 160px;
		border: 1px solid var(--rule);
		background: #fff;
		padding: 2px 5px;
	}
</style>
