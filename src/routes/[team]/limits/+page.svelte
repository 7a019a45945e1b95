<script lang="ts">
	import { Button, NumberInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import { invalidateAll } from '$app/navigation';
	import { page } from '$app/state';
	import { sameValue } from '$core/base';
	import DraftForm from '$lib/components/page/DraftForm.svelte';
	import { FormDraft } from '$lib/state/formDraft.svelte';
	import { DEFAULT_LIMITS, LIMIT_FACTS, type LimitFact } from '$core/practice';
	import type { Limits } from '$core/model/limits';
	import AgeTable from '$lib/components/limits/AgeTable.svelte';
	import RestDays from '$lib/components/limits/RestDays.svelte';
	import LoadCaps from '$lib/components/limits/LoadCaps.svelte';
	import Outcome from '$lib/components/page/Outcome.svelte';
	import Page from '$lib/components/page/Page.svelte';
	import type { ActionData, PageData } from './$types';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/limits';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	/** Numbers by age while they are typed in. */
	type ByAge = { under: number | null; value: number | null }[];
	const say = useWords();
	const shown = ({ key, unit }: LimitFact, limits: PageData['limits']) =>
		unit === '%' ? Math.round(limits[key] * 100) : limits[key];
	// What is typed stays until the stored limits themselves change.
	const stored = $derived({
		values: Object.fromEntries(LIMIT_FACTS.map((fact) => [fact.key, shown(fact, data.limits)])),
		ages: data.limits.playersAnAdult.map(({ under, players }) => ({ under, value: players })),
		stands: data.limits.standSeconds.map(({ under, seconds }) => ({ under, value: seconds })),
		efforts: data.limits.effortCaps.map(({ under, effort }) => ({ under, value: effort })),
		contacts: data.limits.contactCaps.map(({ under, contact }) => ({ under, value: contact })),
		lengths: data.limits.drillMinutes.map(({ under, minutes }) => ({ under, value: minutes })),
		loads: data.limits.loads,
		rests: data.limits.rest
	});
	let values: Record<string, number | null> = $derived(stored.values);
	let ages: ByAge = $derived(stored.ages);
	let stands: ByAge = $derived(stored.stands);
	let efforts: ByAge = $derived(stored.efforts);
	let contacts: ByAge = $derived(stored.contacts);
	let lengths: ByAge = $derived(stored.lengths);
	let loads: Limits['loads'] = $derived(stored.loads);
	let rests: Limits['rest'] = $derived(stored.rests);
	const typed = $derived({ values, ages, stands, efforts, contacts, lengths, loads, rests });
	let sheet: HTMLFormElement | undefined = $state();
	const isChanged = $derived(!sameValue(typed, stored));
	const draft = new FormDraft<typeof typed>({
		say,
		about: untrack(() => page.url.pathname),
		stamp: () => data.stamp,
		read: () => typed,
		// What was kept by an earlier version may lack some.
		write: (kept) =>
			({ values, ages, stands, efforts, contacts, lengths, loads, rests } = { ...stored, ...kept }),
		isChanged: () => isChanged,
		reload: invalidateAll
	});
	const BY_AGE = [
		{
			...{ field: 'effort', least: 1, most: 10, heading: texts.effort },
			...{ legend: texts.hardestByAge, says: texts.hardestByAgeSays }
		},
		{
			...{ field: 'contact', least: 0, most: 4, heading: texts.level },
			...{ legend: texts.mostContactByAge, says: texts.mostContactByAgeSays }
		},
		{
			...{ field: 'minutes', least: 1, most: 600, heading: texts.minutesWord },
			...{ legend: texts.drillLongByAge, says: texts.drillLongByAgeSays }
		}
	] as const;
	type AgeLimit = (typeof BY_AGE)[number]['field'];
	function byAge(name: AgeLimit): ByAge {
		if (name === 'effort') return efforts;
		return name === 'contact' ? contacts : lengths;
	}
	function setByAge(name: AgeLimit, rows: ByAge) {
		if (name === 'effort') efforts = rows;
		else if (name === 'contact') contacts = rows;
		else lengths = rows;
	}
	const isOwn = (fact: LimitFact) => values[fact.key] !== shown(fact, DEFAULT_LIMITS);
	const misfit = $derived(form && 'misfit' in form ? form.misfit : null);
</script>

<Page
	team={data.team}
	current="limits"
	title={say(texts.limits)}
	narrow
	intro={say(texts.whatEveryPracticeIsCheckedAgainst)}
>
	<Outcome {misfit} saved={!!form && !isChanged} {draft} form={sheet} />
	{#if data.cautions.length > 0}
		<section>
			<h2>{say(texts.usuallyLookedAfterInThisSport)}</h2>
			<ul class="cautions">
				{#each data.cautions as caution (caution)}<li>{caution}</li>{/each}
			</ul>
		</section>
	{/if}
	<DraftForm {draft} action="?/save" bind:form={sheet}>
		<ul>
			{#each LIMIT_FACTS as fact (fact.key)}
				<li>
					<NumberInput
						id={fact.key}
						name={fact.key}
						size="sm"
						labelText="{say(fact.name)}, {fact.unit}"
						min={fact.least}
						max={fact.most}
						step={fact.step}
						value={values[fact.key]}
						on:change={(event) => (values = { ...values, [fact.key]: event.detail })}
						on:input={(event) => (values = { ...values, [fact.key]: event.detail })}
						invalid={misfit?.path[0] === fact.key}
						invalidText={misfit?.message}
					/>
					<span>{say(fact.says)}</span>
					<span class="default">
						{#if isOwn(fact)}{say(texts.otherwise, {
								shown: shown(fact, DEFAULT_LIMITS),
								unitName: fact.unit
							})}{/if}
					</span>
				</li>
			{/each}
			<li class="ages">
				<AgeTable
					legend={say(texts.playersPerAdultByAge)}
					heading={say(texts.oneFor)}
					name="players"
					rows={ages}
					most={99}
					onrows={(rows) => (ages = rows)}
				/>
				<span>{say(texts.howManyPlayersOneAdultMay)}</span>
			</li>
			<li class="ages">
				<AgeTable
					legend={say(texts.standing)}
					heading={say(texts.seconds)}
					name="seconds"
					rows={stands}
					most={3600}
					onrows={(rows) => (stands = rows)}
				/>
				<span>{say(texts.standingSays)}</span>
			</li>
			{#each BY_AGE as { legend, heading, field, least, most, says } (field)}
				<li class="ages">
					<AgeTable
						legend={say(legend)}
						heading={say(heading)}
						name={field}
						{least}
						{most}
						rows={byAge(field)}
						onrows={(rows) => setByAge(field, rows)}
					/>
					<span>{say(says)}</span>
				</li>
			{/each}
			<li class="ages">
				<LoadCaps kinds={data.loads} caps={loads} oncaps={(caps) => (loads = caps)} />
				<input type="hidden" name="loads" value={JSON.stringify(loads)} />
				<span>{say(texts.loadCapsSay)}</span>
			</li>
			<li class="ages">
				<RestDays kinds={data.loads} {rests} onrests={(all) => (rests = all)} />
				<input type="hidden" name="rest" value={JSON.stringify(rests)} />
				<span>{say(texts.restDaysSay)}</span>
			</li>
		</ul>
		<div class="actions">
			<Button type="submit">{say(texts.saveTheLimits)}</Button>
			<Button kind="ghost" type="submit" formaction="?/reset">{say(texts.backToTheDefaults)}</Button
			>
		</div>
	</DraftForm>
</Page>

<style>
	h2 {
		font-size: 14px;
		font-weight: 700;
	}
	section {
		padding-bottom: 14px;
	}
	.cautions {
		border: 0;
	}
	.cautions li {
		display: list-item;
		list-style: disc inside;
		padding: 1px 0;
		border: 0;
		font-size: 14px;
	}
	ul {
		border-top: 1px solid var(--ink);
	}
	li {
		display: grid;
		grid-template-columns: 250px 1fr 150px;
		gap: 4px 20px;
		align-items: end;
		padding: 8px 0;
		border-bottom: 1px solid var(--rule);
		line-height: 1.35;
	}
	.default {
		color: var(--ink-soft);
		font-size: 13px;
	}
	.actions {
		display: flex;
		gap: 12px;
		padding-top: 16px;
	}
	@media (max-width: 672px) {
		li {
			grid-template-columns: 1fr;
		}
	}
</style>
