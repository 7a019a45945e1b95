<script lang="ts">
	import { Button, Modal, TextArea } from 'carbon-components-svelte';
	import InBrowser from '$lib/components/page/InBrowser.svelte';
	import Page from '$lib/components/page/Page.svelte';
	import RemoveDialog from '$lib/components/page/RemoveDialog.svelte';
	import { useWording } from '$lib/components/page/wording.svelte';
	import { squadColumns } from '$lib/components/squad/columns';
	import {
		emptyEntry,
		entriesFrom,
		entryOf,
		rowOf,
		type Entry
	} from '$lib/components/squad/entries';
	import RowsForm from '$lib/components/table/RowsForm.svelte';
	import { TypedRows } from '$lib/components/table/typedRows.svelte';
	import type { ActionData, PageData } from './$types';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	const w = useWording();
	const squad = new TypedRows<Entry>({
		stored: () => data.players.map(entryOf),
		empty: emptyEntry,
		isNamed: ({ id, name }) => id !== undefined || name.trim() !== '',
		sent: rowOf,
		first: 'name',
		isStoredElsewhere: true
	});
	let pasting = $state(false);
	let pasted = $state('');
	let leaving: Entry | null = $state.raw(null);

	const columns = $derived(squadColumns(data.team));

	function paste() {
		squad.append(entriesFrom(pasted, squad.newKey));
		pasting = false;
		pasted = '';
	}
	function remove(entry: Entry) {
		if (entry.id === undefined) squad.remove(entry);
		else leaving = entry;
	}
</script>

<Page
	team={data.team}
	current="squad"
	title="Squad"
	intro="{data.players
		.length} players. Ratings run from 1 to 5 and hold from today on, as units do."
>
	{#snippet ways()}
		<a href="/{data.team.id}/squad/table">Import or download CSV</a>
		<Button size="small" kind="tertiary" on:click={() => (pasting = true)}
			>{w('Paste players')}</Button
		>
		<Button size="small" kind="tertiary" on:click={squad.add}>{w('Add a player')}</Button>
	{/snippet}
	<InBrowser
		><RowsForm
			table={squad}
			{columns}
			stamp={data.stamp}
			answer={form}
			action="?/save"
			save="Save the squad"
			empty="Nobody is here yet. Paste the list that you have, or add players one by one."
			nameOf={({ name }) => name}
			linkOf={({ id }) =>
				id ? { href: `/${data.team.id}/squad/${encodeURIComponent(id)}`, text: 'Page' } : null}
			onremove={remove}
		/></InBrowser
	>
</Page>

{#if leaving}
	<RemoveDialog
		what={leaving.name}
		says={w('Name, number, unit, ratings and notes go. Practices keep a place without a name.')}
		field="player"
		value={leaving.id ?? ''}
		onclose={() => (leaving = null)}
	/>
{/if}
{#if pasting}
	<Modal
		open
		modalHeading={w('Paste players')}
		primaryButtonText="Add"
		secondaryButtonText="Cancel"
		on:click:button--secondary={() => (pasting = false)}
		on:close={() => (pasting = false)}
		on:submit={paste}
	>
		<TextArea
			id="pasted"
			rows={10}
			labelText="One a line, a number in front where there is one"
			bind:value={pasted}
		/>
	</Modal>
{/if}
