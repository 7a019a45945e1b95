<script lang="ts">
	import { Button, Modal, TextArea } from 'carbon-components-svelte';
	import InBrowser from '$lib/components/page/InBrowser.svelte';
	import Page from '$lib/components/page/Page.svelte';
	import RemoveDialog from '$lib/components/page/RemoveDialog.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/squad';
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

	const say = useWords();
	const squad = new TypedRows<Entry>({
		stored: () => data.players.map((player) => entryOf(player, data.team)),
		empty: emptyEntry,
		isNamed: ({ id, name }) => id !== undefined || name.trim() !== '',
		sent: (row) => rowOf(row, data.team),
		first: 'name',
		isStoredElsewhere: true
	});
	let pasting = $state(false);
	let pasted = $state('');
	let leaving: Entry | null = $state.raw(null);

	const columns = $derived(squadColumns(data.team, say));

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
	title={say(texts.squad)}
	intro={say(texts.squadIntro, { playerCount: data.players.length })}
>
	{#snippet ways()}
		<a href="/{data.team.id}/squad/table">{say(texts.importOrDownloadCSV)}</a>
		<Button size="small" kind="tertiary" on:click={() => (pasting = true)}
			>{say(texts.pastePlayers)}</Button
		>
		<Button size="small" kind="tertiary" on:click={squad.add}>{say(texts.addPlayer)}</Button>
	{/snippet}
	<InBrowser
		><RowsForm
			table={squad}
			{columns}
			stamp={data.stamp}
			answer={form}
			action="?/save"
			save={say(texts.saveTheSquad)}
			empty={say(texts.nobodyIsHereYetPasteThe)}
			nameOf={({ name }) => name}
			linkOf={({ id }) =>
				id
					? { href: `/${data.team.id}/squad/${encodeURIComponent(id)}`, text: say(texts.page) }
					: null}
			onremove={remove}
		/></InBrowser
	>
</Page>

{#if leaving}
	<RemoveDialog
		what={leaving.name}
		says={say(texts.nameNumberUnitRatingsAndNotes)}
		field="player"
		value={leaving.id ?? ''}
		onclose={() => (leaving = null)}
	/>
{/if}
{#if pasting}
	<Modal
		open
		modalHeading={say(texts.pastePlayers)}
		primaryButtonText={say(texts.add)}
		secondaryButtonText={say(texts.cancel)}
		on:click:button--secondary={() => (pasting = false)}
		on:close={() => (pasting = false)}
		on:submit={paste}
	>
		<TextArea id="pasted" rows={10} labelText={say(texts.oneALineANumberIn)} bind:value={pasted} />
	</Modal>
{/if}
