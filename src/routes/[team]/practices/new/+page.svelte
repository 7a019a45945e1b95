<script lang="ts">
	import { Button, NumberInput, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import { page } from '$app/state';
	import { sameValue } from '$core/base';
	import { weekdayOf } from '$core/conditions';
	import { isDay } from '$core/model/day';
	import DraftForm from '$lib/components/page/DraftForm.svelte';
	import PeoplePicker from '$lib/components/people/PeoplePicker.svelte';
	import { dayWords } from '$lib/components/page/dates';
	import Outcome from '$lib/components/page/Outcome.svelte';
	import Page from '$lib/components/page/Page.svelte';
	import { FormDraft } from '$lib/state/formDraft.svelte';
	import type { ActionData, PageData } from './$types';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/practices';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	const say = useWords();
	// The form starts from the team as it was loaded: everyone comes until the coach says otherwise.
	const past = $derived(data.model && 'date' in data.model ? data.model : null);
	const template = $derived(data.model && 'name' in data.model ? data.model : null);
	/** The adults who usually come on the weekday of a day. */
	const adultsOn = (day: string) =>
		data.adults.filter(({ days }) => !days || days.includes(weekdayOf(day))).map(({ id }) => id);
	/** What the form proposes: the next free day with what is usual on it, or what its model had. */
	const proposed = untrack(() => {
		const { date, usual, grounds, players } = data;
		const of = past ?? usual;
		return {
			date,
			start: of?.start ?? '18:30',
			minutes: (data.model?.minutes ?? usual?.minutes ?? 90) as number | null,
			groundId: of?.groundId ?? grounds[0].id,
			place: of?.place ?? grounds[0].name,
			expected: past?.expected ?? players.map(({ id }) => id),
			present: past?.adults ?? adultsOn(date)
		};
	});
	let { date, start, minutes, groundId, place, expected, present } = $state({ ...proposed });
	// Whoever usually comes goes by the day, until the coach has said otherwise.
	let proposedFor = untrack(() => date);
	$effect(() => {
		if (!isDay(date) || date === proposedFor) return;
		const isAsProposed =
			!past &&
			sameValue(
				untrack(() => present),
				adultsOn(proposedFor)
			);
		proposedFor = date;
		if (isAsProposed) present = adultsOn(date);
	});
	let sheet: HTMLFormElement | undefined = $state();
	const typed = $derived({ date, start, minutes, groundId, place, expected, present });
	const draft = new FormDraft<typeof proposed>({
		say,
		about: untrack(() => page.url.pathname + page.url.search),
		stamp: () => '',
		read: () => typed,
		write: fill,
		isChanged: () => !sameValue(typed, proposed),
		reload: async () => fill(proposed)
	});
	const sameDay = $derived(data.taken.filter((practice) => practice.date === date));

	function fill(values: typeof proposed) {
		({ date, start, minutes, groundId, place, expected, present } = values);
	}
	const fault = (field: string) => (form?.misfit.path[0] === field ? form.misfit.message : '');

	/** Another ground is another place, unless a coach has named one of their own. */
	function takePlace() {
		const isNamed = !data.grounds.some(({ name }) => name === place);
		if (!isNamed) place = data.grounds.find(({ id }) => id === groundId)?.name ?? place;
	}
</script>

<Page
	team={data.team}
	current="practices"
	title={say(texts.newPractice)}
	heading={past
		? say(texts.again, { day: dayWords(past.date) })
		: template
			? template.name
			: say(texts.newPractice)}
>
	{#if data.model}
		<p>
			{say(texts.itsPeriodsComeAlongSayWhen, { periodCount: data.model.periods.length })}
		</p>
	{/if}
	{#if !data.model && data.templates.length > 0}
		<p>
			{say(texts.startEmptyOrWithATemplate)}
			{#each data.templates as { id, name } (id)}
				<a href="?template={id}" data-sveltekit-reload>{name}</a>
			{/each}
		</p>
	{/if}
	<Outcome misfit={form?.misfit} {draft} form={sheet} />
	<DraftForm {draft} bind:form={sheet}>
		{#if data.model}
			<input type="hidden" name={past ? 'from' : 'template'} value={data.model.id} />
		{/if}
		<div class="fields">
			<TextInput
				id="date"
				name="date"
				type="date"
				labelText={say(texts.date)}
				required
				bind:value={date}
				invalid={!!fault('date')}
				invalidText={fault('date')}
			/>
			<TextInput
				id="start"
				name="start"
				type="time"
				labelText={say(texts.starts)}
				required
				bind:value={start}
				invalid={!!fault('start')}
				invalidText={fault('start')}
			/>
			<NumberInput
				id="minutes"
				name="minutes"
				labelText={say(texts.minutes)}
				min={1}
				max={600}
				allowEmpty
				bind:value={minutes}
				invalidText={say(texts.minutesRange)}
			/>
			{#if data.grounds.length > 1}
				<Select
					id="groundId"
					name="groundId"
					labelText={say(texts.onTheGround)}
					bind:selected={groundId}
					on:change={takePlace}
				>
					{#each data.grounds as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
				</Select>
			{/if}
			<TextInput
				id="place"
				name="place"
				labelText={say(texts.where)}
				required
				bind:value={place}
				invalid={!!fault('place')}
				invalidText={fault('place')}
			/>
		</div>
		{#if sameDay.length > 0}
			<p class="taken" role="status">
				{say(texts.thereIsPracticeAlreadyAt, {
					day: dayWords(date),
					times: sameDay.map((each) => each.start).join(' and ')
				})}
			</p>
		{/if}
		<h2>
			{say(texts.ofPlayersCome, {
				expectedCount: expected.length,
				playerCount: data.players.length
			})}
		</h2>
		<PeoplePicker
			players={data.players}
			adults={data.adults}
			units={data.team.units}
			bind:expected
			bind:present
		/>
		<Button type="submit">{say(texts.createPractice)}</Button>
	</DraftForm>
</Page>

<style>
	p {
		color: var(--ink-soft);
		padding-bottom: 10px;
	}
	.taken {
		padding: 10px 0 0;
		font-weight: 650;
		color: var(--wait-ink);
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
	@media (max-width: 672px) {
		.fields {
			grid-template-columns: 1fr 1fr;
		}
	}
</style>
