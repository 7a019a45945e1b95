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
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/teams';

	const say = useWords();

	let { data, form }: { data: PageData; form: ActionData } = $props();

	const EXAMPLE = say(texts.playersHint);
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
		say,
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

	const fault = (field: string) => (form?.misfit.path[0] === field ? form.misfit.message : '');
	const lines = $derived(players.split('\n').filter((line) => line.trim() !== '').length);

	onMount(() => {
		timeZone = Intl.DateTimeFormat().resolvedOptions().timeZone;
	});
</script>

<Page current="teams" title={say(texts.newTeam)} intro={say(texts.itStartsWithTheGroundPositions)}>
	<Outcome misfit={form?.misfit} {draft} form={sheet} />
	<DraftForm {draft} bind:form={sheet} class="team">
		<input type="hidden" name="timeZone" value={timeZone} />
		<div class="fields">
			<TextInput
				id="name"
				name="name"
				labelText={say(texts.name)}
				required
				maxlength={200}
				bind:value={name}
				invalid={!!fault('name')}
				invalidText={fault('name')}
			/>
			<Select id="sport" name="sport" labelText={say(texts.sport)} bind:selected={sport}>
				{#each data.sports as each (each.id)}<SelectItem value={each.id} text={each.name} />{/each}
			</Select>
			<NumberInput
				id="from"
				name="from"
				labelText={say(texts.youngestYears)}
				min={4}
				max={99}
				bind:value={from}
			/>
			<NumberInput
				id="to"
				name="to"
				labelText={say(texts.oldestYears)}
				min={4}
				max={99}
				bind:value={to}
				invalid={!!fault('to')}
				invalidText={fault('to')}
			/>
			<TextInput
				id="coach"
				name="coach"
				labelText={say(texts.headCoach)}
				required
				bind:value={coach}
			/>
		</div>
		<TextArea
			id="players"
			name="players"
			rows={10}
			labelText={say(texts.playersOneALine, { lines })}
			placeholder={EXAMPLE}
			helperText={say(texts.pasteTheListThatYouHave)}
			bind:value={players}
		/>
		<Button type="submit">{say(texts.createTeam)}</Button>
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
