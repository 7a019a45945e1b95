<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { kitColumns, kitRowOf, kitSent, type KitRow } from '$lib/components/kit/rows';
	import Page from '$lib/components/page/Page.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/kit';
	import RowsForm from '$lib/components/table/RowsForm.svelte';
	import { TypedRows } from '$lib/components/table/typedRows.svelte';
	import type { ActionData, PageData } from './$types';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	const say = useWords();
	const kit = new TypedRows<KitRow>({
		stored: () => data.kit.map(kitRowOf),
		empty: (key) => ({ key, item: '', count: '', broken: '', kept: '' }),
		isNamed: ({ item }) => item.trim() !== '',
		sent: kitSent,
		first: 'item'
	});
	/** What drills ask for and nothing here is called. */
	const missing = $derived(
		Object.entries(data.asked).filter(([item]) => !kit.rows.some((row) => row.item === item))
	);
	const columns = $derived(kitColumns(data.asked, say));
	const INTRO = say(texts.whatCanBeUsedIsPlanned);

	function take(item: string) {
		kit.append([{ key: kit.newKey(), item, count: '0', broken: '', kept: '' }]);
	}
</script>

<Page team={data.team} current="kit" title={say(texts.kit)} intro={INTRO} narrow>
	{#snippet ways()}
		<Button size="small" kind="tertiary" on:click={kit.add}>{say(texts.addAThing)}</Button>
	{/snippet}
	<RowsForm
		table={kit}
		{columns}
		stamp={data.stamp}
		answer={form}
		save={say(texts.saveTheKit)}
		empty={say(texts.thereIsNoKitYetAdd)}
		nameOf={({ item }) => item}
	/>
	{#if missing.length > 0}
		<h2>{say(texts.drillsAskForTheseAndThere)}</h2>
		<ul>
			{#each missing as [item, drills] (item)}
				<li>
					<button type="button" class="link" onclick={() => take(item)}>{item}</button>
					<span
						>{say(texts.sliceDrillCount, {
							slice: drills.slice(0, 3).join(', '),
							drillCount: drills.length > 3
						})}</span
					>
				</li>
			{/each}
		</ul>
	{/if}
</Page>

<style>
	h2 {
		font-size: 14px;
		font-weight: 700;
		padding: 18px 0 4px;
	}
	li {
		display: flex;
		gap: 12px;
		align-items: baseline;
	}
	li span {
		color: var(--ink-soft);
		font-size: 13px;
	}
</style>
