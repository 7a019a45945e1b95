<script lang="ts">
	import { Button, NumberInput, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import { enhance } from '$app/forms';
	import { goto, invalidateAll } from '$app/navigation';
	import { page } from '$app/state';
	import Choice from '$lib/components/page/Choice.svelte';
	import { dayWords } from '$lib/components/page/dates';
	import DraftForm from '$lib/components/page/DraftForm.svelte';
	import Fold from '$lib/components/page/Fold.svelte';
	import { stay } from '$lib/components/page/notice.svelte';
	import Outcome from '$lib/components/page/Outcome.svelte';
	import Page from '$lib/components/page/Page.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import {
		LISTS,
		planColumns,
		planTables,
		type List,
		type PlanRow
	} from '$lib/components/season/planRows';
	import TypedList from '$lib/components/table/TypedList.svelte';
	import { FormDraft } from '$lib/state/formDraft.svelte';
	import type { ActionData, PageData } from './$types';
	import texts from '$texts/dates';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	const say = useWords();
	let name = $derived(data.season.name);
	let firstDay = $derived(data.season.firstDay);
	let weeks: number | null = $derived(data.season.weeks);
	const tables = planTables(() => data.season);
	const columns = $derived(
		planColumns({ grounds: data.grounds, targets: new Map(data.targets) }, say)
	);
	const isChanged = $derived(
		name !== data.season.name ||
			firstDay !== data.season.firstDay ||
			weeks !== data.season.weeks ||
			LISTS.some((list) => tables[list].isChanged)
	);
	const json = $derived(
		JSON.stringify({
			...{ name: name.trim(), firstDay, weeks },
			...Object.fromEntries(LISTS.map((list) => [list, JSON.parse(tables[list].json)]))
		})
	);
	let sheet: HTMLFormElement | undefined = $state();
	type Typed = { name: string; firstDay: string; weeks: number | null } & Record<
		List,
		readonly PlanRow[]
	>;
	const draft = new FormDraft<Typed>({
		say,
		about: untrack(() => page.url.pathname + page.url.search),
		stamp: () => data.stamp,
		read: () =>
			({
				...{ name, firstDay, weeks },
				...Object.fromEntries(LISTS.map((list) => [list, tables[list].rows]))
			}) as Typed,
		write(typed) {
			({ name, firstDay, weeks } = typed);
			for (const list of LISTS) tables[list].restore(typed[list] ?? []);
		},
		isChanged: () => isChanged,
		reload: invalidateAll
	});

	const LIST_TEXTS = {
		phases: { title: texts.phases, says: texts.phasesSay, add: texts.addAPhase },
		patterns: { title: texts.patterns, says: texts.patternsSay, add: texts.addAPattern },
		daysOff: { title: texts.daysOff, says: texts.daysOffSay, add: texts.addADayOff },
		games: { title: texts.games, says: texts.gamesSay, add: texts.addAGame }
	};
	const misfit = $derived(form && 'misfit' in form ? form.misfit : null);
	const newMisfit = $derived(form && 'newMisfit' in form ? form.newMisfit : null);
	const faultIn = (list: List) =>
		misfit?.path[0] === list ? tables[list].faultAt(misfit.path.slice(1)) : null;
	/** The list and the row at fault as a coach calls them. */
	const where = $derived.by(() => {
		const list = LISTS.find((each) => each === misfit?.path[0]);
		if (!list) return undefined;
		const [, row, field] = misfit?.path ?? [];
		const title = say(LIST_TEXTS[list].title);
		if (typeof row !== 'number') return title;
		const heading = columns[list].find(({ id }) => id === field)?.heading;
		return `${say(texts.row, { list: title, row: row + 1 })}${heading ? `, ${heading}` : ''}:`;
	});
	const faultOf = (field: string) => (misfit?.path[0] === field ? misfit.message : '');
</script>

{#snippet list(id: List)}
	{@const { title, says, add } = LIST_TEXTS[id]}
	<TypedList
		title={say(title)}
		says={say(says)}
		add={say(add)}
		table={tables[id]}
		columns={columns[id]}
		fault={faultIn(id)}
	>
		{#snippet ways()}
			{#if id === 'games'}
				<a href="/{data.team.id}/calendar/games?season={data.season.id}">{say(texts.fromAFile)}</a>
			{/if}
		{/snippet}
	</TypedList>
{/snippet}

<Page team={data.team} current="dates" title={say(texts.dates)} intro={say(texts.intro)}>
	{#snippet ways()}
		{#if data.seasons.length > 1}
			<Choice
				id="which"
				label=""
				of={data.seasons}
				chosen={data.season.id}
				onchoose={(id) => void goto(`?season=${encodeURIComponent(id)}`)}
			/>
		{/if}
	{/snippet}
	<Outcome {misfit} {where} saved={!!form && 'saved' in form && !isChanged} {draft} form={sheet} />
	<DraftForm {draft} action="?/save" bind:form={sheet} class="dates">
		<input type="hidden" name="season" value={data.season.id} />
		<input type="hidden" name="parts" value={json} />
		<div class="facts">
			<TextInput
				id="season-name"
				labelText={say(texts.name)}
				required
				maxlength={200}
				bind:value={name}
				invalid={!!faultOf('name')}
				invalidText={faultOf('name')}
			/>
			<TextInput
				id="first-day"
				type="date"
				labelText={say(texts.firstDay)}
				required
				bind:value={firstDay}
				invalid={!!faultOf('firstDay')}
				invalidText={faultOf('firstDay')}
			/>
			<NumberInput
				id="weeks"
				labelText={say(texts.weeks)}
				min={1}
				max={60}
				allowEmpty
				bind:value={weeks}
				invalidText={say(texts.weeksRange)}
			/>
		</div>
		{@render list('phases')}
		{@render list('patterns')}
		{@render list('daysOff')}
		{@render list('games')}
		<Button type="submit" disabled={!isChanged}>{say(texts.save)}</Button>
	</DraftForm>
	<form method="POST" action="?/make" class="make" use:enhance={stay(say)}>
		<input type="hidden" name="season" value={data.season.id} />
		{#if isChanged}
			<p>{say(texts.saveFirst)}</p>
		{:else if data.slots}
			{@const { count, first, last } = data.slots}
			<p>{say(texts.toMake, { count, first: dayWords(first), last: dayWords(last) })}</p>
			<Button type="submit" size="small">{say(texts.make, { count })}</Button>
		{:else if (data.season.patterns ?? []).length > 0}
			<p>{say(texts.noneToMake)}</p>
		{/if}
	</form>
	<Fold summary={say(texts.newSeason)} isOpen={!!newMisfit}>
		<p class="says">{say(texts.newSeasonSays)}</p>
		<Outcome misfit={newMisfit} />
		<form method="POST" action="?/create" class="facts" use:enhance={stay(say)}>
			<input type="hidden" name="season" value={data.season.id} />
			<TextInput id="new-name" name="name" labelText={say(texts.name)} required maxlength={200} />
			<TextInput
				id="new-first"
				name="firstDay"
				type="date"
				labelText={say(texts.firstDay)}
				required
				value={data.next}
			/>
			<NumberInput
				id="new-weeks"
				name="weeks"
				labelText={say(texts.weeks)}
				min={1}
				max={60}
				value={12}
			/>
			<label class="tickable carry">
				<input type="checkbox" name="rollsOn" checked />
				{say(texts.rollOn)}
			</label>
			<Button type="submit" size="field">{say(texts.createSeason)}</Button>
		</form>
	</Fold>
</Page>

<style>
	:global(form.dates) {
		display: grid;
		gap: 26px;
		justify-items: start;
	}
	:global(form.dates > div),
	:global(form.dates > section) {
		width: 100%;
	}
	.facts {
		display: grid;
		grid-template-columns: minmax(200px, 2fr) 170px 150px auto;
		gap: 16px;
		align-items: end;
		max-width: 760px;
	}
	.carry {
		grid-column: 1 / -1;
	}
	.make {
		display: flex;
		flex-wrap: wrap;
		gap: 8px 18px;
		align-items: center;
		margin: 22px 0;
		padding: 12px 0;
		border-top: 1px solid var(--ink);
		font-size: 14px;
	}
	.says {
		padding-bottom: 8px;
		font-size: 13px;
		color: var(--ink-soft);
	}
	@media (max-width: 672px) {
		.facts {
			grid-template-columns: 1fr 1fr;
		}
	}
</style>
