<script lang="ts">
	import { Button, InlineNotification, Modal, TextArea } from 'carbon-components-svelte';
	import { tick } from 'svelte';
	import { enhance } from '$app/forms';
	import {
		emptyEntry,
		entriesFrom,
		entryOf,
		rowOf,
		type Entry
	} from '$lib/components/squad/entries';
	import SquadTable from '$lib/components/squad/SquadTable.svelte';
	import TopBar from '$lib/components/ui/TopBar.svelte';
	import type { ActionData, PageData } from './$types';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	let made = 0;
	const newKey = () => `new-${(made += 1)}`;
	// What is typed stays until the stored squad itself changes.
	let entries: Entry[] = $derived(data.players.map(entryOf));
	let pasting = $state(false);
	let pasted = $state('');
	let leaving: Entry | null = $state.raw(null);
	let remover: HTMLFormElement | undefined = $state();

	const named = $derived(entries.filter(({ id, name }) => id !== undefined || name.trim() !== ''));
	const rows = $derived(JSON.stringify(named.map(rowOf)));
	const isChanged = $derived(rows !== JSON.stringify(data.players.map(entryOf).map(rowOf)));
	const misfit = $derived(form && 'misfit' in form ? form.misfit : null);
	/** The row that is at fault, and its field. */
	const fault = $derived.by(() => {
		const match = /^\[(\d+)\]\.?(.*)$/.exec(misfit?.path ?? '');
		return match ? { key: named[Number(match[1])]?.key, field: match[2] } : null;
	});

	async function addRow() {
		const entry = emptyEntry(newKey());
		entries = [...entries, entry];
		await tick();
		document.getElementById(`${entry.key}-name`)?.focus();
	}
	function paste() {
		entries = [...entries, ...entriesFrom(pasted, newKey)];
		pasting = false;
		pasted = '';
	}
	function remove(entry: Entry) {
		if (entry.id === undefined) entries = entries.filter((each) => each !== entry);
		else leaving = entry;
	}
</script>

<svelte:head><title>Squad · Field Plan</title></svelte:head>

<TopBar team={data.team} current="squad" />
<main>
	<header>
		<div>
			<h1 class="wide">Squad</h1>
			<p>
				{data.players.length} players. Ratings run from 1 to 5 and hold from today on, as units do.
			</p>
		</div>
		<div class="ways">
			<a href="/{data.team.id}/squad/table">Table file in or out</a>
			<Button size="small" kind="tertiary" on:click={() => (pasting = true)}>Paste players</Button>
			<Button size="small" kind="tertiary" on:click={addRow}>Add a player</Button>
		</div>
	</header>
	{#if misfit}
		<InlineNotification
			lowContrast
			hideCloseButton
			kind="error"
			title="Not saved."
			subtitle="{fault
				? `${named.find(({ key }) => key === fault.key)?.name || 'A row'}, ${fault.field}:`
				: misfit.path} {misfit.message}"
		/>
	{:else if form && 'saved' in form && !isChanged}
		<InlineNotification lowContrast hideCloseButton kind="success" title="Saved." />
	{/if}
	{#if entries.length === 0}
		<p class="empty">
			Nobody is here yet. Paste the list that you have, or add players one by one.
		</p>
	{:else}
		<SquadTable bind:entries team={data.team} {fault} onremove={remove} onadd={addRow} />
	{/if}
	<form
		method="POST"
		action="?/save"
		use:enhance={() =>
			({ update }) =>
				update({ reset: false })}
	>
		<input type="hidden" name="rows" value={rows} />
		<Button type="submit" disabled={!isChanged}>Save the squad</Button>
	</form>
</main>

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
		<p>Name, number, unit, ratings and notes go. Practices keep a place without a name.</p>
	</Modal>
{/if}
{#if pasting}
	<Modal
		open
		modalHeading="Paste players"
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
	main {
		padding: 14px 16px 40px;
	}
	header {
		display: flex;
		flex-wrap: wrap;
		gap: 8px 20px;
		justify-content: space-between;
		align-items: end;
		padding-bottom: 12px;
	}
	h1 {
		font-size: 21px;
		font-weight: 750;
	}
	header p {
		color: var(--ink-soft);
		font-size: 13px;
	}
	.ways {
		display: flex;
		flex-wrap: wrap;
		gap: 8px 16px;
		align-items: center;
	}
	.ways a {
		font-weight: 600;
		color: var(--action);
	}
	.empty {
		font-size: 15px;
		padding: 20px 0;
	}
	form {
		padding-top: 16px;
	}
</style>
