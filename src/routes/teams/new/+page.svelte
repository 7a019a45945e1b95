<script lang="ts">
	import {
		Button,
		Checkbox,
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
		players: '',
		sportName: '',
		length: 40 as number | null,
		width: 20 as number | null,
		indoors: false,
		ball: ''
	};
	let typed = $state({ ...empty });
	let sheet: HTMLFormElement | undefined = $state();
	const draft = new FormDraft<typeof empty>({
		say,
		about: untrack(() => page.url.pathname),
		stamp: () => '',
		read: () => $state.snapshot(typed),
		write: (values) => (typed = { ...empty, ...values }),
		isChanged: () => !sameValue(typed, empty),
		reload: async () => void (typed = { ...empty })
	});
	let timeZone = $state('UTC');

	/** What is wrong with a field; of a sport of one's own the path begins with that. */
	const fault = (...field: string[]) =>
		field.every((part, index) => form?.misfit.path[index] === part)
			? (form?.misfit.message ?? '')
			: '';
	const isOwn = $derived(typed.sport === '');
	const lines = $derived(typed.players.split('\n').filter((line) => line.trim() !== '').length);

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
				bind:value={typed.name}
				invalid={!!fault('name')}
				invalidText={fault('name')}
			/>
			<Select id="sport" name="sport" labelText={say(texts.sport)} bind:selected={typed.sport}>
				{#each data.sports as each (each.id)}<SelectItem value={each.id} text={each.name} />{/each}
				<SelectItem value="" text={say(texts.sportOfYourOwn)} />
			</Select>
			<NumberInput
				id="from"
				name="from"
				labelText={say(texts.youngestYears)}
				min={4}
				max={99}
				bind:value={typed.from}
			/>
			<NumberInput
				id="to"
				name="to"
				labelText={say(texts.oldestYears)}
				min={4}
				max={99}
				bind:value={typed.to}
				invalid={!!fault('to')}
				invalidText={fault('to')}
			/>
			<TextInput
				id="coach"
				name="coach"
				labelText={say(texts.headCoach)}
				required
				bind:value={typed.coach}
			/>
		</div>
		{#if isOwn}
			<fieldset class="fields own">
				<legend>{say(texts.sportOfYourOwn)}</legend>
				<TextInput
					id="sportName"
					name="sportName"
					labelText={say(texts.itsName)}
					required
					maxlength={200}
					bind:value={typed.sportName}
					invalid={!!fault('ownSport', 'name')}
					invalidText={fault('ownSport', 'name')}
				/>
				<TextInput
					id="ball"
					name="ball"
					labelText={say(texts.playedWith)}
					placeholder={say(texts.playedWithHint)}
					maxlength={60}
					bind:value={typed.ball}
				/>
				<NumberInput
					id="length"
					name="length"
					labelText={say(texts.groundLength)}
					min={3}
					max={1000}
					step={0.1}
					bind:value={typed.length}
				/>
				<NumberInput
					id="width"
					name="width"
					labelText={say(texts.groundWidth)}
					min={3}
					max={1000}
					step={0.1}
					bind:value={typed.width}
				/>
				<Checkbox
					id="indoors"
					name="indoors"
					value="yes"
					labelText={say(texts.indoors)}
					bind:checked={typed.indoors}
				/>
			</fieldset>
		{/if}
		<TextArea
			id="players"
			name="players"
			rows={10}
			labelText={say(texts.playersOneALine, { lines })}
			placeholder={EXAMPLE}
			helperText={say(texts.pasteTheListThatYouHave)}
			bind:value={typed.players}
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
	.own {
		border: 0;
		border-top: 1px solid var(--ink);
		padding: 6px 0 0;
		min-width: 0;
	}
	legend {
		padding-right: 10px;
		font-size: 14px;
		font-weight: 700;
	}
	@media (max-width: 672px) {
		.fields {
			grid-template-columns: 1fr 1fr;
		}
	}
</style>
