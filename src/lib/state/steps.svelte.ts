/** Milliseconds within which changes of the same thing are one step: letters of a word, metres of a drag. */
const ONE_STEP = 1000;
/** Steps that can be taken back. */
const MOST = 200;

/** The way back through what was changed on one screen, and forth again; states are values. */
export class Steps<State> {
	#past: readonly State[] = $state.raw([]);
	#future: readonly State[] = $state.raw([]);
	#last: { about: string | undefined; at: number } | null = null;
	readonly #clock: () => number;

	constructor(clock: () => number = () => performance.now()) {
		this.#clock = clock;
	}

	readonly canGoBack = $derived.by(() => this.#past.length > 0);
	readonly canGoForth = $derived.by(() => this.#future.length > 0);

	/**
	 * Remembers how things stood before something is changed; changes that are `about` the same and follow at
	 * once are one step.
	 */
	before = (state: State, about?: string): void => {
		const at = this.#clock();
		const last = this.#last;
		const isSameStep = about !== undefined && last?.about === about && at - last.at < ONE_STEP;
		if (!isSameStep) this.#past = [...this.#past, state].slice(-MOST);
		this.#future = [];
		this.#last = { about, at };
	};

	/** How things stood before the last step, which can then be made again; undefined where there is none. */
	back = (now: State): State | undefined => {
		const state = this.#past.at(-1);
		if (state === undefined) return;
		this.#past = this.#past.slice(0, -1);
		this.#future = [...this.#future, now];
		this.#last = null;
		return state;
	};

	/** How things stood before the last step back; undefined where there is none. */
	forth = (now: State): State | undefined => {
		const state = this.#future.at(-1);
		if (state === undefined) return;
		this.#future = this.#future.slice(0, -1);
		this.#past = [...this.#past, now];
		this.#last = null;
		return state;
	};
}
