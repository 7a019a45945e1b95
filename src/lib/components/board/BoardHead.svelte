<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import type { Fault } from '$core/checks';
	import type { Evaluation } from '$core/playing';
	import type { Steps } from '$lib/state/history.svelte';
	import type { BoardView } from '$lib/state/boardView.svelte';
	import { plannedMinutes } from '$core/practice';
	import { clockAt } from '$core/conditions';
	import { percent } from '../tape/words';
	import { dayWords } from '../page/dates';
	import { useWords } from '$lib/components/page/words.svelte';
	import texts from '$texts/board';

	/** What this practice is, and what a player gets from it in four numbers. */
	let {
		evaluation,
		findings,
		steps,
		view,
		week,
		game
	}: {
		evaluation: Evaluation;
		findings: readonly Fault[];
		steps: Steps;
		view: BoardView;
		week: number;
		/** Whom the next game is against; undefined where none comes. */
		game: string | undefined;
	} = $props();

	const say = useWords();
	const { practice } = $derived(evaluation);
	const figures = $derived(evaluation.figures);
	const stops = $derived(findings.filter(({ severity }) => severity === 'stop').length);
	const others = $derived(findings.length - stops);
	const planned = $derived(plannedMinutes(practice));
	const end = $derived(clockAt(practice.start, practice.minutes * 60));
	const round = (value: number) => Math.round(value);
</script>

<section class="head" aria-label={say(texts.practice)}>
	<div class="what">
		<div class="day">
			<h1 class="wide">{dayWords(practice.date)}</h1>
			{#if game}
				<button class="link" onclick={() => (view.dialog = 'game')}
					>{say(texts.gameWeek, { name: game })}</button
				>
			{/if}
		</div>
		<p>
			<button
				class="link"
				title={say(texts.changeWhenAndWhere)}
				onclick={() => (view.dialog = 'practice')}
				>{say(texts.to, { start: practice.start, end, place: practice.place })}</button
			>{week > 0 ? say(texts.week, { week }) : ''}
		</p>
	</div>
	<dl>
		<div>
			<dd>
				<strong>{practice.expected.length}</strong>
				{say(texts.ofPlayers, { playerCount: evaluation.context.players.length })}
			</dd>
			<dt>
				<button class="link" onclick={() => (view.dialog = 'people')}
					>{say(texts.playersHere)}</button
				>
			</dt>
		</div>
		<div>
			<dd><strong>{practice.adults.length}</strong></dd>
			<dt>
				<button class="link" onclick={() => (view.dialog = 'people')}>{say(texts.adults)}</button>
			</dt>
		</div>
		<div>
			<dd><strong>{percent(figures.busyShare)}</strong></dd>
			<dt title={say(texts.sharesSay)}>
				{say(texts.ofTheTimeBusy, {
					opposed: percent(figures.opposedShare),
					standing: percent(figures.standingShare)
				})}
			</dt>
		</div>
		<div>
			<dd><strong>{round(figures.turns.mean)}</strong></dd>
			<dt>{say(texts.turnsEachTo, { min: figures.turns.min, max: figures.turns.max })}</dt>
		</div>
		<div>
			<dd><strong>{planned}</strong> {say(texts.ofMinutes, { minutes: practice.minutes })}</dd>
			<dt>{say(texts.minutesPlanned)}</dt>
		</div>
		<div>
			<dd><strong class:stops={stops > 0}>{stops}</strong> {say(texts.mustCould, { others })}</dd>
			<dt><a class="link" href="#to-fix">{say(texts.toFix)}</a></dt>
		</div>
	</dl>
	<div class="actions">
		<Button
			kind={practice.periods.length === 0 ? 'primary' : 'ghost'}
			size="small"
			title={say(texts.draftSays)}
			on:click={() => (view.dialog = 'draft')}>{say(texts.draft)}</Button
		>
		<Button
			kind="ghost"
			size="small"
			disabled={!steps.undoWords}
			title={steps.undoWords
				? say(texts.undoWhat, { undoWords: steps.undoWords })
				: say(texts.nothingToUndo)}
			on:click={() => steps.undo()}>{say(texts.undoButton)}</Button
		>
		<Button
			kind="ghost"
			size="small"
			disabled={!steps.redoWords}
			title={steps.redoWords
				? say(texts.redoWhat, { redoWords: steps.redoWords })
				: say(texts.nothingToRedo)}
			on:click={() => steps.redo()}>{say(texts.redoButton)}</Button
		>
		<Button
			kind="ghost"
			size="small"
			on:click={() => (view.dialog = 'keys')}
			title={say(texts.allKeys)}>{say(texts.keys)}</Button
		>
		<Button kind="primary" size="small" href="/{practice.teamId}/practices/{practice.id}/paper"
			>{say(texts.print)}</Button
		>
	</div>
</section>

<style>
	.head {
		display: flex;
		align-items: center;
		gap: 8px 18px;
		padding: 7px 16px;
		border-bottom: 1px solid var(--ink);
		flex-wrap: wrap;
	}
	.what {
		max-width: 330px;
	}
	.day {
		display: flex;
		gap: 12px;
		align-items: baseline;
	}
	.day .link {
		overflow: hidden;
		text-overflow: ellipsis;
		white-space: nowrap;
	}
	h1 {
		font-size: 19px;
		line-height: 1.2;
		font-weight: 750;
		white-space: nowrap;
	}
	.what .link {
		font-size: 12.5px;
		font-weight: 400;
		padding: 0;
	}
	.what p {
		font-size: 12.5px;
		color: var(--ink-soft);
	}
	dl {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 17px;
		flex: 1;
	}
	dl div {
		display: flex;
		flex-direction: column;
	}
	dd {
		font-size: 13.5px;
		line-height: 1.25;
	}
	dd strong {
		font-size: 19px;
		font-weight: 750;
	}
	dt,
	dt .link {
		font-size: 12px;
		font-stretch: 88%;
		color: var(--ink-soft);
		line-height: 1.2;
		font-weight: 400;
		padding: 0;
	}
	dt .link {
		display: inline-flex;
		align-items: center;
		min-height: 24px;
		margin: -4px 0;
		color: var(--action);
	}
	.stops {
		color: var(--stop);
	}
	.actions {
		display: flex;
		gap: 2px;
	}
	.actions :global(.bx--btn) {
		padding: 0 12px;
		min-width: 0;
	}
	@media (max-width: 672px) {
		dl {
			flex-basis: 100%;
			display: grid;
			grid-template-columns: repeat(3, 1fr);
			gap: 6px 10px;
		}
	}
</style>
