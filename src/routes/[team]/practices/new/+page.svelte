<script lang="ts">
	import {
		Button,
		Checkbox,
		InlineNotification,
		NumberInput,
		TextInput
	} from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import { enhance } from '$app/forms';
	import TopBar from '$lib/components/ui/TopBar.svelte';
	import type { ActionData, PageData } from './$types';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	// The form starts from the team as it was loaded: everyone comes until the coach says otherwise.
	let date = $state(untrack(() => data.today));
	let start = $state('18:30');
	let minutes: number | null = $state(90);
	let place = $state(untrack(() => data.place));
	let expected: string[] = $state(untrack(() => data.players.map(({ id }) => id)));
	let adults: string[] = $state(
		untrack(() =>
			data.adults
				.filter(({ days }) => !days || days.includes(isoDay(data.today)))
				.map(({ id }) => id)
		)
	);
	const units = $derived([...new Set(data.players.map(({ unit }) => unit ?? ''))]);
	const unitName = (id: string) =>
		data.team.units.find((unit) => unit.id === id)?.name ?? 'Players';
	const fault = (path: string) => (form?.misfit.path === path ? form.misfit.message : '');

	/** Monday 1 to Sunday 7. */
	function isoDay(day: string): number {
		return new Date(`${day}T00:00:00Z`).getUTCDay() || 7;
	}
</script>

<svelte:head><title>New practice · Field Plan</title></svelte:head>

<TopBar team={data.team} current="practices" />
<main>
	<h1 class="wide">New practice</h1>
	{#if form?.misfit}
		<InlineNotification
			lowContrast
			hideCloseButton
			kind="error"
			title="Not saved."
			subtitle="{form.misfit.path} {form.misfit.message}"
		/>
	{/if}
	<form
		method="POST"
		use:enhance={() =>
			({ update }) =>
				update({ reset: false })}
	>
		<div class="fields">
			<TextInput
				id="date"
				name="date"
				type="date"
				labelText="Date"
				required
				bind:value={date}
				invalid={!!fault('date')}
				invalidText={fault('date')}
			/>
			<TextInput
				id="start"
				name="start"
				type="time"
				labelText="Starts"
				required
				bind:value={start}
				invalid={!!fault('start')}
				invalidText={fault('start')}
			/>
			<NumberInput
				id="minutes"
				name="minutes"
				labelText="Minutes"
				min={1}
				max={600}
				allowEmpty
				bind:value={minutes}
				invalidText="1 to 600 minutes"
			/>
			<TextInput
				id="place"
				name="place"
				labelText="Where"
				required
				bind:value={place}
				invalid={!!fault('place')}
				invalidText={fault('place')}
			/>
		</div>
		<h2>{expected.length} of {data.players.length} players come</h2>
		<div class="people">
			{#each units as unit (unit)}
				<fieldset>
					<legend>{unitName(unit)}</legend>
					{#each data.players.filter((player) => (player.unit ?? '') === unit) as player (player.id)}
						<Checkbox
							id="player-{player.id}"
							name="expected"
							value={player.id}
							bind:group={expected}
							labelText="{player.number ?? ''} {player.name}{player.usuallyLate
								? ', usually late'
								: ''}"
						/>
					{/each}
				</fieldset>
			{/each}
			<fieldset>
				<legend>Adults: {adults.length}</legend>
				{#each data.adults as adult (adult.id)}
					<Checkbox
						id="adult-{adult.id}"
						name="adults"
						value={adult.id}
						bind:group={adults}
						labelText="{adult.name}, {adult.role}"
					/>
				{/each}
			</fieldset>
		</div>
		<Button type="submit">Make the practice</Button>
	</form>
</main>

<style>
	main {
		padding: 14px 16px 40px;
		max-width: 1240px;
	}
	h1 {
		font-size: 21px;
		font-weight: 750;
		padding-bottom: 10px;
	}
	h2 {
		font-size: 15px;
		font-weight: 700;
		padding: 18px 0 8px;
	}
	.fields {
		display: grid;
		grid-template-columns: 170px 140px 170px minmax(200px, 1fr);
		gap: 16px;
		max-width: 880px;
	}
	.people {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(215px, 1fr));
		gap: 8px 24px;
		padding-bottom: 16px;
	}
	fieldset {
		border: 0;
		padding: 0;
		margin: 0;
		min-width: 0;
	}
	legend {
		font-weight: 700;
		border-bottom: 1px solid var(--rule);
		width: 100%;
		padding: 0 0 2px;
	}
	@media (max-width: 672px) {
		.fields {
			grid-template-columns: 1fr 1fr;
		}
	}
</style>
