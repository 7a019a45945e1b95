import { ok, type Outcome } from '$core/base';
import { groupSearch, type GroupInput } from '$core/grouping';
import { lineupSearch, rotate, type LineupInput, type RotateInput } from '$core/rotation';
import type { Kind, PlannerApi, Question, Questions, Report } from './planner.protocol';

/** Milliseconds of search before messages are looked at. */
const SLICE = 25;

/** Lets messages in: a task of its own, not a microtask. */
const breathe = () => new Promise<void>((resolve) => setTimeout(resolve, 0));

type Search = Outcome<Generator<{ best: unknown; done: boolean }, void>>;

function searchFor({ kind, input }: Question<Kind>): Search | Outcome<unknown> {
	if (kind === 'group') return groupSearch(input as GroupInput);
	if (kind === 'lineup') return lineupSearch(input as LineupInput);
	return rotate(input as RotateInput);
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
		onreport: (report: Report<Questions[K]['output']>) => void | Promise<void>
	): Promise<Outcome<Questions[K]['output']>> {
		// A newer question ends an older search.
		const id = (this.running += 1);
		const isOver = () => id !== this.running || id === this.stopped;
		const search = searchFor(question as Question<Kind>);
		if (!search.ok) return search;
		if (question.kind === 'rotate') return search as Outcome<Questions[K]['output']>;
		const states = search.value as Generator<{ best: Questions[K]['output']; done: boolean }, void>;
		const start = this.now();
		for (;;) {
			const state = this.slice(states);
			const share = (this.now() - start) / (question.seconds * 1000);
			// Heard before the answer: messages of two channels may overtake each other.
			await onreport({ best: state.best, share: Math.min(1, share) });
			if (state.done || share >= 1) return ok(state.best);
			await breathe();
			if (isOver()) return ok(state.best);
		}
	}

	private slice<State extends { done: boolean }>(states: Generator<State, void>): State {
		const end = this.now() + SLICE;
		for (;;) {
			const next = states.next();
			if (next.done) throw new Error('a search reports that it is done before it ends');
			if (next.value.done || this.now() >= end) return next.value;
		}
	}
}
