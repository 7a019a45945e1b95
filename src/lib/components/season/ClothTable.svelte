<script lang="ts">
	import { sum } from 'd3-array';
	import type { ClothLine, WeekLoad } from '$core/season';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/season';
	import NumbersTable from '../table/NumbersTable.svelte';
	import { wholeName, type Called } from './names';
	import { lineKey } from './view';

	/** The chart in numbers: a row a skill, minutes by week and what is owed at the end of each; then what weeks cost. */
	let {
		lines,
		weeks,
		called
	}: { lines: readonly ClothLine[]; weeks: readonly WeekLoad[]; called: Called } = $props();

	const say = useWords();
	type Row = { id: string; name: string; all: number; target: number } & Record<
		string,
		number | string
	>;
	/** A row of numbers by week, with what is owed in each. */
	function row(
		{ id, name, target = 0 }: { id: string; name: string; target?: number },
		numbers: readonly { value: number; owed?: number }[]
	): Row {
		const whole = (key: string, values: readonly number[]) =>
			Object.fromEntries(values.map((value, index) => [`${key}${index + 1}`, Math.round(value)]));
		return {
			...{ id, name, target: Math.round(target) },
			all: Math.round(sum(numbers, ({ value }) => value)),
			...whole(
				'w',
				numbers.map(({ value }) => value)
			),
			...whole(
				'o',
				numbers.map(({ owed = 0 }) => owed)
			)
		};
	}
	const rows = $derived([
		...lines.map((line) =>
			row(
				{
					id: lineKey(line),
					name: wholeName(line, called, say),
					target: line.cells.at(-1)?.target
				},
				line.cells.map(({ done, planned, owed }) => ({ value: done + planned, owed }))
			)
		),
		row(
			{ id: 'load', name: say(texts.load) },
			weeks.map(({ done, planned }) => ({ value: done + planned }))
		),
		row(
			{ id: 'contact', name: say(texts.contact) },
			weeks.map(({ contact }) => ({ value: contact }))
		),
		row(
			{ id: 'opposed', name: say(texts.opposedPercent) },
			weeks.map(({ opposed }) => ({ value: (opposed ?? 0) * 100 }))
		)
	]);
	const columns = $derived([
		{ key: 'name', heading: say(texts.skill) },
		...weeks.map((_, index) => ({
			key: `w${index + 1}`,
			heading: String(index + 1),
			shown: (row: Row) => {
				const owed = row[`o${index + 1}`] as number;
				return `${row[`w${index + 1}`]}${owed > 0 ? ` (−${owed})` : ''}`;
			}
		})),
		// Shares do not add up, and what has no target has none.
		{
			key: 'all',
			heading: say(texts.inAll),
			shown: ({ id, all }: Row) => (id === 'opposed' ? '–' : String(all))
		},
		{
			key: 'target',
			heading: say(texts.target),
			shown: ({ target }: Row) => (target > 0 ? String(target) : '–')
		}
	]);
</script>

<NumbersTable {rows} {columns} />
