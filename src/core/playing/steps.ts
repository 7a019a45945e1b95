import { resolveDrill } from '../drill';
import type { Drill } from '../model/drill';
import type { Block } from '../model/practice';
import { climbOf } from '../practice';
import type { PlayedRun } from './playRun';
import type { PlannedRun, Window } from './schedule';

/** One step of a block's climb as one run plays it: on its rung, from when to when. */
export interface RunStep extends Window {
	run: PlannedRun;
	/** The drill as its rung makes it. */
	drill: Drill;
}

/** A drill as one step of a climb runs it; on itself where it does not have the step's rung. */
export function onRung(drill: Drill, rung: string | undefined): Drill {
	const resolved = resolveDrill(drill, rung);
	return resolved.ok ? resolved.value : drill;
}

/** A drill as each step of a block and of its copies runs it, those of the block first, each rung once. */
export function rungsRun(block: Pick<Block, 'climb' | 'copies'>, drill: Drill): Drill[] {
	const copies = block.copies.length > 0 ? block.copies : [{}];
	const steps = copies.flatMap((copy) => climbOf(block, copy));
	return [...new Set(steps.map(({ rung }) => rung))].map((rung) => onRung(drill, rung));
}

/**
 * The steps of a run in order, without gaps, those by turns as often as they come; walking in and hearing
 * the explanation belong to the first. None without a drill.
 */
export function stepsOf({ run, passes }: PlayedRun): RunStep[] {
	const { drill, block, copy, fromSecond, toSecond } = run;
	if (!drill) return [];
	const climb = climbOf(block, copy);
	return passes.map((pass, index) => ({
		run,
		drill: onRung(drill, climb[pass.step].rung),
		fromSecond: index === 0 ? fromSecond : pass.fromSecond,
		toSecond: index === passes.length - 1 ? toSecond : passes[index + 1].fromSecond
	}));
}
