<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { enhance } from '$app/forms';
	import { keepTyped } from '$lib/components/page/keepTyped';
	import AttendanceTable from '$lib/components/attendance/AttendanceTable.svelte';
	import {
		faultIn,
		saying,
		sentOf,
		weekOfStored,
		type Week
	} from '$lib/components/attendance/week';
	import Outcome from '$lib/components/page/Outcome.svelte';
	import Page from '$lib/components/page/Page.svelte';
	import { useWording } from '$lib/components/page/wording.svelte';
	import type { ActionData, PageData } from './$types';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	const w = useWording();
	// What is typed stays until what is stored changes.
	let week: Week = $derived(weekOfStored(data.practices));
	const sent = $derived(JSON.stringify(sentOf(week)));
	const isChanged = $derived(sent !== JSON.stringify(sentOf(weekOfStored(data.practices))));
	const misfit = $derived(form && 'misfit' in form ? form.misfit : null);
	const fault = $derived(misfit ? faultIn(week, misfit.path) : null);

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
	<Outcome {misfit} {where} saved={!!form && 'saved' in form && !isChanged} />
	{#if data.practices.length === 0}
		<p class="empty">
			{w('No practice is planned in this week.')}
			<a href="/{data.team.id}/practices/new">{w('Make a practice')}</a>
		</p>
	{:else}
		{#each [{ heading: 'Players', people: players }, { heading: 'Adults', people: adults }] as { heading, people } (heading)}
			<AttendanceTable
				{heading}
				{people}
				practices={data.practices}
				{week}
				habits={data.habits}
				{fault}
				onsay={(at, set) => (week = saying(week, at, set))}
			/>
		{/each}
		<form method="POST" use:enhance={keepTyped}>
			<input type="hidden" name="sent" value={sent} />
			<Button type="submit" disabled={!isChanged}>Save who comes</Button>
			<p>
				{w(
					'A practice that is to come is planned with it at once; of one that was held, turns and minutes are counted anew.'
				)}
			</p>
		</form>
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
	form {
		display: flex;
		flex-wrap: wrap;
		gap: 8px 20px;
		align-items: center;
	}
	form p {
		color: var(--ink-soft);
		font-size: 13px;
	}
</style>
