import { nanoid } from 'nanoid';
import { tick } from 'svelte';
import type { BoardView } from '$lib/state/boardView.svelte';
import type { Say } from '$words';
import type { Evaluation } from '$core/playing';
import { describeFit } from '$core/checks';
import {
	copyPeriod,
	fitToTime,
	mergeBlocks,
	mergeWithNext,
	movingGroups,
	setMinutes,
	splitBlock,
	splitPeriod
} from '$core/building';
import { applyEdit, type Edit, findBlock } from '$core/practice';
import { columnsOf } from '../tape/layout';
import { PIVOTS } from '../tape/pivots';
import { proposeZone } from '../tape/proposals';
import { isTyping } from './keys';
import texts from '$texts/board';

/** What is done to the selected period or block, by a key or a button. */
export interface Selected {
	evaluation: Evaluation;
	view: BoardView;
	say: Say;
	apply: (edit: Edit) => void;
}

/** What the board offers to its keys. */
export interface BoardActions extends Selected {
	undo: () => void;
	redo: () => void;
}

function resizeSelected({ evaluation, view, apply }: Selected, step: number): void {
	const period = evaluation.practice.periods.find(({ id }) => id === view.period);
	const minutes = (period?.minutes ?? 0) + step;
	if (period && minutes >= 1 && minutes <= 600)
		apply(setMinutes(evaluation.practice, period.id, minutes));
}

function moveSelected({ evaluation, view, apply }: Selected, step: 1 | -1): void {
	const { periods } = evaluation.practice;
	const index = periods.findIndex(({ id }) => id === view.period);
	if (index < 0 || index + step < 0 || index + step >= periods.length) return;
	const after = step < 0 ? periods[index - 2]?.id : periods[index + 1].id;
	apply({ type: 'move-period', period: periods[index].id, after: after ?? null });
}

/** Moves the selected block's first copy to the lane beside it. */
function moveSideways({ evaluation, view, apply, say }: Selected, step: 1 | -1): void {
	const found = view.block ? findBlock(evaluation.practice, view.block) : undefined;
	const copy = found?.block.copies[0];
	if (!found || !copy) return;
	const columns = columnsOf(evaluation.context);
	const at = columns.findIndex(({ zone }) => zone.id === copy.zoneId);
	const move = { blockId: found.block.id, copyIds: new Set([copy.id]), column: at + step, columns };
	const proposal = at < 0 ? null : proposeZone(evaluation, move, say);
	if (proposal) apply(proposal.edit);
	view.said = proposal?.words ?? say(texts.thereIsNoLaneBesideThis);
}

/** Puts the selected period again behind itself. */
export function duplicateSelected({ evaluation, view, apply }: Selected): void {
	const period = evaluation.practice.periods.find(({ id }) => id === view.period);
	if (!period) return;
	const again = copyPeriod(period, () => nanoid(8));
	apply({ type: 'add-period', period: again, after: period.id });
	view.select(again.id, again.lanes[0]?.blocks[0]?.id ?? null);
}

/** Cuts the selected period into two halves. */
export function splitSelected({ evaluation, view, apply, say }: Selected): void {
	const edit = view.period && splitPeriod(evaluation.practice, view.period, () => nanoid(8));
	if (edit) apply(edit);
	else view.said = say(texts.periodOfOneMinuteCannotBe);
}

/** Makes the selected period and the one behind it one. */
export function mergeSelected({ evaluation, view, apply, say }: Selected): void {
	const edit = view.period && mergeWithNext(evaluation.practice, view.period);
	if (edit) apply(edit);
	else view.said = say(texts.youCanMergeOnlyWithThe);
}

/** Cuts the selected block into two halves on its lane. */
export function splitSelectedBlock({ evaluation, view, apply, say }: Selected): void {
	const edit = view.block && splitBlock(evaluation.practice, view.block, () => nanoid(8));
	if (edit) apply(edit);
	else view.said = say(texts.stationOrBlockOfOneMinute);
}

/** Makes the selected block and the one behind it on its lane one. */
export function mergeSelectedBlock({ evaluation, view, apply, say }: Selected): void {
	const edit = view.block && mergeBlocks(evaluation.practice, view.block);
	if (edit) apply(edit);
	else view.said = say(texts.onlyBlockThatRunsTheSame);
}

/** Keeps the selected period's minutes when the rest is fitted, or lets them go again. */
export function lockSelected({ evaluation, view, apply }: Selected): void {
	const period = evaluation.practice.periods.find(({ id }) => id === view.period);
	if (period)
		apply({ type: 'set-period', period: period.id, set: { locked: period.locked ? null : true } });
}

/** Fits the periods to the time and says what shrank, grew or dropped. */
function fitAll({ evaluation, view, apply, say }: Selected): void {
	const { practice, context } = evaluation;
	const fitting = fitToTime(practice, context.limits);
	if (!fitting.ok) {
		view.said = fitting.failure.message;
		return;
	}
	const fitted = applyEdit(practice, fitting.value);
	apply(fitting.value);
	if (fitted.ok) view.said = describeFit(practice, fitted.value.practice, say);
}

/** Opens the groups of the selected period, or says what is missing. */
export function openGroups({ evaluation, view, say }: Selected): void {
	const period = evaluation.practice.periods.find(({ id }) => id === view.period);
	if (period && movingGroups(period).length > 1) view.dialog = 'groups';
	else view.said = say(texts.selectPeriodWithGroupsSplitIt);
}

/** Opens the way through the stations of the selected period, or says what is missing. */
export function openRotation({ evaluation, view, say }: Selected): void {
	const period = evaluation.practice.periods.find(({ id }) => id === view.period);
	if (period?.slots) view.dialog = 'rotation';
	else view.said = say(texts.selectPeriodWithStations);
}

type KeyAction = (actions: BoardActions) => unknown;

/** Shows the shelf, and puts the cursor into its search once it is there. */
async function findDrill({ view }: BoardActions): Promise<void> {
	view.panel = 'shelf';
	await tick();
	document.getElementById('find-drill')?.focus();
}

const moveNow =
	(seconds: number): KeyAction =>
	({ evaluation, view }) =>
		view.moveTo(view.now + seconds, evaluation.seconds);

const LETTERS: ReadonlyMap<string, KeyAction> = new Map<string, KeyAction>([
	['j', ({ evaluation, view }) => view.step(evaluation.practice, 1)],
	['k', ({ evaluation, view }) => view.step(evaluation.practice, -1)],
	['[', (actions) => resizeSelected(actions, -1)],
	[']', (actions) => resizeSelected(actions, 1)],
	['{', (actions) => resizeSelected(actions, -5)],
	['}', (actions) => resizeSelected(actions, 5)],
	['d', duplicateSelected],
	['x', splitSelected],
	['m', mergeSelected],
	['X', splitSelectedBlock],
	['M', mergeSelectedBlock],
	['l', lockSelected],
	[',', moveNow(-60)],
	['.', moveNow(60)],
	['s', ({ view }) => view.period && view.block && (view.dialog = 'stations')],
	['g', openGroups],
	['r', openRotation],
	['f', fitAll],
	['/', findDrill],
	['u', ({ undo }) => undo()],
	['U', ({ redo }) => redo()],
	...PIVOTS.map(({ pivot }, index): [string, KeyAction] => [
		String(index + 1),
		({ view }) => (view.pivot = pivot)
	]),
	['?', ({ view }) => (view.dialog = 'keys')]
]);

const isCommand = (event: KeyboardEvent) => event.ctrlKey || event.metaKey;

/** The action of a key press, or null where it is none of the board's. */
function actionOf(event: KeyboardEvent, lettersAreOn: boolean): KeyAction | null {
	if (isCommand(event) && event.key.toLowerCase() === 'z')
		return ({ undo, redo }) => (event.shiftKey ? redo() : undo());
	if (isCommand(event)) return null;
	if (event.altKey && event.key === 'ArrowUp') return (actions) => moveSelected(actions, -1);
	if (event.altKey && event.key === 'ArrowDown') return (actions) => moveSelected(actions, 1);
	if (event.altKey && event.key === 'ArrowLeft') return (actions) => moveSideways(actions, -1);
	if (event.altKey && event.key === 'ArrowRight') return (actions) => moveSideways(actions, 1);
	if (event.altKey) return null;
	if (event.key === 'Escape') return ({ view }) => view.select(null);
	if (event.key === 'Delete')
		return ({ view, apply }) =>
			view.period && apply({ type: 'remove-period', period: view.period });
	if (event.key === ' ' && event.target === document.body)
		return ({ view }) => (view.isPlaying = !view.isPlaying);
	return lettersAreOn ? (LETTERS.get(event.key) ?? null) : null;
}

/** Handles a key press on the board; leaves typing and open dialogs alone. */
export function handleKey(
	event: KeyboardEvent,
	actions: BoardActions,
	lettersAreOn: boolean
): void {
	if (isTyping(event) || actions.view.dialog) return;
	const action = actionOf(event, lettersAreOn);
	if (!action) return;
	event.preventDefault();
	action(actions);
}
