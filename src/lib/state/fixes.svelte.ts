import * as Comlink from 'comlink';
import type { Surroundings } from '$core/model/bundle';
import type { Drill } from '$core/model/drill';
import type { Practice } from '$core/model/practice';
import type { Edit } from '$core/practice';
import type { FixerApi } from '$lib/workers/fixer';
import type { PlannerWorker } from '$lib/workers/planner.client';

const startWorker = (): PlannerWorker =>
	new Worker(new URL('../workers/fixer.worker.ts', import.meta.url), { type: 'module' });

/** Milliseconds that a practice stands before its fixes are looked for. */
const LOOK_AFTER_MS = 40;

/** The fixes of what is wrong with one practice, as a worker finds them. */
export class Fixes {
	/** Fixes by the place of their finding in `faultsIn`; nothing yet where they are still looked for. */
	found: Readonly<Record<number, Edit[]>> = $state.raw({});
	#worker: PlannerWorker | null = null;
	#api: Comlink.Remote<FixerApi> | null = null;
	#practice: Practice | null = null;
	#drills: readonly Drill[] = [];

	constructor(
		private readonly surroundings: Surroundings,
		private readonly start: () => PlannerWorker = startWorker
	) {}

	/** Looks for the fixes of a practice; what was found for another is gone at once. `drills` are those that there are now. */
	async look(practice: Practice, drills: readonly Drill[]): Promise<void> {
		if (practice === this.#practice && drills === this.#drills) return;
		this.#practice = practice;
		this.found = {};
		// What changed is drawn first; of changes in quick succession only the last is looked at.
		await new Promise((resolve) => setTimeout(resolve, LOOK_AFTER_MS));
		if (practice !== this.#practice) return;
		const listener = Comlink.proxy((index: number, fixes: Edit[]) => {
			if (practice === this.#practice) this.found = { ...this.found, [index]: fixes };
		});
		// A worker that breaks off is started anew with the next practice.
		const api = this.#open();
		if (drills !== this.#drills) void api.learn(JSON.parse(JSON.stringify(drills)));
		this.#drills = drills;
		await api.look(JSON.parse(JSON.stringify(practice)), listener).catch(() => this.close());
	}

	/** Ends the worker. */
	close(): void {
		this.#worker?.terminate();
		this.#worker = null;
		this.#api = null;
		this.#practice = null;
	}

	#open(): Comlink.Remote<FixerApi> {
		if (this.#api) return this.#api;
		this.#worker = this.start();
		this.#drills = this.surroundings.drills;
		this.#worker.addEventListener('error', () => this.close());
		this.#api = Comlink.wrap<FixerApi>(this.#worker);
		void this.#api.open(JSON.parse(JSON.stringify(this.surroundings)));
		return this.#api;
	}
}
