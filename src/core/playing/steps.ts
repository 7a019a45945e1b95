import { resolveDrill } from '../drill';
import type { Drill } from '../model/drill';
import type { Block } from '../model/practice';
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

/** A drill as each step of a block runs it, in their order. */
export const rungsRun = ({ climb }: Pick<Block, 'climb'>, drill: Drill): Drill[] =>
	climb.map(({ rung }) => onRung(drill, rung));

/**
 * The steps of a run in order, without gaps: the time from which the drill runs is shared by the minutes
 * of the steps; walking in and hearing the explanation belong to the first. None without a drill.
 */
export function stepsOf({ run, playsFrom }: PlayedRun): RunStep[] {
	const { drill, block, fromSecond, toSecond } = run;
	if (!drill) return [];
	const weights = block.climb.reduce((sum, { minutes }) => sum + minutes, 0);
	let until = playsFrom;
	let from = fromSecond;
	return block.climb.map(({ rung, minutes }, index) => {
		until += ((toSecond - playsFrom) * minutes) / weights;
		const isLast = index === block.climb.length - 1;
		const step = {
			run,
			drill: onRung(drill, rung),
			fromSecond: from,
			toSecond: isLast ? toSecond : until
		};
		from = until;
		return step;
	});
}
