<script lang="ts">
	import { describeFinding, type Fault } from '$core/checks';
	import { type Evaluation, playersNowhere } from '$core/playing';
	import type { Edit } from '$core/practice';
	import { fixButtons } from './buttons';
	import SeverityMark from './SeverityMark.svelte';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/findings';

	/** What does not work, worst first, each with its fixes as buttons. */
	let {
		findings,
		fixes,
		evaluation,
		onfix,
		onarrange,
		onselect
	}: {
		findings: readonly Fault[];
		/** Fixes by the place of their finding; those that are still looked for have none yet. */
		fixes: Readonly<Record<number, Edit[]>>;
		evaluation: Evaluation;
		onfix: (edit: Edit) => void;
		/** People who have a place do not come: who is here is asked, and what that changes is shown. */
		onarrange: () => void;
		onselect: (finding: Fault) => void;
	} = $props();

	const say = useWords();
	const nowhere = $derived(playersNowhere(evaluation.practice, evaluation.runs));
	const isEmpty = $derived(evaluation.practice.periods.length === 0);
</script>

<section id="to-fix" tabindex="-1" aria-label={say(texts.toFix)}>
	<h2>
		{findings.length === 0
			? say(texts.nothingToFix)
			: say(texts.toFixCount, { count: findings.length })}
	</h2>
	{#if evaluation.context.players.length === 0}
		<p class="calm">
			{say(texts.thisTeamHasNoPlayersYet)}
			<a href="/{evaluation.practice.teamId}/squad">{say(texts.addTheSquadFirst)}</a>
		</p>
	{:else if isEmpty}
		<p class="calm">
			{say(texts.thisPracticeIsEmptyPutA)}
		</p>
	{:else if findings.length === 0}
		<p class="calm">{say(texts.everyoneHasAPlaceTheTime)}</p>
	{/if}
	{#if nowhere.length > 0 && !isEmpty}
		<p class="nowhere">
			<strong>{say(texts.inNoPartOfIt)}</strong>
			{nowhere.map((id) => evaluation.context.playerById.get(id)?.name ?? id).join(', ')}
		</p>
	{/if}
	<ul>
		{#each findings as finding, index (index)}
			<li>
				<SeverityMark severity={finding.severity} />
				<div>
					<button class="say" onclick={() => onselect(finding)}
						>{describeFinding(finding, evaluation, say)}</button
					>
					<div class="fixes">
						{#if finding.code === 'not-here'}
							<button class="link" onclick={onarrange}>{say(texts.arrangeForHere)}</button>
						{:else}{#each fixButtons(fixes[index] ?? [], evaluation, say) as { words, edit } (words)}
								<button class="link" onclick={() => onfix(edit)}>{words}</button>
							{/each}{/if}
					</div>
				</div>
			</li>
		{/each}
	</ul>
</section>

<style>
	section {
		min-height: 0;
		overflow-y: auto;
		border-top: 1px solid var(--ink);
		padding-top: 6px;
	}
	h2 {
		font-size: 13.5px;
		font-weight: 700;
	}
	li {
		display: grid;
		grid-template-columns: 20px 1fr;
		gap: 4px;
		padding: 6px 0 4px;
		border-bottom: 1px solid var(--rule);
	}
	.say {
		border: 0;
		background: none;
		padding: 0;
		font: inherit;
		color: inherit;
		text-align: left;
		line-height: 1.3;
		min-height: 24px;
		cursor: pointer;
	}
	.fixes {
		display: flex;
		flex-wrap: wrap;
		gap: 0 16px;
		min-height: 20px;
	}
	.nowhere {
		padding: 4px 0;
		line-height: 1.3;
		border-bottom: 1px solid var(--rule);
	}
	.calm {
		color: var(--ink-soft);
		padding: 4px 0;
	}
</style>
