import type { ActionResult, SubmitFunction } from '@sveltejs/kit';
import { nanoid } from 'nanoid';
import { isLike } from './isLike';
import { keepIn, type Keeper } from './keeper';
import texts from '$texts/page';
import type { Say } from '$words';

/** What a form tells of itself. */
export interface DraftOf<Value> {
	/** What is kept under: the address of the form. */
	about: string;
	/** The stamp of what is stored, as the page was read. */
	stamp: () => string;
	/** What is typed, as JSON can hold it. */
	read: () => Value;
	/** Puts into the form what was typed earlier. */
	write: (value: Value) => void;
	/** Whether anything is typed that is not stored. */
	isChanged: () => boolean;
	/** Loads what is stored anew, over all that is typed. */
	reload?: () => Promise<void>;
	say: Say;
}

/** What is kept of a form. */
interface Kept<Value> {
	/** Stamp of what it was typed over. */
	base: string;
	value: Value;
}

const KEEP_AFTER_MILLISECONDS = 300;
const AGAIN_AFTER_MILLISECONDS = 3000;

/** The failure that a use case of the server gives for a form. */
interface Failure {
	misfit?: { newest?: string };
}

/**
 * One form of a page: what is typed is kept in the browser until it is saved or given up, outlives a
 * reload and a click elsewhere, and is sent again by itself while the server is away. A save is made
 * against what was read: where somebody else has saved meanwhile, the coach says what holds.
 */
export class FormDraft<Value> {
	/** Whether what is in the form was typed on an earlier visit. */
	isBack = $state(false);
	/** Why it is not saved yet, in words; empty when all is well. */
	trouble = $state('');
	/** Stamp of what somebody else has saved meanwhile; null where nobody has. */
	newest: string | null = $state(null);
	isSending = $state(false);
	/** Whether the browser refuses to keep what is typed. */
	isUnkept = $state(false);
	readonly #of: DraftOf<Value>;
	readonly #keeper: Keeper<Kept<Value>>;
	/** What the next save is held against: the stamp that was read when typing began. */
	#base: string | null = $state(null);
	/** Whether what is stored is being put over what was typed. */
	#isResting = false;
	/** What was saved, or left on purpose, as text: until something else is typed the page may be left. */
	#over: string | null = null;
	#timer: ReturnType<typeof setTimeout> | undefined;
	#again: ReturnType<typeof setTimeout> | undefined;
	/** What is typed and not stored, as it was last seen; null where all is stored. */
	#typed: Value | null = null;
	/** The stamp that the page was last seen with. */
	#seen: string;
	/** The last that was sent, under which id: the same sent again is the same submission. */
	#sent: { id: string; text: string } | null = null;

	constructor(of: DraftOf<Value>, keeper?: Keeper<Kept<Value>>) {
		this.#of = of;
		this.#seen = of.stamp();
		this.#keeper = keeper ?? keepIn(() => localStorage, `draft ${of.about}`);
	}

	/** What the next save is held against. */
	get base(): string {
		return this.#base ?? this.#of.stamp();
	}

	/** Whether something would be lost to the form if it were left now. */
	get isOpen(): boolean {
		return this.#over === null && this.#of.isChanged();
	}

	/** Puts back what was typed on an earlier visit. What is kept in another shape is given up. */
	resume(): void {
		const kept = this.#keeper.read();
		if (kept === undefined) return;
		if (!isLike({ base: '', value: this.#of.read() }, kept)) {
			this.#keeper.write(undefined);
			return;
		}
		this.#of.write(kept.value);
		this.#base = kept.base;
		this.isBack = this.#of.isChanged();
	}

	/** Keeps what is typed, a moment after it was: for an effect that runs at each change. */
	keep(): void {
		const stamp = this.#of.stamp();
		const [isChanged, value] = [this.#of.isChanged(), this.#of.read()];
		clearTimeout(this.#timer);
		if (this.#isResting) return;
		// What was just saved is shown until the page is read anew: it is not typed over what comes then.
		if (this.#over !== null && this.#over === JSON.stringify(value)) return;
		if (stamp !== this.#seen) {
			this.#seen = stamp;
			// The page was read anew under what is typed, after somebody was removed, say: it stays typed.
			if (this.#typed !== null) {
				this.#base = stamp;
				return this.#of.write(this.#typed);
			}
		}
		this.#typed = isChanged ? value : null;
		if (isChanged) this.#base ??= stamp;
		if (!isChanged && !this.#base) return;
		this.#over = null;
		this.#timer = setTimeout(() => this.#write(isChanged, value), KEEP_AFTER_MILLISECONDS);
	}

	#write(isChanged: boolean, value: Value): void {
		if (!isChanged) return this.#forget();
		this.isUnkept = !this.#keeper.write({ base: this.base, value });
	}

	#forget(): void {
		clearTimeout(this.#timer);
		this.#keeper.write(undefined);
		this.#base = null;
		this.#typed = null;
		this.isBack = false;
		this.newest = null;
		this.#sent = null;
	}

	/** Gives up what is typed: the form shows what is stored. */
	async discard(): Promise<void> {
		clearTimeout(this.#again);
		this.#isResting = true;
		this.#forget();
		this.trouble = '';
		await this.#of.reload?.();
		this.#isResting = false;
	}

	/** Keeps at once what is typed: the page may be gone in a moment. */
	flush(): void {
		if (this.isOpen) this.#write(true, this.#of.read());
	}

	/** From now on the page may be left: what is typed stays kept. */
	leave(): void {
		clearTimeout(this.#again);
		this.flush();
		this.#over = JSON.stringify(this.#of.read());
	}

	/** The page is gone: nothing is sent again. */
	dispose(): void {
		clearTimeout(this.#again);
	}

	/** Sends again over what somebody else has saved. */
	keepMine(form: HTMLFormElement | undefined): void {
		if (this.newest !== null) this.#base = this.newest;
		this.newest = null;
		form?.requestSubmit();
	}

	/** For `use:enhance`. */
	submit: SubmitFunction = ({ formData, formElement, cancel }) => {
		if (this.isSending) return cancel();
		clearTimeout(this.#again);
		this.isSending = true;
		const text = JSON.stringify([this.base, this.#of.read()]);
		if (this.#sent?.text !== text) this.#sent = { id: nanoid(), text };
		formData.set('base', this.base);
		formData.set('submission', this.#sent.id);
		return async ({ result, update }) => {
			this.isSending = false;
			if (result.type === 'error') return this.#notSaved(result, formElement);
			this.trouble = '';
			if (result.type === 'failure') {
				this.newest = (result.data as Failure | undefined)?.misfit?.newest ?? null;
				return update({ reset: false });
			}
			// What was typed while it was on its way is not saved with it, and stays.
			if (JSON.stringify([this.base, this.#of.read()]) === text) {
				this.#over = JSON.stringify(this.#of.read());
				this.#forget();
			}
			await update({ reset: false });
		};
	};

	/** Stays on the page; where the server is away, or has no room, it is sent again by itself. */
	#notSaved({ status, error }: ActionResult & { type: 'error' }, form: HTMLFormElement): void {
		const said = status === undefined ? '' : (error as { message?: string })?.message;
		if (status !== undefined && status < 500) {
			this.trouble = this.#of.say(texts.notSavedBecause, { why: said ?? '' });
			return;
		}
		const { say } = this.#of;
		this.trouble = say(texts.notSavedYet, { why: said || say(texts.theServerDoesNotAnswer) });
		this.#again = setTimeout(() => form.requestSubmit(), AGAIN_AFTER_MILLISECONDS);
	}
}
