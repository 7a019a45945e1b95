import * as Comlink from 'comlink';
import type { Outcome } from '$core/base';
import type { Progress } from '$core/base';
import type { Kind, PlannerApi, Question, Questions } from './planner.protocol';

/** A worker as the client needs it. */
export type PlannerWorker = Comlink.Endpoint & { terminate(): void };

/** Why a question got no answer: a newer one came, or the worker died. */
export class Unanswered extends Error {
	constructor(readonly reason: 'superseded' | 'worker-died') {
		super(reason);
	}
}

const startWorker = (): PlannerWorker =>
	new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' });

/**
 * Asks the planner's worker. The newest question wins: the one before is rejected. A worker that dies
 * rejects what is pending, and the next question starts another.
 */
export class PlannerClient {
	private worker: PlannerWorker | null = null;
	private api: Comlink.Remote<PlannerApi> | null = null;
	private pending: ((reason: Unanswered) => void) | null = null;

	constructor(private readonly start: () => PlannerWorker = startWorker) {}

	/** Answers with the best that was found. Rejects with `Unanswered`. */
	ask<K extends Kind>(
		question: Question<K>,
		onreport: (report: Progress<Questions[K]['output']>) => void = () => {}
	): Promise<Outcome<Questions[K]['output']>> {
		this.pending?.(new Unanswered('superseded'));
		const api = this.open();
		return new Promise((resolve, reject) => {
			const give = (reason: Unanswered) => reject(reason);
			this.pending = give;
			const isMine = () => this.pending === give;
			const listener = Comlink.proxy((report: Progress<Questions[K]['output']>) => {
				if (isMine()) onreport(report);
			});
			// Plain data goes over: what is reactive cannot be cloned.
			const plain = JSON.parse(JSON.stringify(question)) as Question<K>;
			const answer = api.ask(plain, listener) as Promise<Outcome<Questions[K]['output']>>;
			answer.then(
				(outcome) => {
					if (isMine()) this.pending = null;
					resolve(outcome);
				},
				() => this.die()
			);
		});
	}

	/** Ends the search that runs: it answers with its best so far. */
	stop(): void {
		void this.api?.stop();
	}

	/** Ends the worker; what is pending is rejected. */
	close(): void {
		this.die();
	}

	private open(): Comlink.Remote<PlannerApi> {
		if (this.api) return this.api;
		this.worker = this.start();
		this.worker.addEventListener('error', () => this.die());
		this.worker.addEventListener('messageerror', () => this.die());
		this.api = Comlink.wrap<PlannerApi>(this.worker);
		return this.api;
	}

	private die(): void {
		this.worker?.terminate();
		this.worker = null;
		this.api = null;
		const reject = this.pending;
		this.pending = null;
		reject?.(new Unanswered('worker-died'));
	}
}
