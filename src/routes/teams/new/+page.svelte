<script lang="ts">
	import {
		Button,
		NumberInput,
		Select,
		SelectItem,
		TextArea,
		TextInput
	} from 'carbon-components-svelte';
	import { onMount, untrack } from 'svelte';
	import { page } from '$app/state';
	import { sameValue } from '$core/base';
	import DraftForm from '$lib/components/page/DraftForm.svelte';
	import Outcome from '$lib/components/page/Outcome.svelte';
	import Page from '$lib/components/page/Page.svelte';
	import { FormDraft } from '$lib/state/formDraft.svelte';
	import type { ActionData, PageData } from './$types';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	const EXAMPLE = '7 Ada Lind\n12 Bo Farrow';
	const empty = {
		name: '',
		sport: untrack(() => data.sports[0]?.id ?? ''),
		from: 12 as number | null,
		to: 14 as number | null,
		coach: '',
		players: ''
	};
	let { name, sport, from, to, coach, players } = $state({ ...empty });
	let sheet: HTMLFormElement | undefined = $state();
	const typed = $derived({ name, sport, from, to, coach, players });
	const draft = new FormDraft<typeof empty>({
		about: untrack(() => page.url.pathname),
		stamp: () => '',
		read: () => typed,
		write: fill,
		isChanged: () => !sameValue(typed, empty),
		reload: async () => fill(empty)
	});
	function fill(values: typeof empty) {
		({ name, sport, from, to, coach, players } = values);
	}
	let timeZone = $state('UTC');

	const fault = (path: string) => (form?.misfit.path === path ? form.misfit.message : '');
	const lines = $derived(players.split('\n').filter((line) => line.trim() !== '').length);

	onMount(() => {
		timeZone = Intl.DateTimeFormat().resolvedOptions().timeZone;
	});
</script>

<Page
	current="teams"
	title="New team"
	intro="It starts with the ground, positions and drills of its sport. All of it can be changed later."
>
	<Outcome misfit={form?.misfit} {draft} form={sheet} />
	<DraftForm {draft} bind:form={sheet} class="team">
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
		<Button type="submit">Create team</Button>
	</DraftForm>
</Page>

<style>
	:global(form.team) {
		display: grid;
		gap: 18px;
		justify-items: start;
	}
	:global(form.team > *) {
		width: 100%;
	}
	:global(form.team > button) {
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
