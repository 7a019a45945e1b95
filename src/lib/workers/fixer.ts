import { faultsIn, fixesFor } from '$core/checks';
import type { Surroundings } from '$core/model/bundle';
import type { Drill } from '$core/model/drill';
import type { Practice } from '$core/model/practice';
import { evaluate, type Evaluation } from '$core/playing';
import { type Context, type Edit, learning, toContext } from '$core/practice';

/** What the worker offers to the page. */
export interface FixerApi {
	/** Says what practices are built from; asked once, before the first. */
	open(surroundings: Surroundings): void;
	/** Says what drills there are beside those. */
	learn(drills: Drill[]): void;
	/** Looks for fixes of everything that `faultsIn` finds, and gives those of each as they are found. */
	look(
		practice: Practice,
		onfixes: (index: number, fixes: Edit[]) => void | Promise<void>
	): Promise<void>;
}

/** Lets messages in: a task of its own, not a microtask. */
const breathe = () => new Promise<void>((resolve) => setTimeout(resolve, 0));

/** Looks for fixes in a worker: each is played through, which takes longer than a drag may wait. */
export class Fixer implements FixerApi {
	private context: Context | null = null;
	private last: Evaluation | undefined;
	private running = 0;

	open(surroundings: Surroundings): void {
		this.context = toContext(surroundings);
	}

	learn(drills: Drill[]): void {
		this.context &&= learning(this.context, drills);
	}

	async look(
		practice: Practice,
		onfixes: (index: number, fixes: Edit[]) => void | Promise<void>
	): Promise<void> {
		if (!this.context) throw new Error('open the fixer before it looks');
		// A newer practice ends the search for an older one.
		const id = (this.running += 1);
		this.last = evaluate(practice, this.context, this.last);
		const evaluation = this.last;
		for (const [index, fault] of faultsIn(evaluation).entries()) {
			await breathe();
			if (id !== this.running) return;
			await onfixes(index, fixesFor(evaluation, fault));
		}
	}
}
