import { fail, ok, type Outcome, type Search } from '../base';
import { Annealing } from './annealing';
import { addDailies } from './dailies';
import { Judge } from './judge';
import { minutesProgram } from './minutesProgram';
import type { SeasonPlanInput, SeasonPlanOutput } from './planShapes';
import { readSeason } from './readSeason';
import { Start } from './start';
import type { Briefs, Task } from './task';
import { told } from './told';

/** Seconds that are searched where a request does not say. */
export const PLAN_SECONDS = 2;

/** Moves between two reports. */
const MOVES_A_REPORT = 200;
/** Moves of the first cooling; each later one is longer. */
const FIRST_MOVES = 20_000;
const LONGER = 1.6;
/** Temperatures at first and at last, in weighted minutes; one that changes a plan that is there starts cooler. */
const HOT = 2;
const WARM = 0.5;
const COLD = 0.02;

/**
 * A search for a plan of all practices to come: reports its best after each piece of work, and goes on for ever
 * where minutes are missing that others might give. The same seed and number of reports gives the same plan.
 * Fails with `bad-input`.
 */
export function planSearch(input: SeasonPlanInput): Outcome<Search<SeasonPlanOutput>> {
	const read = readSeason(input);
	return read.ok ? ok(search(read.value)) : fail(read.failure);
}

function* search(task: Task): Generator<{ best: SeasonPlanOutput; done: boolean }, void> {
	const judge = new Judge(task);
	const program = minutesProgram(task, judge.rules);
	const annealing = new Annealing(task, judge, new Start(task, judge.rules, program).briefs);
	let toldOf: Briefs | undefined;
	let best: SeasonPlanOutput | undefined;
	const report = (done: boolean) => {
		if (!best || toldOf !== annealing.best) {
			// What a daily drill comes after may have come to stand before it.
			const briefs = addDailies(task, judge.rules, annealing.best);
			best = told(task, judge, briefs, program.bound);
		}
		toldOf = annealing.best;
		return { best, done };
	};
	// What nothing is wrong with cannot get better.
	yield report(!annealing.canMove || annealing.bestCost <= 0);
	while (!annealing.canMove) yield report(true);
	const hot = task.slots.some(({ before }) => before !== null) ? WARM : HOT;
	for (let moves = FIRST_MOVES; ; moves = Math.round(moves * LONGER)) {
		annealing.restart();
		const cooling = Math.pow(COLD / hot, 1 / moves);
		for (let move = 0, temperature = hot; move < moves; move += 1, temperature *= cooling) {
			annealing.step(temperature);
			if (move % MOVES_A_REPORT === MOVES_A_REPORT - 1) yield report(annealing.bestCost <= 0);
		}
	}
}
