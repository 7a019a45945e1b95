<script lang="ts">
	import {
		Button,
		InlineNotification,
		NumberInput,
		Select,
		SelectItem,
		TextArea,
		TextInput
	} from 'carbon-components-svelte';
	import { onMount, untrack } from 'svelte';
	import { enhance } from '$app/forms';
	import TopBar from '$lib/components/ui/TopBar.svelte';
	import type { ActionData, PageData } from './$types';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	const EXAMPLE = '7 Ada Lind\n12 Bo Farrow';
	let name = $state('');
	let sport = $state(untrack(() => data.sports[0]?.id ?? ''));
	let from: number | null = $state(12);
	let to: number | null = $state(14);
	let coach = $state('');
	let players = $state('');
	let timeZone = $state('UTC');

	const fault = (path: string) => (form?.misfit.path === path ? form.misfit.message : '');
	const lines = $derived(players.split('\n').filter((line) => line.trim() !== '').length);

	onMount(() => {
		timeZone = Intl.DateTimeFormat().resolvedOptions().timeZone;
	});
</script>

<svelte:head><title>New team · Field Plan</title></svelte:head>

<TopBar current="teams" />
<main>
	<h1 class="wide">New team</h1>
	<p>
		It starts with the ground, positions and drills of its sport. All of it can be changed later.
	</p>
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
		<input type="hidden" name="timeZone" value={timeZone} />
		<div class="fields">
			<TextInput
				id="name"
				name="name"
				labelText="Name"
				required
				maxlength={200}
				bind:value={name}
				invalid={!!fault('name')}
				invalidText={fault('name')}
			/>
			<Select id="sport" name="sport" labelText="Sport" bind:selected={sport}>
				{#each data.sports as each (each.id)}<SelectItem value={each.id} text={each.name} />{/each}
			</Select>
			<NumberInput
				id="from"
				name="from"
				labelText="Youngest, years"
				min={4}
				max={99}
				bind:value={from}
			/>
			<NumberInput
				id="to"
				name="to"
				labelText="Oldest, years"
				min={4}
				max={99}
				bind:value={to}
				invalid={!!fault('to')}
				invalidText={fault('to')}
			/>
			<TextInput id="coach" name="coach" labelText="Head coach" required bind:value={coach} />
		</div>
		<TextArea
			id="players"
			name="players"
			rows={10}
			labelText="Players, one a line ({lines})"
			placeholder={EXAMPLE}
			helperText="Paste the list that you have. A number before the name is kept."
			bind:value={players}
		/>
		<Button type="submit">Make the team</Button>
	</form>
</main>

<style>
	main {
		padding: 14px 16px 40px;
		max-width: 900px;
	}
	h1 {
		font-size: 21px;
		font-weight: 750;
	}
	p {
		color: var(--ink-soft);
		padding: 4px 0 12px;
	}
	form {
		display: grid;
		gap: 18px;
		justify-items: start;
	}
	form > :global(*) {
		width: 100%;
	}
	form > :global(button) {
		width: auto;
	}
	.fields {
		display: grid;
		grid-template-columns: 2fr 1.4fr 1fr 1fr;
		gap: 16px;
	}
	@media (max-width: 672px) {
		.fields {
			grid-template-columns: 1fr 1fr;
		}
	}
</style>
