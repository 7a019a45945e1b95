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
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/attendance';
	import { FormDraft } from '$lib/state/formDraft.svelte';
	import type { ActionData, PageData } from './$types';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	const say = useWords();
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
		say,
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
			? say(texts.usuallyLateAre, { names: late.map(({ name }) => name).join(', ') })
			: say(texts.nobodyIsUsuallyLate)
	);
</script>

<Page
	team={data.team}
	current="attendance"
	title={say(texts.attendance)}
	heading={say(texts.attendanceInWeek, { week: data.week })}
	{intro}
>
	{#snippet ways()}
		<a href="?week={data.week - 1}">{say(texts.week, { week: data.week - 1 })}</a>
		<a href="?">{say(texts.thisWeek)}</a>
		<a href="?week={data.week + 1}">{say(texts.week, { week: data.week + 1 })}</a>
	{/snippet}
	<Outcome {misfit} {where} saved={!!form && 'saved' in form && !isChanged} {draft} form={sheet} />
	{#if data.practices.length === 0}
		<p class="empty">
			{say(texts.noPracticeIsPlannedInThis)}
			<a href="/{data.team.id}/practices/new">{say(texts.createPractice)}</a>
		</p>
	{:else}
		{#each [{ heading: say(texts.players), people: players }, { heading: say(texts.adults), people: adults }] as { heading, people } (heading)}
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
				>{say(texts.saveAttendance)}</Button
			>
			<p>
				{say(texts.practiceThatIsToComeIs)}
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
