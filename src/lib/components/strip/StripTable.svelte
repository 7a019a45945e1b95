<script lang="ts">
	import type { Evaluation, PlayerFigures } from '$core/playing';
	import NumbersTable from '../table/NumbersTable.svelte';
	import { percent } from '../tape/words';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/strip';

	/** The strip as numbers, a row a player. */
	let { evaluation, rows }: { evaluation: Evaluation; rows: readonly PlayerFigures[] } = $props();

	const say = useWords();
	const player = (id: string) => evaluation.context.playerById.get(id);
	const numbers = $derived(
		rows.map(({ player: id, turns, busyShare, opposedShare, seconds }) => ({
			id,
			name: player(id)?.name ?? id,
			number: player(id)?.number ?? '',
			turns,
			busyShare,
			opposedShare,
			...seconds
		}))
	);
	type Key = keyof (typeof numbers)[number];
	const minutes = (key: 'active' | 'help' | 'wait' | 'listen', heading: string) => ({
		key,
		heading,
		shown: (row: (typeof numbers)[number]) => (row[key] / 60).toFixed(0)
	});
	const plain = <Field extends Key>(key: Field, heading: string) => ({ key, heading });
	const columns = $derived([
		plain('name', say(texts.player)),
		plain('number', say(texts.no)),
		plain('turns', say(texts.turns)),
		{
			key: 'busyShare' as const,
			heading: say(texts.busy),
			shown: (row: (typeof numbers)[number]) => percent(row.busyShare)
		},
		{
			key: 'opposedShare' as const,
			heading: say(texts.opposed),
			shown: (row: (typeof numbers)[number]) => percent(row.opposedShare)
		},
		minutes('active', say(texts.worksMin)),
		minutes('help', say(texts.helpsMin)),
		minutes('wait', say(texts.waitsMin)),
		minutes('listen', say(texts.listensMin))
	]);
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex (a region that scrolls is reached by keyboard) -->
<div class="table" role="region" aria-label={say(texts.playersInNumbers)} tabindex="0">
	<NumbersTable {columns} rows={numbers} />
</div>

<style>
	.table {
		overflow: auto;
		min-height: 0;
	}
</style>
