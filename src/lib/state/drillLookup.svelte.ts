import type { Drill } from '$core/model/drill';
import { type Context, drillOf, drillsIn } from '$core/practice';
import type { Practice } from '$core/model/practice';

/** What lookups ask and tell: a practice with what it is built from, which can learn drills. */
export interface Learner {
	readonly practice: Practice;
	readonly context: Context;
	learn(drills: readonly Drill[]): void;
}

/** Finds drills that a board does not have at hand: those of a search, and those that somebody else put on it. */
export class DrillLookup {
	/** Whether the server did not answer the last time. */
	isAway = $state(false);
	/** What was asked already. */
	#asked: readonly string[] = [];

	constructor(
		private readonly url: string,
		private readonly learner: Learner
	) {}

	/** Looks for drills with these words on the whole shelf. */
	async find(words: string): Promise<void> {
		await this.#ask(`words=${encodeURIComponent(words.trim())}`);
	}

	/** Fetches the drills that the practice names and that are not known here. */
	async fetchUnknown(): Promise<void> {
		const { practice, context } = this.learner;
		const unknown = drillsIn(practice).filter((drill) => !drillOf(context, drill));
		if (unknown.length === 0) return;
		const names = unknown.map(({ id, revision }) => `${id}@${revision}`);
		await this.#ask(`named=${encodeURIComponent(names.join(','))}`);
	}

	async #ask(query: string): Promise<void> {
		if (this.#asked.includes(query)) return;
		this.#asked = [...this.#asked, query];
		const answer = await fetch(`${this.url}?${query}`).catch(() => null);
		this.isAway = !answer?.ok;
		if (answer?.ok) this.learner.learn(await answer.json());
		else this.#asked = this.#asked.filter((each) => each !== query);
	}
}
