<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import { invalidateAll } from '$app/navigation';
	import { page } from '$app/state';
	import AttendanceTable from '$lib/components/attendance/AttendanceTable.svelte';
	import {
		faultIn,
		saidAt,
		saying,
		sentOf,
		unstored,
		type Changes
	} from '$lib/components/attendance/week';
	import DraftForm from '$lib/components/page/DraftForm.svelte';
	import Outcome from '$lib/components/page/Outcome.svelte';
	import InBrowser from '$lib/components/page/InBrowser.svelte';
	import Page from '$lib/components/page/Page.svelte';
	import { useWording } from '$lib/components/page/wording.svelte';
	import { FormDraft } from '$lib/state/formDraft.svelte';
	import type { ActionData, PageData } from './$types';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	const w = useWording();
	/** What is typed and not stored: of all weeks, since the page stays while another is looked at. */
	let changes: Changes = $state.raw({});
	const sent = $derived(sentOf(data.practices, changes));
	const isChanged = $derived(sent.length > 0);
	const misfit = $derived(form && 'misfit' in form ? form.misfit : null);
	/** What the last save sent: a refusal speaks of its rows. */
	let lastSent: typeof sent = $state.raw([]);
	const fault = $derived(misfit ? faultIn(lastSent, misfit.path) : null);
	let sheet: HTMLFormElement | undefined = $state();
	const draft = new FormDraft<Changes>({
		about: untrack(() => `${page.url.pathname} ${data.week}`),
		stamp: () => '',
		read: () => changes,
		write: (typed) => (changes = typed),
		isChanged: () => isChanged,
		async reload() {
			changes = {};
			await invalidateAll();
		}
	});
	$effect(() => {
		if (form && 'saved' in form) changes = untrack(() => unstored(data.practices, changes));
	});
	// What somebody else has said is shown beneath what is typed, before it is saved again.
	$effect(() => {
		if (form && 'isStale' in form && form.isStale) invalidateAll();
	});

	const unit = (id: string | undefined) => data.units.find((each) => each.id === id)?.name ?? '';
	const players = $derived(
		data.players.map((player) => ({ id: player.id, name: player.name, about: unit(player.unit) }))
	);
	const adults = $derived(data.adults.map(({ id, name, role }) => ({ id, name, about: role })));
	const everyone = $derived([...players, ...adults]);
	const where = $derived(fault ? everyone.find(({ id }) => id === fault.person)?.name : undefined);
	const late = $derived(players.filter(({ id }) => data.habits[id]?.isUsuallyLate));
	const intro = $derived(
		late.length > 0
			? `Usually late: ${late.map(({ name }) => name).join(', ')}.`
			: 'Nobody is usually late.'
	);
</script>

<Page
	team={data.team}
	current="attendance"
	title="Attendance"
	heading="Attendance in week {data.week}"
	{intro}
>
	{#snippet ways()}
		<a href="?week={data.week - 1}">Week {data.week - 1}</a>
		<a href="?">This week</a>
		<a href="?week={data.week + 1}">Week {data.week + 1}</a>
	{/snippet}
	<Outcome {misfit} {where} saved={!!form && 'saved' in form && !isChanged} {draft} form={sheet} />
	{#if data.practices.length === 0}
		<p class="empty">
			{w('No practice is planned in this week.')}
			<a href="/{data.team.id}/practices/new">{w('Create a practice')}</a>
		</p>
	{:else}
		{#each [{ heading: 'Players', people: players }, { heading: 'Adults', people: adults }] as { heading, people } (heading)}
			<InBrowser
				><AttendanceTable
					{heading}
					{people}
					practices={data.practices}
					saidOf={(at) => saidAt(data.practices, changes, at)}
					habits={data.habits}
					{fault}
					onsay={(at, set) => (changes = saying(data.practices, changes, { at, set }))}
				/></InBrowser
			>
		{/each}
		<DraftForm {draft} bind:form={sheet} class="attendance">
			<input type="hidden" name="sent" value={JSON.stringify(sent)} />
			<Button type="submit" disabled={!isChanged} on:click={() => (lastSent = sent)}
				>Save attendance</Button
			>
			<p>
				{w(
					'A practice that is to come is planned with it at once; of one that was held, turns and minutes are counted anew.'
				)}
			</p>
		</DraftForm>
	{/if}
</Page>

<style>
	.empty {
		font-size: 15px;
		padding: 20px 0;
	}
	.empty a {
		font-weight: 600;
		color: var(--action);
	}
	:global(form.attendance) {
		display: flex;
		flex-wrap: wrap;
		gap: 8px 20px;
		align-items: center;
	}
	:global(form.attendance) p {
		color: var(--ink-soft);
		font-size: 13px;
	}
</style>
