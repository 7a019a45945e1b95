<script lang="ts">
	import { Button, Modal, TextArea } from 'carbon-components-svelte';
	import { enhance } from '$app/forms';
	import Outcome from '$lib/components/page/Outcome.svelte';
	import Page from '$lib/components/page/Page.svelte';
	import { squadColumns } from '$lib/components/squad/columns';
	import {
		emptyEntry,
		entriesFrom,
		entryOf,
		rowOf,
		type Entry
	} from '$lib/components/squad/entries';
	import TypedTable from '$lib/components/table/TypedTable.svelte';
	import { TypedRows } from '$lib/components/table/typedRows.svelte';
	import type { ActionData, PageData } from './$types';
	import { useWording } from '$lib/components/page/wording.svelte';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	const w = useWording();
	const squad = new TypedRows<Entry>({
		stored: () => data.players.map(entryOf),
		empty: emptyEntry,
		isNamed: ({ id, name }) => id !== undefined || name.trim() !== '',
		sent: rowOf,
		first: 'name'
	});
	let pasting = $state(false);
	let pasted = $state('');
	let leaving: Entry | null = $state.raw(null);
	let remover: HTMLFormElement | undefined = $state();

	const columns = $derived(squadColumns(data.team));
	const misfit = $derived(form && 'misfit' in form ? form.misfit : null);
	const fault = $derived(squad.faultAt(misfit?.path));
	const where = $derived(
		fault && `${squad.named.find(({ key }) => key === fault.key)?.name || 'A row'}, ${fault.field}:`
	);

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
		<a href="/{data.team.id}/squad/table">Table file in or out</a>
		<Button size="small" kind="tertiary" on:click={() => (pasting = true)}
			>{w('Paste players')}</Button
		>
		<Button size="small" kind="tertiary" on:click={squad.add}>{w('Add a player')}</Button>
	{/snippet}
	<Outcome
		{misfit}
		where={where ?? undefined}
		saved={!!form && 'saved' in form && !squad.isChanged}
	/>
	{#if squad.rows.length === 0}
		<p class="empty">
			{w('Nobody is here yet. Paste the list that you have, or add players one by one.')}
		</p>
	{:else}
		<TypedTable
			rows={squad.rows}
			{columns}
			{fault}
			nameOf={({ name }) => name || 'a new player'}
			linkOf={({ id }) =>
				id ? { href: `/${data.team.id}/squad/${encodeURIComponent(id)}`, text: 'Page' } : null}
			onchange={squad.change}
			onadd={squad.add}
			onremove={remove}
		/>
	{/if}
	<form
		method="POST"
		action="?/save"
		use:enhance={() =>
			({ update }) =>
				update({ reset: false })}
	>
		<input type="hidden" name="rows" value={squad.json} />
		<Button type="submit" disabled={!squad.isChanged}>{w('Save the squad')}</Button>
	</form>
</Page>

<form method="POST" action="?/remove" bind:this={remover} use:enhance hidden>
	<input type="hidden" name="player" value={leaving?.id ?? ''} />
</form>
{#if leaving}
	<Modal
		open
		danger
		size="sm"
		modalHeading="Remove {leaving.name}?"
		primaryButtonText="Remove for good"
		secondaryButtonText="Keep"
		on:click:button--secondary={() => (leaving = null)}
		on:close={() => (leaving = null)}
		on:submit={() => {
			remover?.requestSubmit();
			leaving = null;
		}}
	>
		<p>{w('Name, number, unit, ratings and notes go. Practices keep a place without a name.')}</p>
	</Modal>
{/if}
{#if pasting}
	<Modal
		open
		modalHeading={w('Paste players')}
		primaryButtonText="Add them"
		secondaryButtonText="Leave it"
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

<style>
	.empty {
		font-size: 15px;
		padding: 20px 0;
	}
	form {
		padding-top: 16px;
	}
</style>
