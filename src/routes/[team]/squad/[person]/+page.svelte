<script lang="ts">
	import { Button, TextArea } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import { invalidateAll } from '$app/navigation';
	import { page } from '$app/state';
	import { sameValue, pathText } from '$core/base';
	import DraftForm from '$lib/components/page/DraftForm.svelte';
	import { FormDraft } from '$lib/state/formDraft.svelte';
	import type { Restriction } from '$core/model/team';
	import Outcome from '$lib/components/page/Outcome.svelte';
	import Page from '$lib/components/page/Page.svelte';
	import RemoveDialog from '$lib/components/page/RemoveDialog.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/squad';
	import RestrictionFields from '$lib/components/squad/RestrictionFields.svelte';
	import PersonRecord from '$lib/components/squad/PersonRecord.svelte';
	import type { ActionData, PageData } from './$types';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	const say = useWords();
	const { person } = $derived(data);
	// What is typed stays until what is stored changes.
	let note = $derived(data.person.note ?? '');
	let restrictions: Restriction[] = $derived(data.person.restrictions ?? []);
	let isLeaving = $state(false);

	let sheet: HTMLFormElement | undefined = $state();
	const isChanged = $derived(
		note !== (person.note ?? '') || !sameValue(restrictions, person.restrictions ?? [])
	);
	const draft = new FormDraft<{ note: string; restrictions: Restriction[] }>({
		say,
		about: untrack(() => page.url.pathname),
		stamp: () => data.stamp,
		read: () => ({ note, restrictions }),
		write: (typed) => ({ note, restrictions } = typed),
		isChanged: () => isChanged,
		reload: invalidateAll
	});
	const misfit = $derived(form && 'misfit' in form ? form.misfit : null);
	const facts = $derived(JSON.stringify({ note, restrictions }));
	/** Where a fault is, as the page calls it. */
	const place = $derived.by(() => {
		const [list, index, ...path] = misfit?.path ?? [];
		if (list !== 'restrictions' || typeof index !== 'number') return undefined;
		const field = pathText(path);
		const fields: Record<string, string> = {
			setBy: say(texts.setByField),
			since: say(texts.firstDayField),
			until: say(texts.lastDayField),
			drills: say(texts.drillsField),
			'cleared.by': say(texts.liftedByField),
			'cleared.on': say(texts.liftedFromField)
		};
		return say(texts.restrictionFault, {
			number: index + 1,
			field: fields[field] ?? field
		});
	});
	const fault = (index: number, field: string) =>
		misfit && pathText(misfit.path) === `restrictions[${index}].${field}` ? misfit.message : '';
</script>

<Page
	team={data.team}
	current="squad"
	title={person.name}
	narrow
	intro={say(texts.whatIsSaidHereIsFor)}
>
	{#snippet ways()}
		<a href="/{data.team.id}/squad">{say(texts.backToTheSquad)}</a>
		<a href="/{data.team.id}/squad/{encodeURIComponent(person.id)}/export" download
			>{say(texts.downloadWhatIsKept)}</a
		>
		<Button size="small" kind="danger-tertiary" on:click={() => (isLeaving = true)}
			>{say(texts.remove)}</Button
		>
	{/snippet}
	<Outcome
		{misfit}
		where={place}
		saved={!!form && 'saved' in form && !isChanged}
		{draft}
		form={sheet}
	/>
	<div class="columns">
		<DraftForm {draft} action="?/save" bind:form={sheet}>
			<input type="hidden" name="facts" value={facts} />
			<TextArea
				id="note"
				rows={3}
				maxlength={2000}
				labelText={say(texts.notes)}
				bind:value={note}
			/>
			<h2>{say(texts.keptOutOf)}</h2>
			<p>
				{say(texts.onlyALicensedPractitionerSetsAnd)}
			</p>
			{#each restrictions as restriction, index (index)}
				<RestrictionFields
					{restriction}
					{index}
					today={data.today}
					areas={data.team.skillAreas}
					drills={data.drills}
					fault={(field) => fault(index, field)}
					onchange={(next) => (restrictions = restrictions.with(index, next))}
					onremove={() => (restrictions = restrictions.toSpliced(index, 1))}
				/>
			{:else}
				<p>{say(texts.nothing)}</p>
			{/each}
			<div class="actions">
				<Button type="submit">{say(texts.save)}</Button>
				<Button
					kind="tertiary"
					on:click={() =>
						(restrictions = [...restrictions, { from: 'contact', since: data.today, setBy: '' }])}
					>{say(texts.addARestriction)}</Button
				>
			</div>
		</DraftForm>
		<PersonRecord team={data.team} kept={data} />
	</div>
</Page>

{#if isLeaving}
	<RemoveDialog
		what={person.name}
		says={say(texts.nameNumberUnitRatingsAndNotes)}
		field="player"
		value={person.id}
		onclose={() => (isLeaving = false)}
	/>
{/if}

<style>
	.columns {
		display: grid;
		grid-template-columns: 1.4fr 1fr;
		gap: 32px;
	}
	h2 {
		font-size: 15px;
		font-weight: 700;
		padding: 18px 0 4px;
	}
	p {
		color: var(--ink-soft);
		font-size: 13px;
		line-height: 1.4;
	}
	.actions {
		display: flex;
		gap: 12px;
		padding-top: 16px;
	}
	@media (max-width: 672px) {
		.columns {
			grid-template-columns: 1fr;
		}
	}
</style>
