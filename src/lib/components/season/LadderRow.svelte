<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { enhance } from '$app/forms';
	import type { Drill } from '$core/model/drill';
	import { DEFAULT_WINDOW, type AdviceFor, type LadderStanding, type Whose } from '$core/season';
	import { dayWords } from '$lib/components/page/dates';
	import { stay } from '$lib/components/page/notice.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/ladders';
	import { percent } from '../tape/words';
	import LadderBar from './LadderBar.svelte';
	import { adviceWords, rungNames, standingWords } from './ladderWords';

	/** A ladder: where it stands, what was counted and what that advises, and what a coach decides. */
	let {
		team,
		drill,
		standing,
		whose,
		nameOf
	}: {
		team: string;
		drill: Drill;
		standing: LadderStanding;
		/** Whose ladder it is: what is decided is decided for them. */
		whose: Whose;
		/** What those who were counted apart are called. */
		nameOf: (of: AdviceFor) => string;
	} = $props();

	const say = useWords();
	let isOpen = $state(false);
	const names = $derived(rungNames(drill, say));
	const at = $derived(standing.rungs[standing.at].id);
	const window = $derived(drill.success?.window ?? DEFAULT_WINDOW);
	const advice = $derived(standing.whole?.advice ?? 'stay');
	const needs = $derived(
		standing.needs.map((id) => drill.rungs.find((rung) => rung.id === id)?.name ?? id)
	);
	const CHOICES = ['up', 'stay', 'down'] as const;
</script>

{#snippet whom()}
	<input
		type="hidden"
		name="whom"
		value={whose === null ? 'squad' : 'unit' in whose ? 'unit' : 'player'}
	/>
	<input
		type="hidden"
		name="whomId"
		value={whose === null ? '' : 'unit' in whose ? whose.unit : whose.player}
	/>
{/snippet}

<li>
	<a href="/{team}/drills/{drill.id}">{drill.name}</a>
	<LadderBar {standing} {names} />
	<div>
		<p>{say(texts.standsAt, { rungName: names[standing.at], day: dayWords(standing.last) })}</p>
		<p class="says">
			<b>{standingWords(standing, names, say)}</b>
			{#if standing.whole}
				<small>
					{say(texts.evidence, {
						above: percent(standing.whole.above),
						below: percent(standing.whole.below)
					})} · {say(texts.window, { lower: percent(window[0]), upper: percent(window[1]) })}
				</small>
			{/if}
		</p>
		{#each standing.each as each (`${each.whom} ${each.whomId ?? ''}`)}
			<p>
				{say(texts.byWhom, {
					name: nameOf(each),
					says: adviceWords(each, { names, at: standing.at }, say)
				})}
			</p>
		{/each}
		{#if standing.next !== standing.at}
			<p>{say(texts.next, { rungName: names[standing.next] })}</p>
		{/if}
		{#if needs.length > 0}<p class="needs">{say(texts.needs, { names: needs.join(', ') })}</p>{/if}
		{#if standing.ruling}
			<form method="POST" action="?/unrule" use:enhance={stay(say)}>
				<p>
					{say(texts.ruledSo, { ...standing.ruling, day: dayWords(standing.ruling.date) })}
					<input type="hidden" name="drill" value={drill.id} />
					<input type="hidden" name="date" value={standing.ruling.date} />
					{@render whom()}
					<button class="link">{say(texts.takeBack)}</button>
				</p>
			</form>
		{/if}
	</div>
	<div class="decide">
		{#if isOpen}
			<form
				method="POST"
				action="?/rule"
				use:enhance={(input) => {
					const after = stay(say)(input);
					isOpen = false;
					return after;
				}}
			>
				<input type="hidden" name="drill" value={drill.id} />
				<input type="hidden" name="rung" value={at ?? ''} />
				{@render whom()}
				<input type="hidden" name="advice" value={advice} />
				<small>{say(texts.advised, { advice })}</small>
				<fieldset>
					<legend class="unseen">{say(texts.decide)}</legend>
					{#each CHOICES.filter((each) => each !== advice) as chosen, index (chosen)}
						<label class="tickable">
							<input type="radio" name="chosen" value={chosen} checked={index === 0} />
							{say(texts.chosen, { chosen })}
						</label>
					{/each}
				</fieldset>
				<label class="caption">
					{say(texts.why)}
					<input
						class="typed"
						name="reason"
						required
						maxlength="1000"
						placeholder={say(texts.whyHint)}
					/>
				</label>
				<Button size="small" type="submit">{say(texts.keep)}</Button>
			</form>
		{:else}
			<button type="button" class="link" onclick={() => (isOpen = true)}>{say(texts.decide)}</button
			>
		{/if}
	</div>
</li>

<style>
	li {
		display: grid;
		grid-template-columns: minmax(140px, 200px) minmax(90px, 150px) minmax(0, 1fr) minmax(0, 250px);
		gap: 4px 20px;
		align-items: start;
		padding: 9px 0;
		border-bottom: 1px solid var(--rule);
		font-size: 13.5px;
	}
	a {
		font-size: 14.5px;
		font-weight: 700;
		color: var(--ink);
	}
	p {
		line-height: 1.4;
	}
	b {
		font-weight: 650;
	}
	small {
		font-size: 12.5px;
		color: var(--ink-soft);
	}
	.needs {
		color: var(--wait-ink);
		font-weight: 650;
	}
	form {
		display: grid;
		gap: 6px;
		justify-items: start;
	}
	fieldset {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 16px;
		border: 0;
		padding: 0;
	}
	.decide .caption {
		width: 100%;
	}
	@media (max-width: 820px) {
		li {
			grid-template-columns: 1fr auto;
		}
		li > div {
			grid-column: 1 / -1;
		}
	}
</style>
