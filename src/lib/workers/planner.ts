import { ok, runSearch, type Outcome, type Progress, type Search } from '$core/base';
import { draftSearch } from '$core/draft';
import { groupSearch, type GroupInput } from '$core/grouping';
import { mixOccasions, type OccasionsInput } from '$core/mixing';
import { planSearch, type SeasonPlanInput } from '$core/seasonPlan';
import { lineupSearch, rotate, type LineupInput, type RotateInput } from '$core/rotation';
import type { Kind, PlannerApi, Question, Questions } from './planner.protocol';

/** Milliseconds of search before messages are looked at. */
const SLICE = 25;

/** Lets messages in: a task of its own, not a microtask. */
const breathe = () => new Promise<void>((resolve) => setTimeout(resolve, 0));

/** A search that is over at once. */
const answered = <Output>(outcome: Outcome<Output>): Outcome<Search<Output>> =>
	outcome.ok ? ok([{ best: outcome.value, done: true }].values()) : outcome;

function searchFor({ kind, input }: Question<Kind>): Outcome<Search<unknown>> {
	if (kind === 'draft') {
		const { of, names } = input as Questions['draft']['input'];
		return draftSearch(of, names);
	}
	if (kind === 'group') return groupSearch(input as GroupInput);
	if (kind === 'mix') return mixOccasions(input as OccasionsInput);
	if (kind === 'plan') return planSearch(input as SeasonPlanInput);
	if (kind === 'lineup') return lineupSearch(input as LineupInput);
	return answered(rotate(input as RotateInput));
}

/** Answers questions in a worker: one search at a time, in slices, until it is over, stopped or out of time. */
export class Planner implements PlannerApi {
	private running = 0;
	private stopped = 0;

	constructor(private readonly now: () => number = () => performance.now()) {}

	stop(): void {
		this.stopped = this.running;
	}

	async ask<K extends Kind>(
		question: Question<K>,
		onreport: (report: Progress<Questions[K]['output']>) => void | Promise<void>
	): Promise<Outcome<Questions[K]['output']>> {
		// A newer question ends an older search.
		const id = (this.running += 1);
		const search = searchFor(question as Question<Kind>) as Outcome<Search<Questions[K]['output']>>;
		if (!search.ok) return search;
		const { seconds } = question;
		const run = runSearch(search.value, { now: this.now, seconds, slice: SLICE });
		for (let last: Questions[K]['output']; ;) {
			const next = run.next();
			if (next.done) return ok(next.value);
			last = next.value.best;
			// Heard before the answer: messages of two channels may overtake each other.
			await onreport(next.value);
			await breathe();
			if (id !== this.running || id === this.stopped) return ok(last);
		}
	}
}
