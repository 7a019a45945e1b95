import { afterEach, beforeEach, vi } from 'vitest';
import type { Practice } from '../../src/core/model/practice';
import { plainPeriod } from '../../src/core/building';
import { applyEdit, type Edit, type SentEdit } from '../../src/core/practice';
import type { Keeper } from '../../src/lib/state/keeper';
import { PracticeEditor, type EditorKeepers } from '../../src/lib/state/practiceEditor.svelte';
import { readUnsent, type UnsentKeeper } from '../../src/lib/state/unsentKeeper';
import { demoContext, demoPractice } from './demo';

const context = demoContext();

/** A server that does what the real one does, on one practice in memory. */
export class FakeServer {
	revision = 1;
	practice: Practice = demoPractice();
	log: SentEdit[] = [];
	/** What happens to the next requests: answered, answered with the answer lost, or not reached. */
	fate: 'answer' | 'lose' | 'away' = 'answer';

	/** What the next requests are refused with, whatever they hold; null for nothing. */
	refusal: { status: number; body: unknown } | null = null;
	/** Edits whose id this holds are refused by name. */
	poison = new Set<string>();

	fetch = async (url: string, { method, body }: { method: string; body: string }) => {
		if (this.fate === 'away') throw new TypeError('no network');
		if (this.refusal)
			return new Response(JSON.stringify(this.refusal.body), { status: this.refusal.status });
		if (method === 'GET') {
			const ids = new URL(url, 'http://server').searchParams.get('ids')?.split(',') ?? [];
			const known = ids.filter((id) => this.log.some((sent) => sent.id === id));
			return new Response(JSON.stringify({ ...this.state(), known }));
		}
		const { revision, edits } = JSON.parse(body) as { revision: number; edits: SentEdit[] };
		const answer = this.take(revision, edits);
		if (this.fate === 'lose') throw new TypeError('the answer was lost');
		return new Response(JSON.stringify(answer.body), { status: answer.status });
	};

	private state() {
		return { revision: this.revision, practice: this.practice };
	}

	private take(revision: number, edits: SentEdit[]) {
		const known = edits.filter(({ id }) => this.log.some((sent) => sent.id === id));
		const fresh = edits.filter((sent) => !known.includes(sent));
		if (fresh.length === 0) return { status: 200, body: this.state() };
		const bad = fresh.find(({ edit }) => this.poison.has(JSON.stringify(edit)));
		if (bad)
			return { status: 400, body: { error: { path: '', message: 'is no good' }, edit: bad.id } };
		if (revision !== this.revision)
			return { status: 409, body: { ...this.state(), known: known.map(({ id }) => id) } };
		let next = this.practice;
		for (const { id, edit } of fresh) {
			const applied = applyEdit(next, edit);
			if (!applied.ok)
				return { status: 400, body: { error: { path: '', message: applied.failure }, edit: id } };
			next = applied.value.practice;
		}
		this.practice = next;
		this.log.push(...fresh);
		this.revision += 1;
		return { status: 200, body: this.state() };
	}
}

/** A keeper that has room for so many characters. */
export function inMemory<Value>(mostCharacters = Infinity): Keeper<Value> {
	let kept: string | undefined;
	return {
		read: () => (kept === undefined ? undefined : JSON.parse(kept)),
		write(value) {
			const text = value === undefined ? undefined : JSON.stringify(value);
			if ((text ?? '').length > mostCharacters) return false;
			kept = text;
			return true;
		}
	};
}

/** What was kept as text; what is no JSON was spoilt. */
function readKept(text = 'null') {
	try {
		return readUnsent(JSON.parse(text));
	} catch {
		return readUnsent(null);
	}
}

/** A browser's storage in memory that pages share; each page has a name of its own, and may be open or gone. */
export class Storage {
	kept = new Map<string, string>();
	open = new Set<string>();
	steps = inMemory<never>();
	#pages = 0;

	page(): EditorKeepers {
		const own = `page ${(this.#pages += 1)}`;
		this.open.add(own);
		const unsent: UnsentKeeper = {
			write: async (edits) => {
				if (edits.length === 0) this.kept.delete(own);
				else this.kept.set(own, JSON.stringify(edits));
				return true;
			},
			left: async () => {
				const gone = [...this.kept.keys()].filter((key) => !this.open.has(key));
				const read = await Promise.all(gone.map((key) => readKept(this.kept.get(key))));
				return {
					unsent: read.flatMap((each) => each.unsent),
					unreadable: read.reduce((sum, each) => sum + each.unreadable, 0),
					taken: async () => gone.forEach((key) => this.kept.delete(key))
				};
			},
			release: () => this.open.delete(own)
		};
		return { unsent, steps: this.steps };
	}

	/** All pages are gone, as after a reload or a crash. */
	crash(): void {
		this.open.clear();
	}

	get unsent(): { id: string }[] {
		return [...this.kept.values()].flatMap((text) => JSON.parse(text));
	}
}

/** The server that editors of a test talk to: another one for each test, and after `renew`. */
export class World {
	server = new FakeServer();

	/** Sets the clock and the network of a test file's tests up. */
	constructor() {
		beforeEach(() => {
			vi.useFakeTimers();
			this.renew();
		});
		afterEach(() => {
			vi.useRealTimers();
			vi.unstubAllGlobals();
		});
	}

	/** A server that knows nothing of what was sent before. */
	renew(): void {
		this.server = new FakeServer();
		vi.stubGlobal('fetch', this.server.fetch);
	}

	/** A page that opens the practice as it stands on the server. */
	open(keepers: EditorKeepers | null = null): PracticeEditor {
		const { revision, practice } = this.server;
		return new PracticeEditor('/edits', { revision, practice }, context, keepers);
	}
}

/** Lets all that is on its way arrive. */
export const settle = () => vi.advanceTimersByTimeAsync(10_000);
export const minutes = (value: number): Edit => ({ type: 'set-practice', set: { minutes: value } });
export const water = (id: string): Edit => ({
	type: 'add-period',
	period: plainPeriod('water', { id, name: 'Water', minutes: 2 }),
	after: null
});
