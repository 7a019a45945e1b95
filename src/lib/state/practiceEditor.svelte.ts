import { nanoid } from 'nanoid';
import { sameValue } from '$core/base';
import { check, describeEdit, type Finding } from '$core/checks';
import type { Practice } from '$core/model/practice';
import {
	applyEdit,
	evaluate,
	type Context,
	type Edit,
	type EditFailure,
	type Evaluation,
	type SentEdit
} from '$core/practice';
import type { EditorKeepers, Step } from './keeper';
import { sendEdits, type ServerState } from './saver';

/** What is going on between this page and the server. */
export type SaveState = 'saved' | 'saving' | 'away' | 'refused';

const SEND_AFTER_MILLISECONDS = 200;
const TRY_AGAIN_AFTER_MILLISECONDS = 2000;

/** Steps that are kept for undo: more than a session of planning makes. */
const MOST_STEPS = 500;

/** One practice while it is edited: its value, what follows from it, undo, and saving by itself. */
export class PracticeEditor {
	readonly context: Context;
	practice: Practice = $state.raw() as Practice;
	saveState: SaveState = $state('saved');
	/** What went wrong last, in words; empty when all is well. */
	trouble = $state('');
	#undo: Step[] = $state.raw([]);
	#redo: Step[] = $state.raw([]);
	/** Edits that the server has not confirmed, in order. */
	#unsent: SentEdit[] = [];
	#revision: number;
	#sending = false;
	#timer: ReturnType<typeof setTimeout> | undefined;
	#last: Evaluation | undefined;

	evaluation: Evaluation = $derived.by(() => {
		this.#last = evaluate(this.practice, this.context, this.#last);
		return this.#last;
	});
	findings: Finding[] = $derived(check(this.evaluation));
	undoWords = $derived(this.#undo.at(-1)?.words ?? '');
	redoWords = $derived(this.#redo.at(-1)?.words ?? '');

	constructor(
		private readonly url: string,
		state: ServerState,
		context: Context,
		private readonly keepers: EditorKeepers | null
	) {
		this.context = context;
		this.practice = state.practice;
		this.#revision = state.revision;
	}

	/** Goes on where an earlier page stopped: its steps, and the edits that it could not send. */
	resume(): void {
		const steps = this.keepers?.steps.read();
		this.#undo = steps?.undo ?? [];
		this.#redo = steps?.redo ?? [];
		const unsent = this.keepers?.unsent.read() ?? [];
		if (unsent.length === 0) return;
		this.#unsent = this.#replay(unsent);
		this.#keepUnsent();
		this.#sendSoon();
	}

	/** Applies an edit, makes it one step of undo and saves it. Gives why it does not apply, or null. */
	apply(edit: Edit): EditFailure | null {
		const words = describeEdit(edit, { practice: this.practice, context: this.context });
		const inverse = this.#commit(edit);
		if ('failure' in inverse) return inverse.failure;
		this.#setSteps([...this.#undo, { edit: inverse.edit, words }], []);
		return null;
	}

	/** Takes the last step back on the practice as it stands. */
	undo(): void {
		const step = this.#undo.at(-1);
		if (!step) return;
		const again = this.#stepBack(step);
		this.#setSteps(this.#undo.slice(0, -1), again ? [...this.#redo, again] : this.#redo);
	}

	/** Does the step again that was taken back last. */
	redo(): void {
		const step = this.#redo.at(-1);
		if (!step) return;
		const back = this.#stepBack(step);
		this.#setSteps(back ? [...this.#undo, back] : this.#undo, this.#redo.slice(0, -1));
	}

	/** Applies a step and gives the one that takes it back; null, with the reason said, where it no longer applies. */
	#stepBack({ edit, words }: Step): Step | null {
		const inverse = this.#commit(edit);
		if (!('failure' in inverse)) return { edit: inverse.edit, words };
		this.trouble = `"${words}" can no longer be changed back: ${inverse.failure}`;
		return null;
	}

	#setSteps(undo: Step[], redo: Step[]): void {
		this.#undo = undo.slice(-MOST_STEPS);
		this.#redo = redo;
		this.keepers?.steps.write({ undo: this.#undo, redo: this.#redo });
	}

	#commit(edit: Edit): { edit: Edit } | { failure: EditFailure } {
		const applied = applyEdit(this.practice, edit);
		if (!applied.ok) return { failure: applied.failure };
		this.practice = applied.value.practice;
		this.trouble = '';
		this.#unsent = [...this.#unsent, { id: nanoid(), edit }];
		this.#keepUnsent();
		this.#sendSoon();
		return { edit: applied.value.inverse };
	}

	/** Applies edits on the practice as it stands; gives those that still apply. */
	#replay(edits: readonly SentEdit[]): SentEdit[] {
		const kept: SentEdit[] = [];
		for (const sent of edits) {
			const applied = applyEdit(this.practice, sent.edit);
			if (applied.ok) {
				this.practice = applied.value.practice;
				kept.push(sent);
			} else this.trouble = `A change no longer applies and was left out: ${applied.failure}`;
		}
		return kept;
	}

	#keepUnsent(): void {
		this.keepers?.unsent.write(this.#unsent.length > 0 ? this.#unsent : undefined);
	}

	#sendSoon(milliseconds = SEND_AFTER_MILLISECONDS): void {
		if (this.saveState !== 'away') this.saveState = 'saving';
		clearTimeout(this.#timer);
		this.#timer = setTimeout(() => this.send(), milliseconds);
	}

	/** Sends what is unsent now. Edits made meanwhile are sent after the answer. */
	async send(): Promise<void> {
		if (this.#sending || this.#unsent.length === 0) return;
		this.#sending = true;
		const edits = this.#unsent;
		const sent = await sendEdits(this.url, this.#revision, edits);
		this.#sending = false;
		switch (sent.kind) {
			case 'saved':
				this.#confirm(
					sent.state,
					edits.map(({ id }) => id)
				);
				break;
			case 'stale':
				this.trouble = 'Somebody else changed this practice too. Both changes are kept.';
				this.#confirm(sent.state, sent.known);
				break;
			case 'away':
				this.saveState = 'away';
				this.#sendSoon(TRY_AGAIN_AFTER_MILLISECONDS);
				break;
			case 'refused':
				// Kept on this page, not sent again: the coach sees it and can take it back.
				this.saveState = 'refused';
				this.trouble = `The last change was not saved: ${sent.message}`;
				this.#unsent = [];
				this.#keepUnsent();
		}
	}

	/** Takes over the server's state and puts what is still unsent on top. */
	#confirm(state: ServerState, confirmed: readonly string[]): void {
		const rest = this.#unsent.filter(({ id }) => !confirmed.includes(id));
		this.#revision = state.revision;
		// The same value stays the same object: fields that are being typed in are left alone.
		if (rest.length === 0 && sameValue(state.practice, this.practice)) this.#unsent = [];
		else {
			this.practice = state.practice;
			this.#unsent = this.#replay(rest);
		}
		this.#keepUnsent();
		this.saveState = 'saved';
		if (this.#unsent.length > 0) this.#sendSoon();
	}
}
