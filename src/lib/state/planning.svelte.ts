import type { Failure, Outcome } from '$core/base';
import { PlannerClient, Unanswered } from '$lib/workers/planner.client';
import type { Kind, Question, Questions } from '$lib/workers/planner.protocol';
import texts from '$texts/page';
import type { Say } from '$words';

/** Milliseconds after which a search shows how far it is. */
const SHOW_AFTER = 500;

/** One dialog's questions to the planner: what runs, what came of it, and what went wrong. */
export class Planning<K extends Kind> {
	isRunning = $state(false);
	/** Whether it takes long enough to show how far it is. */
	isSlow = $state(false);
	/** Share of the seconds that are over, 0 to 1. */
	share = $state(0);
	/** The best so far, then the answer. */
	best: Questions[K]['output'] | null = $state.raw(null);
	/** The question that `best` answers: what is shown and taken goes by it, not by what is typed since. */
	answers: Question<K> | null = $state.raw(null);
	/** Why there is no answer, in words; empty when all is well. */
	trouble = $state('');
	/** Why what was asked cannot be met, as data. */
	failure: Failure | null = $state.raw(null);

	#asked: Question<K> | null = null;

	constructor(
		private readonly say: Say,
		private readonly client: PlannerClient = new PlannerClient()
	) {}

	/** Asks; a question that runs is given up for it. */
	async ask(question: Question<K>): Promise<void> {
		this.isRunning = true;
		this.isSlow = false;
		this.share = 0;
		this.trouble = '';
		this.failure = null;
		this.#asked = question;
		const slow = setTimeout(() => (this.isSlow = true), SHOW_AFTER);
		try {
			this.take(
				await this.client.ask(question, ({ best, share }) => {
					if (this.#asked !== question) return;
					this.best = best;
					this.answers = question;
					this.share = share;
				}),
				question
			);
			this.isRunning = false;
		} catch (error) {
			if (!(error instanceof Unanswered)) throw error;
			if (error.reason === 'superseded') return;
			this.isRunning = false;
			this.trouble = this.say(texts.theCalculationBrokeOffTryAgain);
		} finally {
			clearTimeout(slow);
		}
	}

	private take(outcome: Outcome<Questions[K]['output']>, question: Question<K>): void {
		if (this.#asked !== question) return;
		this.answers = question;
		this.best = outcome.ok ? outcome.value : null;
		this.failure = outcome.ok ? null : outcome.failure;
		this.trouble = outcome.ok ? '' : outcome.failure.message;
	}

	/** Ends the search with its best so far. */
	stop(): void {
		this.client.stop();
	}

	/** Ends the worker: the dialog is closed. */
	close(): void {
		this.client.close();
	}
}
