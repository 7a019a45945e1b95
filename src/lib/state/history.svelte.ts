import type { Edit } from '$core/practice';
import { isLike } from './isLike';
import type { Keeper } from './keeper';

/** An edit that takes another back, or does it again, and what that one is called. */
export interface Step {
	/** The id of the edit that it takes back. */
	of: string;
	edit: Edit;
	words: string;
	/** Its own inverse where nobody changed the same since: anything else means that somebody did. */
	expects: Edit;
}

/** Steps in both directions. */
export interface KeptSteps {
	undo: Step[];
	redo: Step[];
}

/** What undo and redo are to who shows them: words of the step each would take, empty where there is none. */
export interface Steps {
	undoWords: string;
	redoWords: string;
	undo: () => void;
	redo: () => void;
}

/** Steps that are kept for undo: more than a session of planning makes. */
const MOST_STEPS = 500;

/** The steps of one session back and forth; they live as long as the tab. */
export class History {
	#undo: Step[] = $state.raw([]);
	#redo: Step[] = $state.raw([]);
	/** Steps that outlive a reload; fewer than there are where the browser has no room. */
	kept: number | null = $state(null);
	readonly undoWords = $derived.by(() => this.#undo.at(-1)?.words ?? '');
	readonly redoWords = $derived.by(() => this.#redo.at(-1)?.words ?? '');

	#isKeepingSoon = false;
	/** Steps of this page are what they are; those of an earlier one may be of an older version. */
	#isStep: (step: unknown) => boolean = () => true;

	constructor(private readonly keeper: Keeper<KeptSteps> | null) {}

	/** Takes over the steps of an earlier page. Each is looked at closely when it is taken: there may be hundreds. */
	async resume(): Promise<void> {
		const kept = this.keeper?.read();
		if (!kept) return;
		this.#isStep = (await import('./keptShapes')).isStep;
		// What was done while the shapes were on their way comes after what was kept.
		this.#undo = [...stepsIn(kept.undo), ...this.#undo];
		if (this.#redo.length === 0) this.#redo = stepsIn(kept.redo);
	}

	/** A new step: what could be done again is no longer. */
	add(step: Step): void {
		this.#set([...this.#undo, step], []);
	}

	/** Takes the last step off, tries it, and keeps what does it again where it went. */
	back(run: (step: Step) => Step | null): void {
		const step = this.#undo.at(-1);
		if (!step) return;
		// What an older version has kept, and all before it, nobody can take back.
		if (!this.#isStep(step)) return this.#set([], this.#redo);
		const again = run(step);
		this.#set(this.#undo.slice(0, -1), again ? [...this.#redo, again] : this.#redo);
	}

	/** Does the step again that was taken back last. */
	forth(run: (step: Step) => Step | null): void {
		const step = this.#redo.at(-1);
		if (!step) return;
		if (!this.#isStep(step)) return this.#set(this.#undo, []);
		const back = run(step);
		this.#set(back ? [...this.#undo, back] : this.#undo, this.#redo.slice(0, -1));
	}

	/** Changes the steps of one edit; null takes them out. */
	renew(of: string, change: (step: Step) => Step | null): void {
		const next = (steps: Step[]) =>
			steps.flatMap((step) => (step.of === of ? (change(step) ?? []) : step));
		this.#set(next(this.#undo), next(this.#redo));
	}

	#set(undo: Step[], redo: Step[]): void {
		this.#undo = undo.slice(-MOST_STEPS);
		this.#redo = redo;
		this.#keepSoon();
	}

	/** Hundreds of steps are long to write: that waits until what changed is drawn. */
	#keepSoon(): void {
		if (!this.keeper || this.#isKeepingSoon) return;
		this.#isKeepingSoon = true;
		setTimeout(() => {
			this.#isKeepingSoon = false;
			this.#keep();
		});
	}

	/** Keeps as many of the newest steps as the browser has room for. */
	#keep(): void {
		if (!this.keeper) return;
		let [undo, redo] = [this.#undo, this.#redo];
		while (!this.keeper.write({ undo, redo })) {
			if (undo.length + redo.length === 0) break;
			undo = undo.slice(Math.ceil(undo.length / 2));
			redo = redo.slice(Math.ceil(redo.length / 2));
		}
		const isAll = undo.length === this.#undo.length && redo.length === this.#redo.length;
		this.kept = isAll ? null : undo.length;
	}
}

/** What has the outline of a step. */
const OUTLINE = { of: '', edit: { type: '' }, words: '', expects: { type: '' } };
const KEYS = Object.keys(OUTLINE);

/** The newest entries of what was kept that look like steps. */
function stepsIn(kept: unknown): Step[] {
	if (!Array.isArray(kept)) return [];
	const isStep = (entry: unknown) =>
		typeof entry === 'object' &&
		entry !== null &&
		KEYS.every((key) => Object.hasOwn(entry, key)) &&
		isLike(OUTLINE, entry);
	return kept.slice(kept.findLastIndex((entry) => !isStep(entry)) + 1);
}
