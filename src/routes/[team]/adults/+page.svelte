<script lang="ts">
	import { Button, Modal } from 'carbon-components-svelte';
	import { enhance } from '$app/forms';
	import {
		adultColumns,
		adultEntryOf,
		adultRowOf,
		emptyAdult,
		type AdultEntry
	} from '$lib/components/adults/rows';
	import Outcome from '$lib/components/page/Outcome.svelte';
	import Page from '$lib/components/page/Page.svelte';
	import { useWording } from '$lib/components/page/wording.svelte';
	import TypedTable from '$lib/components/table/TypedTable.svelte';
	import { TypedRows } from '$lib/components/table/typedRows.svelte';
	import type { ActionData, PageData } from './$types';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	const w = useWording();
	const adults = new TypedRows<AdultEntry>({
		stored: () => data.adults.map((adult) => adultEntryOf(adult, data.team)),
		empty: emptyAdult,
		isNamed: ({ id, name }) => id !== undefined || name.trim() !== '',
		sent: (row) => adultRowOf(row, data.team),
		first: 'name'
	});
	let leaving: AdultEntry | null = $state.raw(null);
	let remover: HTMLFormElement | undefined = $state();

	const columns = $derived(adultColumns(data.team));
	const misfit = $derived(form && 'misfit' in form ? form.misfit : null);
	const fault = $derived(adults.faultAt(misfit?.path));
	const where = $derived(
		fault &&
			`${adults.named.find(({ key }) => key === fault.key)?.name || 'A row'}, ${fault.field}:`
	);
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
	<Outcome
		{misfit}
		where={where ?? undefined}
		saved={!!form && 'saved' in form && !adults.isChanged}
	/>
	{#if adults.rows.length === 0}
		<p class="empty">{w('No adult is here yet. Add who coaches and who helps.')}</p>
	{:else}
		<TypedTable
			rows={adults.rows}
			{columns}
			{fault}
			nameOf={({ name }) => name || 'a new adult'}
			onchange={adults.change}
			onadd={adults.add}
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
		<input type="hidden" name="rows" value={adults.json} />
		<Button type="submit" disabled={!adults.isChanged}>{w('Save the adults')}</Button>
	</form>
</Page>

<form method="POST" action="?/remove" bind:this={remover} use:enhance hidden>
	<input type="hidden" name="adult" value={leaving?.id ?? ''} />
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
		<p>
			{w('Name, role and units go. Practices that asked for them say that somebody is missing.')}
		</p>
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
