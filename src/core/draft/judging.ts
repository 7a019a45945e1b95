import { greatestIndex, sum } from 'd3-array';
import { faultsIn } from '../checks';
import type { Practice } from '../model/practice';
import type { Evaluation } from '../playing';
import { blocksOf, plannedMinutes } from '../practice';
import { coverage } from '../season';
import type { Made } from './make';
import type { Alternative, DraftInput } from './shapes';

/** What a practice full of what is due is worth, beside one in which all are busy. */
const DUE_WORTH = 6.5;
/** From this share of what could be given on, what is due is worth less: then it matters more that all are busy. */
const DUE_ENOUGH = 0.85;
const DUE_MORE = 1;
/** What is owed most should get so many minutes of each player, or all that it is owed; and what that is worth. */
const OWED_SERVED = 6;
const OWED_WORTH = 5;
/** What it is worth that all are at work the whole time. */
const BUSY_WORTH = 4.5;
/** Something that was asked for and is not done. */
const UNDONE_COST = 1.5;
/** A practice has about a drill for so many minutes. */
const DRILL_MINUTES = 11;

/** A draft with what it is judged by. */
export interface Judged extends Made {
	evaluation: Evaluation;
	stops: number;
	warnings: number;
	covers: Alternative['covers'];
	dueMinutes: number;
	score: number;
}

/** Index of what is owed most; -1 where nothing is due. */
export const owedMost = (due: DraftInput['due']): number =>
	greatestIndex(due, (a, b) => a.weight * a.minutes - b.weight * b.minutes) ?? -1;

/** What a draft is worth: by what stops it, what is due, how busy it keeps players. */
export function judged(
	made: Made,
	evaluation: Evaluation,
	{ due }: DraftInput,
	most: number
): Judged {
	const faults = faultsIn(evaluation);
	const count = (severity: string) => faults.filter((each) => each.severity === severity).length;
	const { skills, shares } = coverage(evaluation);
	const covers = due.map(({ skill }) => ({
		skill,
		minutes: sum(skills, (each) =>
			each.skill === skill || each.skill.startsWith(`${skill}/`) ? each.minutes : 0
		)
	}));
	const dueMinutes = sum(
		due,
		({ weight, minutes }, k) => weight * Math.min(minutes, covers[k].minutes)
	);
	const [stops, warnings] = [count('stop'), count('warn')];
	const { practice } = evaluation;
	const open = Math.max(0, practice.minutes - plannedMinutes(practice)) / practice.minutes;
	const missing = faults.filter(({ code }) => code === 'daily-missing').length;
	const drills = Math.min(1, (drillMinutes(practice).size * DRILL_MINUTES) / practice.minutes);
	const given = dueMinutes / most;
	const owed = owedMost(due);
	const served =
		owed < 0 ? 1 : covers[owed].minutes / Math.max(1, Math.min(OWED_SERVED, due[owed].minutes));
	const score =
		OWED_WORTH * Math.min(1, served) -
		100 * stops -
		UNDONE_COST * made.undone.filter(({ what }) => what !== 'due').length -
		0.3 * missing +
		0.2 * drills -
		0.3 * warnings -
		5 * open +
		DUE_WORTH * Math.min(given, DUE_ENOUGH) +
		DUE_MORE * Math.max(0, given - DUE_ENOUGH) +
		BUSY_WORTH * shares.busy;
	return { ...made, practice, evaluation, stops, warnings, covers, dueMinutes, score };
}

/** Minutes of drills by id, over all blocks of a practice. */
export function drillMinutes(practice: Practice): Map<string, number> {
	const minutes = new Map<string, number>();
	for (const { block } of blocksOf(practice))
		if (block.drill)
			minutes.set(block.drill.id, (minutes.get(block.drill.id) ?? 0) + block.minutes);
	return minutes;
}
