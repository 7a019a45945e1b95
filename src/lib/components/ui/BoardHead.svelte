<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import type { PracticeEditor } from '$lib/state/practiceEditor.svelte';
	import type { BoardView } from '$lib/state/boardView.svelte';
	import { plannedMinutes } from '$core/practice';
	import { clockAt } from '$core/conditions';
	import { percent } from '../tape/words';
	import { dayWords } from './dates';
	import { useWording } from '../page/wording.svelte';

	/** What this practice is, and what a player gets from it in four numbers. */
	let { editor, view, week }: { editor: PracticeEditor; view: BoardView; week: number } = $props();

	const w = useWording();
	const { practice } = $derived(editor);
	const figures = $derived(editor.evaluation.figures);
	const stops = $derived(editor.findings.filter(({ severity }) => severity === 'stop').length);
	const others = $derived(editor.findings.length - stops);
	const planned = $derived(plannedMinutes(practice));
	const end = $derived(clockAt(practice.start, practice.minutes * 60));
	const round = (value: number) => Math.round(value);
</script>

<section class="head" aria-label={w('Practice')}>
	<div class="what">
		<h1 class="wide">{dayWords(practice.date)}</h1>
		<p>
			<button
				class="link"
				title={w('Change when and where')}
				onclick={() => (view.dialog = 'practice')}
				>{practice.start} to {end}, {practice.place}</button
			>{week > 0 ? `, week ${week}` : ''}
		</p>
	</div>
	<dl>
		<div>
			<dd><strong>{practice.expected.length}</strong> of {editor.context.players.length}</dd>
			<dt>
				<button class="link" onclick={() => (view.dialog = 'people')}>{w('players here')}</button>
			</dt>
		</div>
		<div>
			<dd><strong>{practice.adults.length}</strong></dd>
			<dt><button class="link" onclick={() => (view.dialog = 'people')}>{w('adults')}</button></dt>
		</div>
		<div>
			<dd><strong>{percent(figures.busyShare)}</strong></dd>
			<dt>of the time busy</dt>
		</div>
		<div>
			<dd><strong>{round(figures.turns.mean)}</strong></dd>
			<dt>{w('turns each')} ({figures.turns.min} to {figures.turns.max})</dt>
		</div>
		<div>
			<dd><strong>{planned}</strong> of {practice.minutes}</dd>
			<dt>minutes planned</dt>
		</div>
		<div>
			<dd><strong class:stops={stops > 0}>{stops}</strong> must · {others} could</dd>
			<dt><a class="link" href="#to-fix">to fix</a></dt>
		</div>
	</dl>
	<div class="actions">
		<Button
			kind="ghost"
			size="small"
			disabled={!editor.undoWords}
			title={editor.undoWords ? `Undo: ${editor.undoWords}` : 'Nothing to undo'}
			on:click={() => editor.undo()}>Undo</Button
		>
		<Button
			kind="ghost"
			size="small"
			disabled={!editor.redoWords}
			title={editor.redoWords ? `Redo: ${editor.redoWords}` : 'Nothing to redo'}
			on:click={() => editor.redo()}>Redo</Button
		>
		<Button kind="ghost" size="small" on:click={() => (view.dialog = 'keys')} title="All keys (?)"
			>Keys</Button
		>
		<Button kind="primary" size="small" href="/{practice.teamId}/practices/{practice.id}/paper"
			>Print</Button
		>
	</div>
</section>

<style>
	.head {
		display: flex;
		align-items: center;
		gap: 8px 26px;
		padding: 7px 16px;
		border-bottom: 1px solid var(--ink);
		flex-wrap: wrap;
	}
	.what {
		max-width: 330px;
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
		gap: 4px 24px;
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
