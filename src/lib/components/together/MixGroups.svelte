<script lang="ts">
	import { enhance } from '$app/forms';
	import { Button, Checkbox, Select, SelectItem } from 'carbon-components-svelte';
	import { onMount } from 'svelte';
	import { dayWords } from '$lib/components/page/dates';
	import { stay } from '$lib/components/page/notice.svelte';
	import PairRules from '$lib/components/groups/PairRules.svelte';
	import SearchProgress from '$lib/components/page/SearchProgress.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import type { Mixable } from '$core/mixing';
	import { Planning } from '$lib/state/planning.svelte';
	import texts from '$texts/together';
	import { askedMix, rangeWith, sentMix } from './mixing';

	/** Groups of all practices to come, made anew so that the same players are together as seldom as can be. */
	let {
		team,
		players,
		mixable
	}: {
		team: string;
		players: readonly { id: string; name: string; unit?: string }[];
		mixable: Mixable;
	} = $props();

	const say = useWords();
	const SECONDS = 5;
	const planning = new Planning<'mix'>(say);
	onMount(() => () => planning.close());

	let at = $state('0');
	let together: string[][] = $state.raw([]);
	let apart: string[][] = $state.raw([]);
	let mixesUnits = $state(false);
	const choice = $derived(mixable.choices[Number(at)] ?? mixable.choices[0]);
	const squad = $derived(players.map(({ id }) => id));
	const hasUnits = $derived(new Set(players.map(({ unit }) => unit)).size > 1);
	const practices = $derived(new Set(choice.meetings.map(({ practice }) => practice)).size);
	const input = $derived(
		askedMix(choice, { players, met: mixable.met, wishes: { together, apart, mixesUnits } })
	);
	const before = $derived(
		rangeWith(
			squad,
			mixable.met,
			input.occasions.map(({ groups }) => groups)
		)
	);
	// What is shown belongs to what was asked: other wishes want another answer.
	const best = $derived(planning.answers?.input === input ? planning.best : null);
	const after = $derived(best && rangeWith(squad, mixable.met, best.sessions));
	const name = (id: string) => players.find((player) => player.id === id)?.name ?? id;
</script>

<section class="mix" aria-label={say(texts.mixTitle)}>
	<h2>{say(texts.mixTitle)}</h2>
	<p>{say(texts.mixSays, { count: practices, never: before.never })}</p>
	<div class="ask">
		<Select id="mix-what" size="sm" labelText={say(texts.mixWhat)} bind:selected={at}>
			{#each mixable.choices as { name: drill }, index (index)}
				<SelectItem value={String(index)} text={drill ?? say(texts.stationGroups)} />
			{/each}
		</Select>
		<PairRules {players} bind:together bind:apart />
	</div>
	{#if hasUnits}
		<Checkbox id="mix-units" labelText={say(texts.mixUnits)} bind:checked={mixesUnits} />
	{/if}
	<Button
		size="small"
		disabled={planning.isRunning}
		on:click={() => planning.ask({ kind: 'mix', input, seconds: SECONDS })}
		>{say(texts.mixGroups)}</Button
	>
	<SearchProgress {planning} does={say(texts.mixing)} />
	{#if best && after !== null && !planning.isRunning}
		<p class="outcome" role="status">
			<strong>{say(texts.neverFromTo, { before: before.never, after: after.never })}</strong>
			<strong>{say(texts.mostFromTo, { before: before.most, after: after.most })}</strong>
			{best.optimal ? say(texts.nothingBetter) : ''}
		</p>
		<form method="POST" action="/{team}/together?/mix" use:enhance={stay(say)}>
			<input
				type="hidden"
				name="sent"
				value={JSON.stringify(sentMix(choice.meetings, best.sessions))}
			/>
			<Button type="submit" size="small">{say(texts.useMixed, { count: practices })}</Button>
		</form>
		<ul class="sessions">
			{#each choice.meetings as { practice, periods, date, name: period }, index (`${practice} ${periods[0]}`)}
				<li>
					<a href="/{team}/practices/{practice}">{dayWords(date)}</a>
					<span class="period">{period}</span>
					<ol>
						{#each best.sessions[index] ?? [] as group, place (place)}
							<li>{group.map(name).join(', ')}</li>
						{/each}
					</ol>
				</li>
			{/each}
		</ul>
	{/if}
</section>

<style>
	.mix {
		padding-top: 28px;
		max-width: 1100px;
	}
	h2 {
		font-size: 15px;
		font-weight: 700;
		padding-bottom: 8px;
		border-bottom: 1px solid var(--ink);
	}
	p {
		padding: 8px 0;
		font-size: 14px;
	}
	.ask {
		display: grid;
		gap: 12px;
		max-width: 420px;
		padding-bottom: 6px;
	}
	.outcome strong {
		display: block;
		font-size: 16px;
	}
	.sessions {
		columns: 2;
		column-gap: 32px;
		padding-top: 12px;
	}
	.sessions > li {
		break-inside: avoid;
		padding: 6px 0;
		border-bottom: 1px solid var(--rule);
		font-size: 13.5px;
	}
	.sessions a {
		font-weight: 700;
		color: var(--action);
	}
	.period {
		color: var(--ink-soft);
		padding-left: 6px;
	}
	ol {
		padding-left: 18px;
		list-style: decimal;
	}
	@media (max-width: 900px) {
		.sessions {
			columns: 1;
		}
	}
</style>
