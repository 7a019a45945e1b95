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
	import { useWording } from '$lib/components/page/wording.svelte';
	import RowsForm from '$lib/components/table/RowsForm.svelte';
	import { TypedRows } from '$lib/components/table/typedRows.svelte';
	import type { ActionData, PageData } from './$types';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	const w = useWording();
	const adults = new TypedRows<AdultEntry>({
		stored: () => data.adults.map((adult) => adultEntryOf(adult, data.team)),
		empty: emptyAdult,
		isNamed: ({ id, name }) => id !== undefined || name.trim() !== '',
		sent: (row) => adultRowOf(row, data.team),
		first: 'name',
		isStoredElsewhere: true
	});
	let leaving: AdultEntry | null = $state.raw(null);

	const columns = $derived(adultColumns(data.team));
	const INTRO =
		'Coaches and helpers. Whoever may not have players of this age in charge is not counted where adults are too few.';

	function remove(row: AdultEntry) {
		if (row.id === undefined) adults.remove(row);
		else leaving = row;
	}
</script>

<Page team={data.team} current="adults" title="Adults" intro={INTRO}>
	{#snippet ways()}
		<a href="/{data.team.id}/attendance">{w('Who comes this week')}</a>
		<Button size="small" kind="tertiary" on:click={adults.add}>{w('Add an adult')}</Button>
	{/snippet}
	<RowsForm
		table={adults}
		{columns}
		stamp={data.stamp}
		answer={form}
		action="?/save"
		save="Save the adults"
		empty="No adult is here yet. Add who coaches and who helps."
		nameOf={({ name }) => name}
		onremove={remove}
	/>
</Page>

{#if leaving}
	<RemoveDialog
		what={leaving.name}
		says={w('Name, role and units go. Practices that asked for them say that somebody is missing.')}
		field="adult"
		value={leaving.id ?? ''}
		onclose={() => (leaving = null)}
	/>
{/if}
