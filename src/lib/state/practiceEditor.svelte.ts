import { nanoid } from 'nanoid';
import { ok, sameValue, type Result } from '$core/base';
import { check, describeEdit, type Finding } from '$core/checks';
import type { Practice } from '$core/model/practice';
import { wordingOf, type Wording } from '$core/words';
import {
	applyEdit,
	evaluate,
	type Context,
	type Edit,
	type EditFailure,
	type Evaluation
} from '$core/practice';
import { findsTheSame, outdated, overwriting, type Conflict, type Unsent } from './conflicts';
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
	/** Puts the team's own words into a text of the application. */
	readonly w: Wording;
	practice: Practice = $state.raw() as Practice;
	saveState: SaveState = $state('saved');
	/** What went wrong last, in words; empty when all is well. */
	trouble = $state('');
	/** What others changed differently and the coach has not decided yet. */
	conflicts: Conflict[] = $state.raw([]);
	#undo: Step[] = $state.raw([]);
	#redo: Step[] = $state.raw([]);
	/** Edits that the server has not confirmed, in order. */
	#unsent: Unsent[] = [];
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
		this.w = wordingOf(context.team.words);
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
		this.#unsent = this.#replay(unsent, this.practice);
		this.#keepUnsent();
		this.#sendSoon();
	}

	/** Decides a conflict: the outcome that was chosen becomes a step of its own, if it does not hold yet. */
	settle(conflict: Conflict, choice: 'mine' | 'theirs'): EditFailure | null {
		this.conflicts = this.conflicts.filter((each) => each !== conflict);
		const edit = choice === 'mine' ? conflict.keepMine : conflict.takeTheirs;
		return edit && this.apply(edit);
	}

	/** Applies an edit, makes it one step of undo and saves it. Gives why it does not apply, or null. */
	apply(edit: Edit): EditFailure | null {
		const words = describeEdit(edit, { practice: this.practice, context: this.context });
		const step = this.#commit(edit, words);
		if (!step.ok) return step.failure;
		this.#setSteps([...this.#undo, step.value], []);
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

	/** Applies a step and gives the one that takes it back; null, with the reason said, where it would undo others' work. */
	#stepBack({ edit, words, expects }: Step): Step | null {
		const tried = applyEdit(this.practice, edit);
		const isOurs = tried.ok && findsTheSame(tried.value.inverse, expects);
		const step = isOurs ? this.#commit(edit, words) : null;
		if (step?.ok) return step.value;
		const why = tried.ok ? 'somebody else has changed it since' : tried.failure;
		this.trouble = `"${words}" can no longer be changed back: ${why}.`;
		return null;
	}

	#setSteps(undo: Step[], redo: Step[]): void {
		this.#undo = undo.slice(-MOST_STEPS);
		this.#redo = redo;
		this.keepers?.steps.write({ undo: this.#undo, redo: this.#redo });
	}

	/** Applies an edit, sends it soon and gives the step that takes it back. */
	#commit(edit: Edit, words: string): Result<Step, EditFailure> {
		const applied = applyEdit(this.practice, edit);
		if (!applied.ok) return applied;
		const { practice, inverse } = applied.value;
		const back = applyEdit(practice, inverse);
		if (!back.ok) throw new Error(`The inverse of ${edit.type} does not apply: ${back.failure}`);
		const id = nanoid();
		this.practice = practice;
		this.trouble = '';
		this.#unsent = [...this.#unsent, { id, edit, inverse }];
		this.#keepUnsent();
		this.#sendSoon();
		return ok({ of: id, edit: inverse, words, expects: back.value.inverse });
	}

	/**
	 * Applies edits on the practice as it stands and gives those that still apply. Where one meets a
	 * change of somebody else it asks; `mine` is the practice as this page had it.
	 */
	#replay(edits: readonly Unsent[], mine: Practice): Unsent[] {
		const { context } = this;
		const kept: Unsent[] = [];
		const conflicts: Conflict[] = [];
		for (const unsent of edits) {
			const plan = { practice: this.practice, context };
			const applied = applyEdit(this.practice, unsent.edit);
			if (!applied.ok) {
				conflicts.push(outdated(unsent, { mine, theirs: this.practice, context }));
				continue;
			}
			const { practice, inverse } = applied.value;
			const conflict = overwriting(unsent, inverse, plan);
			if (conflict) conflicts.push(conflict);
			this.practice = practice;
			kept.push({ ...unsent, inverse });
			if (conflict) this.#takesBack(unsent.id, inverse);
		}
		if (conflicts.length > 0) this.conflicts = [...this.conflicts, ...conflicts];
		return kept;
	}

	/** From now on taking back the edit `of` brings what others had put there, not what it first found. */
	#takesBack(of: string, inverse: Edit): void {
		const renew = (steps: Step[]) =>
			steps.map((step) => (step.of === of ? { ...step, edit: inverse } : step));
		this.#setSteps(renew(this.#undo), renew(this.#redo));
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
		const sent = await sendEdits(
			this.url,
			this.#revision,
			edits.map(({ id, edit }) => ({ id, edit }))
		);
		this.#sending = false;
		switch (sent.kind) {
			case 'saved':
				this.#confirm(
					sent.state,
					edits.map(({ id }) => id)
				);
				break;
			case 'stale':
				this.#confirm(sent.state, sent.known);
				if (this.conflicts.length === 0)
					this.trouble = this.w('Somebody else changed this practice too. Both changes are kept.');
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
			const mine = this.practice;
			this.practice = state.practice;
			this.#unsent = this.#replay(rest, mine);
		}
		this.#keepUnsent();
		this.saveState = 'saved';
		if (this.#unsent.length > 0) this.#sendSoon();
	}
}
