<script lang="ts">
	import { enhance } from '$app/forms';
	import { addDays } from '$core/conditions';
	import type { SkillAreas } from '$core/model/skill';
	import type { DueSkill } from '$core/season';
	import { dayWords } from '$lib/components/page/dates';
	import { stay } from '$lib/components/page/notice.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/season';
	import { dueWords } from './dueWords';
	import { wholeName } from './names';
	import SideSection from './SideSection.svelte';

	/** What is due, in order, with its reasons; each can be pushed up, off, or to a day. */
	let {
		team,
		season,
		today,
		day,
		areas,
		units,
		due,
		most = 6
	}: {
		team: string;
		season: string;
		today: string;
		/** The day that it is due on. */
		day: string;
		areas: SkillAreas;
		units: readonly { id: string; name: string }[];
		due: { now: readonly DueSkill[]; later: readonly DueSkill[] };
		/** How many are shown. */
		most?: number;
	} = $props();

	const say = useWords();
	let opened: string | null = $state(null);
	const keyOf = ({ skill, unit = '' }: DueSkill) => `${skill} ${unit}`;
	// What neither owes nor has rested is not due.
	const shown = $derived(due.now.filter(({ score, push }) => score > 0 || push).slice(0, most));
</script>

{#snippet item(each: DueSkill, number: number | null)}
	{@const key = keyOf(each)}
	{@const name = wholeName(each, { areas, units }, say)}
	<li>
		<button
			type="button"
			class="name"
			aria-expanded={opened === key}
			aria-label={say(texts.changeDue, { name })}
			onclick={() => (opened = opened === key ? null : key)}
		>
			<b>{number ?? ''}</b>
			<strong>{name}</strong>
			<span>{each.owedMinutes >= 0.5 ? Math.round(each.owedMinutes) : ''}</span>
		</button>
		<p>{dueWords(each, say, day)}</p>
		{#if opened === key}
			<form
				method="POST"
				action="/{team}/season?/push"
				use:enhance={(input) => {
					const after = stay(say)(input);
					opened = null;
					return after;
				}}
			>
				<input type="hidden" name="season" value={season} />
				<input type="hidden" name="skill" value={each.skill} />
				<input type="hidden" name="unit" value={each.unit ?? ''} />
				{#if each.push?.push !== 'up'}
					<button class="link" name="push" value="up">{say(texts.firstOfAll)}</button>
				{/if}
				{#if each.push?.push !== 'off'}
					<button class="link" name="push" value="off">{say(texts.notNow)}</button>
				{/if}
				<label>
					{say(texts.putOffTo)}
					<input
						type="date"
						name="day"
						min={addDays(today, 1)}
						value={each.push?.day ?? addDays(today, 7)}
					/>
				</label>
				<button class="link" name="push" value="day">{say(texts.set)}</button>
				{#if each.push}
					<button class="link" name="push" value="none">{say(texts.asItWas)}</button>
				{/if}
				<a href="/{team}/drills?skill={encodeURIComponent(each.skill)}">{say(texts.findDrills)}</a>
			</form>
		{/if}
	</li>
{/snippet}

<SideSection title={say(texts.dueOn, { day: dayWords(day) })} aside={say(texts.minutes)}>
	{#if shown.length === 0 && due.later.length === 0}
		<p class="none">
			{say(texts.nothingIsDue)} <a href="/{team}/targets">{say(texts.setTargets)}</a>
		</p>
	{/if}
	<ol>
		{#each shown as each, index (keyOf(each))}{@render item(each, index + 1)}{/each}
	</ol>
	{#if due.later.length > 0}
		<h3>{say(texts.later)}</h3>
		<ol>
			{#each due.later as each (keyOf(each))}{@render item(each, null)}{/each}
		</ol>
	{/if}
</SideSection>

<style>
	h3 {
		font-weight: 700;
		padding: 8px 0 4px;
		border-bottom: 1px solid var(--rule);
		font-size: 12.5px;
		color: var(--ink-soft);
	}
	li {
		padding: 5px 0 6px;
		border-bottom: 1px solid var(--rule);
	}
	.name {
		display: grid;
		grid-template-columns: 20px 1fr auto;
		width: 100%;
		min-height: 24px;
		align-items: center;
		padding: 0;
		border: 0;
		background: none;
		font: inherit;
		font-size: 14px;
		text-align: left;
		cursor: pointer;
	}
	.name:hover strong {
		text-decoration: underline;
		text-underline-offset: 3px;
	}
	.name span {
		font-variant-numeric: tabular-nums;
	}
	strong {
		font-weight: 700;
	}
	p {
		padding-left: 20px;
		font-size: 12.5px;
		line-height: 1.35;
		color: var(--ink-soft);
	}
	p.none {
		padding: 8px 0;
	}
	form {
		display: flex;
		flex-wrap: wrap;
		gap: 2px 14px;
		align-items: center;
		padding: 4px 0 4px 20px;
		font-size: 13px;
	}
	label {
		display: flex;
		gap: 6px;
		align-items: center;
	}
	input[type='date'] {
		height: 28px;
		padding: 0 4px;
		border: 1px solid var(--rule);
		background: #fff;
		font: inherit;
		font-size: 13px;
	}
	a {
		font-weight: 600;
		color: var(--action);
	}
</style>
