import { nanoid } from 'nanoid';
import { ok, sameValue, type Result } from '$core/base';
import { describeEdit, describeFailure, faultsIn, type Fault } from '$core/checks';
import type { Drill } from '$core/model/drill';
import type { Practice } from '$core/model/practice';
import { speaker, type Say } from '$words';
import { evaluate, type Evaluation } from '$core/playing';
import { applyEdit, type Context, type Edit, type EditFailure, learning } from '$core/practice';
import { findsTheSame, outdated, overwriting, type Conflict, type Unsent } from './conflicts';
import { History, type KeptSteps, type Step } from './history.svelte';
import { keepIn, type Keeper } from './keeper';
import { Outbox, type Aside } from './outbox.svelte';
import type { ServerState } from './saver';
import { browserUnsent, type UnsentKeeper } from './unsentKeeper';
import texts from '$texts/page';

/** What an editor keeps: edits that the server has not answered, and the steps of this session. */
export interface EditorKeepers {
	unsent: UnsentKeeper;
	steps: Keeper<KeptSteps>;
}

/** Keepers for one practice: unsent edits outlive the browser, steps live as long as the tab. */
export function browserKeepers(practice: string): EditorKeepers {
	return {
		unsent: browserUnsent(practice),
		steps: keepIn(() => sessionStorage, `steps ${practice}`)
	};
}

/** An edit that the server does not take, in words. */
export interface RefusedEdit {
	words: string;
	why: string;
	aside: Aside;
}

/** One practice while it is edited: its value and what follows from it, undo, and saving by itself. */
export class PracticeEditor {
	/** What the practice is built from; it grows by drills that are looked up. */
	context: Context = $state.raw() as Context;
	/** Says texts in the team's own words. */
	readonly say: Say;
	practice: Practice = $state.raw() as Practice;
	/** What went wrong last on this page, in words; empty when all is well. */
	trouble = $state('');
	/** What others changed differently and the coach has not decided yet. */
	conflicts: Conflict[] = $state.raw([]);
	readonly outbox: Outbox;
	readonly #history: History;
	/** The practice as the server confirmed it last. */
	#confirmed: Practice;
	#last: Evaluation | undefined;

	evaluation: Evaluation = $derived.by(() => {
		this.#last = evaluate(this.practice, this.context, this.#last);
		return this.#last;
	});
	findings: Fault[] = $derived(faultsIn(this.evaluation));
	undoWords = $derived.by(() => this.#history.undoWords);
	redoWords = $derived.by(() => this.#history.redoWords);
	/** Edits that the server does not take, to be tried again or given up. */
	refused: RefusedEdit[] = $derived.by(() =>
		this.outbox.aside.map((aside) => ({
			words: this.#wordsOf(aside.unsent.edit),
			why: aside.why,
			aside
		}))
	);
	/** What is not as it should be with keeping: in words, empty when all is well. */
	keeping = $derived.by(() => {
		if (!this.outbox.isKept) return this.say(texts.noRoomForChanges);
		const { kept } = this.#history;
		return kept === null ? '' : this.say(texts.littleRoom, { kept });
	});

	constructor(url: string, state: ServerState, context: Context, keepers: EditorKeepers | null) {
		this.context = context;
		this.say = speaker(context.team.words);
		this.practice = state.practice;
		this.#confirmed = state.practice;
		this.#history = new History(keepers?.steps ?? null);
		this.outbox = new Outbox(url, state.revision, keepers?.unsent ?? null, {
			onstate: (newest, of) => this.#confirm(newest, of),
			onaside: ({ unsent }) => this.#without(unsent)
		});
	}

	/** What is going on between this page and the server. */
	get saveState() {
		return this.outbox.state;
	}

	/**
	 * Goes on where an earlier page stopped: its steps, and the edits that it could not send. They are
	 * shown at once; which of them the server has already is asked before any is sent.
	 */
	async resume(): Promise<void> {
		await this.#history.resume();
		const { found, unreadable } = await this.outbox.takeLeft();
		if (unreadable > 0) this.trouble = this.say(texts.ofAnOlderVersionCannotBe, { unreadable });
		if (found === 0) return;
		this.practice = replayed(this.practice, this.outbox.queue);
		this.outbox.sendSoon();
	}

	/** Drills beside those that are known: none of the runs is played again for it. */
	learn(drills: readonly Drill[]): void {
		this.context = learning(this.context, drills);
	}

	/** The practice is on another day or ground: other surroundings, with the drills that are known. */
	surround(context: Context): void {
		this.context = learning(context, this.context.drills);
	}

	/** The page is left: nothing is sent any more. */
	dispose(): void {
		this.outbox.dispose();
	}

	/** Sends what is unsent now. */
	send(): Promise<void> {
		return this.outbox.send();
	}

	/** Decides a conflict: the outcome that was chosen becomes a step of its own, if it does not hold yet. */
	settle(conflict: Conflict, choice: 'mine' | 'theirs'): EditFailure | null {
		this.conflicts = this.conflicts.filter((each) => each !== conflict);
		const edit = choice === 'mine' ? conflict.keepMine : conflict.takeTheirs;
		return edit && this.apply(edit);
	}

	/** Makes an edit again that the server did not take. Gives why it does not apply, or null. */
	retry({ aside }: RefusedEdit): EditFailure | null {
		const failure = this.apply(aside.unsent.edit);
		if (!failure) this.outbox.takeOut(aside);
		return failure;
	}

	/** Gives an edit up that the server did not take. */
	giveUp({ aside }: RefusedEdit): void {
		this.outbox.takeOut(aside);
	}

	#wordsOf = (edit: Edit) =>
		describeEdit(edit, { practice: this.practice, context: this.context }, this.say);

	/** Applies an edit, makes it one step of undo and saves it. Gives why it does not apply, or null. */
	apply(edit: Edit): EditFailure | null {
		const step = this.#commit(edit, this.#wordsOf(edit));
		if (!step.ok) return step.failure;
		this.#history.add(step.value);
		return null;
	}

	/** Takes the last step back on the practice as it stands. */
	undo(): void {
		this.#history.back((step) => this.#stepBack(step));
	}

	/** Does the step again that was taken back last. */
	redo(): void {
		this.#history.forth((step) => this.#stepBack(step));
	}

	/** Applies a step and gives the one that takes it back; null, with the reason said, where it would undo others' work. */
	#stepBack({ edit, words, expects }: Step): Step | null {
		const tried = applyEdit(this.practice, edit);
		const isOurs = tried.ok && findsTheSame(tried.value.inverse, expects);
		const step = isOurs ? this.#commit(edit, words) : null;
		if (step?.ok) return step.value;
		const why = tried.ok
			? this.say(texts.somebodyElseHasChangedItSince)
			: describeFailure(tried.failure, this.say);
		this.trouble = this.say(texts.canNoLongerBeChangedBack, { words, why });
		return null;
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
		this.outbox.push({ id, edit, inverse });
		return ok({ of: id, edit: inverse, words, expects: back.value.inverse });
	}

	/**
	 * Applies edits on the practice as it stands and gives those that still apply. Where one meets a
	 * change of somebody else it asks; `mine` is the practice as this page had it.
	 */
	#replay(edits: readonly Unsent[], mine: Practice): Unsent[] {
		const { context, say } = this;
		const kept: Unsent[] = [];
		const conflicts: Conflict[] = [];
		for (const unsent of edits) {
			const plan = { practice: this.practice, context };
			const applied = applyEdit(this.practice, unsent.edit);
			if (!applied.ok) {
				conflicts.push(outdated(unsent, { mine, theirs: this.practice, context, say }));
				continue;
			}
			const { practice, inverse } = applied.value;
			const conflict = overwriting(unsent, inverse, { ...plan, say });
			if (conflict) conflicts.push(conflict);
			this.practice = practice;
			kept.push({ ...unsent, inverse });
			// From now on taking it back brings what others had put there, not what it first found.
			if (conflict) this.#history.renew(unsent.id, (step) => ({ ...step, edit: inverse }));
		}
		if (conflicts.length > 0) this.conflicts = [...this.conflicts, ...conflicts];
		return kept;
	}

	/** The practice without an edit that the server did not take; what rests on it is set aside too. */
	#without(unsent: Unsent): void {
		this.#history.renew(unsent.id, () => null);
		let practice = this.#confirmed;
		const kept: Unsent[] = [];
		const lost: Unsent[] = [];
		for (const each of this.outbox.queue) {
			const applied = applyEdit(practice, each.edit);
			if (!applied.ok) {
				lost.push(each);
				continue;
			}
			practice = applied.value.practice;
			kept.push({ ...each, inverse: applied.value.inverse });
		}
		this.practice = practice;
		this.outbox.requeue(kept);
		for (const each of lost) this.outbox.setAside(each, this.say(texts.itRestsOnAChangeThat));
	}

	/** Takes over the server's state and puts what is still unsent on top. */
	#confirm(
		{ practice }: ServerState,
		{ isStale, own }: { isStale: boolean; own: readonly Unsent[] }
	): void {
		const rest = this.outbox.queue;
		// A state that our own edits make, whose answer was lost, is nobody else's.
		const isOthers = isStale && !sameValue(practice, replayed(this.#confirmed, own));
		this.#confirmed = practice;
		// The same value stays the same object: fields that are being typed in are left alone.
		if (rest.length > 0 || !sameValue(practice, this.practice)) {
			const mine = this.practice;
			this.practice = practice;
			this.outbox.requeue(this.#replay(rest, mine));
		}
		if (isOthers && this.conflicts.length === 0) this.trouble = this.say(texts.somebodyElseToo);
	}
}

/** A practice with edits applied as far as they apply. */
function replayed(practice: Practice, edits: readonly Unsent[]): Practice {
	return edits.reduce((current, { edit }) => {
		const applied = applyEdit(current, edit);
		return applied.ok ? applied.value.practice : current;
	}, practice);
}
