<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import {
		adultColumns,
		adultEntryOf,
		adultRowOf,
		emptyAdult,
		type AdultEntry
	} from '$lib/components/adults/rows';
	import Page from '$lib/components/page/Page.svelte';
	import RemoveDialog from '$lib/components/page/RemoveDialog.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/adults';
	import RowsForm from '$lib/components/table/RowsForm.svelte';
	import { TypedRows } from '$lib/components/table/typedRows.svelte';
	import type { ActionData, PageData } from './$types';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	const say = useWords();
	const adults = new TypedRows<AdultEntry>({
		stored: () => data.adults.map((adult) => adultEntryOf(adult, data.team)),
		empty: emptyAdult,
		isNamed: ({ id, name }) => id !== undefined || name.trim() !== '',
		sent: (row) => adultRowOf(row, data.team),
		first: 'name',
		isStoredElsewhere: true
	});
	let leaving: AdultEntry | null = $state.raw(null);

	const columns = $derived(adultColumns(data.team, say));
	const INTRO = say(texts.coachesAndHelpersWhoeverMayNot);

	function remove(row: AdultEntry) {
		if (row.id === undefined) adults.remove(row);
		else leaving = row;
	}
</script>

<Page team={data.team} current="adults" title={say(texts.adults)} intro={INTRO}>
	{#snippet ways()}
		<a href="/{data.team.id}/attendance">{say(texts.whoComesThisWeek)}</a>
		<Button size="small" kind="tertiary" on:click={adults.add}>{say(texts.addAdult)}</Button>
	{/snippet}
	<RowsForm
		table={adults}
		{columns}
		stamp={data.stamp}
		answer={form}
		action="?/save"
		save={say(texts.saveTheAdults)}
		empty={say(texts.noAdultIsHereYetAdd)}
		nameOf={({ name }) => name}
		onremove={remove}
	/>
</Page>

{#if leaving}
	<RemoveDialog
		what={leaving.name}
		says={say(texts.nameRoleAndUnitsGoPractices)}
		field="adult"
		value={leaving.id ?? ''}
		onclose={() => (leaving = null)}
	/>
{/if}
