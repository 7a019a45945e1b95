import type { Unsent } from './conflicts';
import { askKnown, sendEdits, type Sent, type ServerState } from './saver';
import type { UnsentKeeper } from './unsentKeeper';

/** What is going on between this page and the server. */
export type SaveState = 'saved' | 'saving' | 'away' | 'refused';

const SEND_AFTER_MILLISECONDS = 200;
const TRY_AGAIN_AFTER_MILLISECONDS = 2000;
/** Edits, and characters of them, that are sent at once: well under what the server takes. */
const MOST_EDITS = 100;
const MOST_CHARACTERS = 300_000;

/** An edit that the server does not take, and why. */
export interface Aside {
	unsent: Unsent;
	why: string;
}

/** What an outbox tells the value that it sends edits of. */
export interface OutboxListener {
	/** The server's newest state. `own` edits, which it holds, are out of the queue already. */
	onstate(state: ServerState, of: { isStale: boolean; own: readonly Unsent[] }): void;
	/** An edit was taken out of the queue: the value is to be made anew without it. */
	onaside(aside: Aside): void;
}

/**
 * Edits on their way to the server: kept in the browser until they are answered, sent in order and in
 * portions, again by themselves while the server is away. One that the server does not take is set
 * aside and the others go on.
 */
export class Outbox {
	state: SaveState = $state('saved');
	/** Why nothing is being saved now, in words; empty when all is well. */
	trouble = $state('');
	/** Edits that the server does not take: to be tried again or given up. */
	aside: Aside[] = $state.raw([]);
	/** Whether the browser keeps what is unsent over a reload. */
	isKept = $state(true);
	#queue: Unsent[] = [];
	#revision: number;
	#isSending = false;
	#isOver = false;
	/** Edits of earlier pages of which it is not known yet whether the server has them. */
	#asked: string[] | null = null;
	#most = MOST_EDITS;
	#timer: ReturnType<typeof setTimeout> | undefined;

	constructor(
		private readonly url: string,
		revision: number,
		private readonly keeper: UnsentKeeper | null,
		private readonly listener: OutboxListener
	) {
		this.#revision = revision;
	}

	/** Edits that the server has not confirmed, in order. */
	get queue(): readonly Unsent[] {
		return this.#queue;
	}

	/** Puts other edits in the place of those that are queued: the same ones, on another state. */
	requeue(queue: readonly Unsent[]): void {
		this.#queue = [...queue];
		void this.#keep();
		if (this.#queue.length > 0) this.sendSoon();
	}

	push(unsent: Unsent): void {
		this.requeue([...this.#queue, unsent]);
	}

	/** Takes over what pages that are gone have left; says how many edits there are, and how many nobody can read. */
	async takeLeft(): Promise<{ found: number; unreadable: number }> {
		const left = await this.keeper?.left();
		if (!left) return { found: 0, unreadable: 0 };
		const { unsent, unreadable } = left;
		if (unsent.length > 0) {
			this.#queue = [...unsent, ...this.#queue];
			this.#asked = unsent.map(({ id }) => id);
		}
		// What cannot be kept here stays where it lies.
		if (await this.#keep()) await left.taken();
		return { found: unsent.length, unreadable };
	}

	/** Tries an edit again that was set aside, or gives it up: it is out of the list. */
	takeOut(aside: Aside): void {
		this.aside = this.aside.filter((each) => each !== aside);
		void this.#keep();
	}

	/** What is queued and set aside is kept; false where the browser refuses. */
	async #keep(): Promise<boolean> {
		const all = [...this.aside.map(({ unsent }) => unsent), ...this.#queue];
		const isKept = (await this.keeper?.write(all)) ?? true;
		this.isKept = isKept;
		return isKept;
	}

	sendSoon(milliseconds = SEND_AFTER_MILLISECONDS): void {
		if (this.#isOver) return;
		if (this.state === 'saved') this.state = 'saving';
		clearTimeout(this.#timer);
		this.#timer = setTimeout(() => this.send(), milliseconds);
	}

	/** The next edits that are sent together. */
	#portion(): Unsent[] {
		let characters = 0;
		const portion: Unsent[] = [];
		for (const unsent of this.#queue.slice(0, this.#most)) {
			characters += JSON.stringify(unsent.edit).length;
			if (portion.length > 0 && characters > MOST_CHARACTERS) break;
			portion.push(unsent);
		}
		return portion;
	}

	/** Sends what is unsent now. Edits made meanwhile are sent after the answer. */
	async send(): Promise<void> {
		if (this.#isSending || this.#isOver || this.#queue.length === 0) return;
		this.#isSending = true;
		const asked = this.#asked;
		const portion = asked ? [] : this.#portion();
		const sent = asked
			? await askKnown(this.url, asked.slice(0, MOST_EDITS))
			: await sendEdits(
					this.url,
					this.#revision,
					portion.map(({ id, edit }) => ({ id, edit }))
				);
		this.#isSending = false;
		if (!this.#isOver) this.#take(sent, portion, asked);
	}

	#take(sent: Sent, portion: readonly Unsent[], asked: readonly string[] | null): void {
		switch (sent.kind) {
			case 'away':
				this.state = 'away';
				this.trouble = sent.message;
				this.sendSoon(TRY_AGAIN_AFTER_MILLISECONDS);
				break;
			case 'refused':
				this.#refused(sent, portion);
				break;
			case 'saved':
			case 'stale': {
				const rest = asked?.slice(MOST_EDITS) ?? [];
				this.#asked = rest.length > 0 ? rest : null;
				const taken = sent.kind === 'saved' ? portion.map(({ id }) => id) : [];
				const held = [...sent.known, ...taken];
				const own = this.#queue.filter(({ id }) => held.includes(id));
				this.#queue = this.#queue.filter(({ id }) => !held.includes(id));
				this.#confirm(sent.state, { isStale: sent.kind === 'stale', own });
			}
		}
	}

	#confirm(state: ServerState, of: { isStale: boolean; own: readonly Unsent[] }): void {
		this.#revision = state.revision;
		this.#most = MOST_EDITS;
		this.trouble = '';
		this.state = this.aside.length > 0 ? 'refused' : 'saved';
		this.listener.onstate(state, of);
		void this.#keep();
		if (this.#queue.length > 0) this.sendSoon();
	}

	/**
	 * Finds the edit at fault: the one that the server names, or, where it took none of several, by sending
	 * ever fewer. Where it refuses the page as such, all is kept and nothing is sent until the coach says so.
	 */
	#refused(
		{ status, message, edit }: Extract<Sent, { kind: 'refused' }>,
		portion: readonly Unsent[]
	): void {
		const isAboutEdits = (status === 400 || status === 413) && portion.length > 0;
		const fault =
			portion.find(({ id }) => id === edit) ?? (portion.length === 1 ? portion[0] : undefined);
		if (!isAboutEdits) {
			this.state = 'refused';
			this.trouble = message;
			return;
		}
		if (!fault) {
			this.#most = Math.max(1, Math.floor(portion.length / 2));
			return this.sendSoon(0);
		}
		this.#queue = this.#queue.filter((each) => each !== fault);
		this.setAside(fault, message);
	}

	/** Sets an edit aside that cannot be saved, and goes on with the others. */
	setAside(unsent: Unsent, why: string): void {
		const aside = { unsent, why };
		this.aside = [...this.aside, aside];
		this.state = 'refused';
		this.listener.onaside(aside);
		void this.#keep();
		if (this.#queue.length > 0) this.sendSoon(0);
	}

	/** Sends at once what waits, after the server had refused the page as such. */
	tryAgain(): void {
		this.trouble = '';
		this.state = 'saving';
		void this.send();
	}

	/** The page is left: what is unsent stays kept for the next one, and nothing is sent any more. */
	dispose(): void {
		void this.#lastTry();
		this.#isOver = true;
		clearTimeout(this.#timer);
		this.keeper?.release();
	}

	/** What was changed a moment before the page was left is sent once; what is answered is not kept. */
	async #lastTry(): Promise<void> {
		const portion = this.#portion();
		if (portion.length === 0 || this.#asked || this.state === 'away') return;
		const edits = portion.map(({ id, edit }) => ({ id, edit }));
		const sent = await sendEdits(this.url, this.#revision, edits);
		if (sent.kind !== 'saved') return;
		this.#queue = this.#queue.filter((each) => !portion.includes(each));
		void this.#keep();
	}
}
