import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import type { Practice } from '$core/model/practice';
import { plainPeriod, setMinutes } from '$core/building';
import { applyEdit, type Edit, type SentEdit } from '$core/practice';
import { demoContext, demoPractice } from '../../../tests/support/demo';
import type { Keeper } from './keeper';
import { PracticeEditor, type EditorKeepers } from './practiceEditor.svelte';
import { readUnsent, type UnsentKeeper } from './unsentKeeper';

const context = demoContext();

/** A server that does what the real one does, on one practice in memory. */
class FakeServer {
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

function inMemory<Value>(mostCharacters = Infinity): Keeper<Value> {
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
class Storage {
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

let server: FakeServer;
beforeEach(() => {
	server = new FakeServer();
	vi.useFakeTimers();
	vi.stubGlobal('fetch', server.fetch);
});
afterEach(() => {
	vi.useRealTimers();
	vi.unstubAllGlobals();
});

const open = (keepers: EditorKeepers | null = null) =>
	new PracticeEditor(
		'/edits',
		{ revision: server.revision, practice: server.practice },
		context,
		keepers
	);
const settle = () => vi.advanceTimersByTimeAsync(10_000);
const minutes = (value: number): Edit => ({ type: 'set-practice', set: { minutes: value } });
const water = (id: string): Edit => ({
	type: 'add-period',
	period: plainPeriod('water', { id, name: 'Water', minutes: 2 }),
	after: null
});

describe('PracticeEditor', () => {
	test('shows a change at once and saves it by itself', async () => {
		const editor = open();
		expect(editor.apply(minutes(100))).toBeNull();
		expect([editor.practice.minutes, editor.saveState]).toEqual([100, 'saving']);
		await settle();
		expect([server.practice.minutes, editor.saveState]).toEqual([100, 'saved']);
	});

	test('keeps its own value where the server says the same with its keys in another order', async () => {
		const editor = open();
		editor.apply(minutes(100));
		const before = editor.practice;
		const { fetch: answer } = server;
		vi.stubGlobal('fetch', async (url: string, init: { method: string; body: string }) => {
			const { revision, practice } = await (await answer(url, init)).json();
			const turned = Object.fromEntries(Object.entries(practice).reverse());
			return new Response(JSON.stringify({ revision, practice: turned }));
		});
		await settle();
		expect(editor.saveState).toBe('saved');
		expect(editor.practice).toBe(before);
	});

	test('says why an edit does not apply, and sends nothing', async () => {
		const editor = open();
		expect(editor.apply({ type: 'remove-period', period: 'nowhere' })).toBe('no-such-period');
		await settle();
		expect(server.log).toEqual([]);
	});

	test('takes steps back and does them again, each by its name', async () => {
		const editor = open();
		editor.apply(setMinutes(editor.practice, 'squares', 14));
		editor.apply(water('w'));
		expect([editor.undoWords, editor.redoWords]).toEqual(['Add Water at the start', '']);
		editor.undo();
		editor.undo();
		expect(editor.practice).toEqual(demoPractice());
		expect([editor.undoWords, editor.redoWords]).toEqual(['', 'Give Two-touch squares 14 minutes']);
		editor.redo();
		expect(editor.practice.periods[1].minutes).toBe(14);
		editor.undo();
		await settle();
		expect(server.practice).toEqual(demoPractice());
	});

	test('a new step ends what could be done again', () => {
		const editor = open();
		editor.apply(minutes(100));
		editor.undo();
		editor.apply(minutes(80));
		expect(editor.redoWords).toBe('');
	});

	test('goes on trying while the server is away, and keeps what is unsent', async () => {
		const store = new Storage();
		const editor = open(store.page());
		server.fate = 'away';
		editor.apply(minutes(100));
		await vi.advanceTimersByTimeAsync(5000);
		expect(editor.saveState).toBe('away');
		expect(store.unsent).toHaveLength(1);
		server.fate = 'answer';
		await settle();
		expect([editor.saveState, server.practice.minutes]).toEqual(['saved', 100]);
		expect(store.unsent).toEqual([]);
	});

	test('resumes on a new page what the old one could not send', async () => {
		const store = new Storage();
		server.fate = 'away';
		open(store.page()).apply(minutes(100));
		server.fate = 'answer';
		store.crash();
		const next = open(store.page());
		await next.resume();
		expect(next.practice.minutes).toBe(100);
		await settle();
		expect(server.practice.minutes).toBe(100);
	});

	test('takes steps back on a new page that were made on the old one', async () => {
		const store = new Storage();
		const first = open(store.page());
		first.apply(water('w'));
		first.apply(minutes(100));
		first.undo();
		await settle();
		const next = open(store.page());
		await next.resume();
		expect([next.undoWords, next.redoWords]).toEqual([
			'Add Water at the start',
			'Make the practice 100 minutes'
		]);
		next.undo();
		await settle();
		expect(server.practice).toEqual(demoPractice());
	});

	test('applies an edit once whose answer was lost', async () => {
		const editor = open();
		server.fate = 'lose';
		editor.apply(water('w'));
		await vi.advanceTimersByTimeAsync(1000);
		server.fate = 'answer';
		await settle();
		expect(server.practice.periods.filter(({ id }) => id === 'w')).toHaveLength(1);
		expect(editor.practice).toEqual(server.practice);
	});

	test('knows its own edit again whose answer was lost before a reload', async () => {
		const store = new Storage();
		const first = open(store.page());
		server.fate = 'lose';
		first.apply(setMinutes(first.practice, 'squares', 14));
		first.apply(water('w'));
		await vi.advanceTimersByTimeAsync(1000);
		first.dispose();
		store.crash();
		server.fate = 'answer';
		const next = open(store.page());
		await next.resume();
		next.apply(minutes(95));
		await settle();
		expect([next.conflicts, next.trouble, next.saveState]).toEqual([[], '', 'saved']);
		expect(server.log.map(({ edit }) => edit.type)).toEqual(['all', 'add-period', 'set-practice']);
		expect(store.unsent).toEqual([]);
	});

	test('says nothing of somebody else where its own lost answer made the new state', async () => {
		const editor = open();
		server.fate = 'lose';
		editor.apply(minutes(100));
		await vi.advanceTimersByTimeAsync(300);
		editor.apply(water('w'));
		server.fate = 'answer';
		await settle();
		expect([editor.trouble, editor.conflicts]).toEqual(['', []]);
		expect(server.log).toHaveLength(2);
	});

	test('leaves alone what another open tab has not sent, and takes it over once that is gone', async () => {
		const store = new Storage();
		server.fate = 'away';
		const [mine, yours] = [open(store.page()), open(store.page())];
		mine.apply(minutes(100));
		yours.apply(water('w'));
		expect(store.unsent).toHaveLength(2);
		await mine.resume();
		expect(mine.practice.periods.some(({ id }) => id === 'w')).toBe(false);
		store.crash();
		server.fate = 'answer';
		const next = open(store.page());
		await next.resume();
		await settle();
		expect(server.practice.minutes).toBe(100);
		expect(server.practice.periods[0].id).toBe('w');
	});

	test('opens with what an older version has kept, and says what it could not read', async () => {
		const store = new Storage();
		store.kept.set('old', JSON.stringify([{ id: 'x', edit: { type: 'explode' }, inverse: {} }]));
		store.kept.set('spoilt', '{"half');
		const step = { of: 'x', words: 'Explode', edit: { type: 'explode' }, expects: { type: 'x' } };
		store.steps.write({ undo: [{ words: 'no step' }, step], redo: 'none' } as never);
		const editor = open(store.page());
		await editor.resume();
		expect(editor.trouble).toContain('2 unsaved changes');
		expect(editor.undoWords).toBe('Explode');
		editor.undo();
		expect([editor.undoWords, editor.practice]).toEqual(['', demoPractice()]);
		expect(editor.apply(minutes(100))).toBeNull();
		await settle();
		expect(server.practice.minutes).toBe(100);
	});

	test('sets only the edit aside that the server does not take, named, and sends the others', async () => {
		const store = new Storage();
		const editor = open(store.page());
		server.poison.add(JSON.stringify(minutes(100)));
		editor.apply(water('w'));
		editor.apply(minutes(100));
		editor.apply(setMinutes(editor.practice, 'squares', 14));
		await settle();
		expect(server.log.map(({ edit }) => edit.type)).toEqual(['add-period', 'all']);
		expect(editor.practice).toEqual(server.practice);
		const [refused] = editor.refused;
		expect([refused.words, refused.why, editor.saveState]).toEqual([
			'Make the practice 100 minutes',
			'is no good',
			'refused'
		]);
		expect(store.unsent).toHaveLength(1);
		server.poison.clear();
		expect(editor.retry(refused)).toBeNull();
		await settle();
		expect([server.practice.minutes, editor.refused, editor.saveState]).toEqual([100, [], 'saved']);
	});

	test('sets aside what rests on an edit that was not taken, and gives both up when asked to', async () => {
		const editor = open();
		server.poison.add(JSON.stringify(water('w')));
		editor.apply(water('w'));
		editor.apply({ type: 'set-period', period: 'w', set: { name: 'Drink' } });
		await settle();
		expect(editor.refused).toHaveLength(2);
		for (const refused of editor.refused) editor.giveUp(refused);
		expect([editor.refused, editor.practice]).toEqual([[], demoPractice()]);
	});

	test('keeps all and tries again when asked to where the page as such is refused', async () => {
		for (const status of [401, 403, 404]) {
			server = new FakeServer();
			vi.stubGlobal('fetch', server.fetch);
			const store = new Storage();
			const editor = open(store.page());
			server.refusal = { status, body: { error: { path: '', message: 'Not today.' } } };
			editor.apply(minutes(100));
			await settle();
			expect([editor.saveState, editor.outbox.trouble]).toEqual(['refused', 'Not today.']);
			expect([editor.practice.minutes, store.unsent.length]).toEqual([100, 1]);
			server.refusal = null;
			editor.outbox.tryAgain();
			await settle();
			expect([server.practice.minutes, editor.saveState]).toEqual([100, 'saved']);
		}
	});

	test('sends many edits in portions, and finds the one that is too much where none is named', async () => {
		const editor = open();
		server.fate = 'away';
		for (let k = 0; k < 620; k += 1) editor.apply(minutes(60 + (k % 40)));
		const { fetch: answer } = server;
		const sizes: number[] = [];
		vi.stubGlobal('fetch', async (url: string, init: { method: string; body: string }) => {
			const { edits } = JSON.parse(init.body) as { edits: SentEdit[] };
			sizes.push(edits.length);
			const isTooMuch = init.body.includes('too much');
			return isTooMuch ? new Response('{}', { status: 413 }) : answer(url, init);
		});
		server.fate = 'answer';
		editor.apply({ type: 'set-practice', set: { place: 'too much' } });
		editor.apply(minutes(99));
		for (let k = 0; k < 5; k += 1) await settle();
		expect(Math.max(...sizes)).toBeLessThanOrEqual(100);
		expect([server.log.length, server.practice.minutes]).toEqual([621, 99]);
		expect(editor.refused).toHaveLength(1);
	});

	test('sends nothing any more once its page is gone, and leaves it to the next one', async () => {
		const store = new Storage();
		const editor = open(store.page());
		server.fate = 'away';
		editor.apply(minutes(100));
		await vi.advanceTimersByTimeAsync(1000);
		editor.dispose();
		server.fate = 'answer';
		await settle();
		expect([server.log, store.unsent.length]).toEqual([[], 1]);
	});

	test('sends what was changed a moment before its page is left', async () => {
		const store = new Storage();
		const editor = open(store.page());
		editor.apply(minutes(100));
		editor.dispose();
		await settle();
		expect([server.practice.minutes, store.unsent]).toEqual([100, []]);
	});

	test('keeps the newest steps where the browser has little room, and says so', async () => {
		const keepers = { ...new Storage().page(), steps: inMemory<never>(4000) };
		const editor = open(keepers);
		for (let k = 0; k < 40; k += 1) editor.apply(minutes(60 + k));
		await vi.waitFor(() => expect(editor.keeping).toMatch(/undo goes back \d+ steps/));
		const next = open(keepers);
		await next.resume();
		expect(next.undoWords).toBe('Make the practice 99 minutes');
	});

	test('keeps both changes where somebody else was first, and says so', async () => {
		const [mine, yours] = [open(), open()];
		mine.apply(minutes(100));
		await settle();
		yours.apply(water('w'));
		await settle();
		expect(server.practice.minutes).toBe(100);
		expect(server.practice.periods[0].id).toBe('w');
		expect(yours.practice).toEqual(server.practice);
		expect(yours.trouble).toContain('Both changes are kept');
	});

	/** Two editors of which the first was saved before the second. */
	async function meeting(first: (editor: PracticeEditor) => Edit, second: typeof first) {
		const [mine, yours] = [open(), open()];
		mine.apply(first(mine));
		await settle();
		yours.apply(second(yours));
		await settle();
		return { mine, yours };
	}
	const squares = (value: number) => (editor: PracticeEditor) =>
		setMinutes(editor.practice, 'squares', value);
	const without = (period: string) => (): Edit => ({ type: 'remove-period', period });
	const minutesOf = (id: string) =>
		server.practice.periods.find((period) => period.id === id)?.minutes;

	test('asks where both changed the same, and takes either', async () => {
		for (const [choice, left] of [
			['mine', 14],
			['theirs', 8]
		] as const) {
			server = new FakeServer();
			vi.stubGlobal('fetch', server.fetch);
			const { yours } = await meeting(squares(8), squares(14));
			const [conflict] = yours.conflicts;
			expect([conflict.mine, conflict.theirs]).toEqual([
				'Give Two-touch squares 14 minutes',
				'Give Two-touch squares 8 minutes'
			]);
			expect(yours.settle(conflict, choice)).toBeNull();
			await settle();
			expect(yours.conflicts).toEqual([]);
			expect(minutesOf('squares')).toBe(left);
		}
	});

	test('asks where others took away what a change is about, and can bring it back', async () => {
		const { yours } = await meeting(without('squares'), squares(14));
		expect(minutesOf('squares')).toBeUndefined();
		const [conflict] = yours.conflicts;
		expect(conflict.theirs).toBe('Two-touch squares removed');
		yours.settle(conflict, 'mine');
		await settle();
		expect(minutesOf('squares')).toBe(14);
		expect(server.practice.periods.map(({ id }) => id)).toEqual(
			demoPractice().periods.map(({ id }) => id)
		);
	});

	test('does not ask where changes lie beside each other', async () => {
		const { yours } = await meeting(squares(8), () => water('w'));
		expect(yours.conflicts).toEqual([]);
	});

	test('takes a change back to what somebody else had made of it', async () => {
		const { yours } = await meeting(squares(8), squares(14));
		yours.undo();
		await settle();
		expect(minutesOf('squares')).toBe(8);
	});

	test('does not take back what somebody else has changed since, and says why', async () => {
		const { mine } = await meeting(squares(8), squares(14));
		mine.apply(minutes(95));
		await settle();
		mine.undo();
		mine.undo();
		await settle();
		expect(minutesOf('squares')).toBe(14);
		expect(mine.trouble).toContain('somebody else has changed it since');
	});

	test('does not remove a period that it added once others work in it', async () => {
		const [mine, yours] = [open(), open()];
		mine.apply(water('w'));
		await settle();
		yours.apply(minutes(95));
		await settle();
		yours.apply({ type: 'set-period', period: 'w', set: { name: 'Water and words' } });
		await settle();
		mine.apply(minutes(96));
		await settle();
		mine.undo();
		mine.undo();
		await settle();
		expect(server.practice.periods[0]).toMatchObject({ id: 'w', name: 'Water and words' });
	});

	test('two browsers with lost answers, delays and undo end up with every edit once, in order', async () => {
		const step = fc.record({
			who: fc.nat(1),
			what: fc.constantFrom('edit', 'edit', 'edit', 'undo', 'redo', 'wait'),
			fate: fc.constantFrom<FakeServer['fate']>('answer', 'answer', 'lose', 'away'),
			kind: fc.nat(3),
			number: fc.nat(40)
		});
		let made = 0;
		await fc.assert(
			fc.asyncProperty(fc.array(step, { minLength: 5, maxLength: 40 }), async (steps) => {
				server = new FakeServer();
				vi.stubGlobal('fetch', server.fetch);
				const editors = [open(), open()];
				for (const { who, what, fate, kind, number } of steps) {
					const editor = editors[who];
					server.fate = fate;
					const periods = editor.practice.periods;
					const period = periods[number % Math.max(1, periods.length)];
					if (what === 'wait') await vi.advanceTimersByTimeAsync(number * 100);
					else if (what === 'undo') editor.undo();
					else if (what === 'redo') editor.redo();
					else if (kind === 0) editor.apply(minutes(60 + number));
					else if (kind === 1) editor.apply(water(`w${(made += 1)}`));
					else if (period && kind === 2)
						editor.apply(setMinutes(editor.practice, period.id, 1 + number));
					else if (period) editor.apply({ type: 'remove-period', period: period.id });
				}
				server.fate = 'answer';
				for (let k = 0; k < 5; k += 1) await settle();
				const ids = server.log.map(({ id }) => id);
				expect(new Set(ids).size).toBe(ids.length);
				const replayed = server.log.reduce((practice, { edit }) => {
					const applied = applyEdit(practice, edit);
					if (!applied.ok) throw new Error(applied.failure);
					return applied.value.practice;
				}, demoPractice());
				expect(server.practice).toEqual(replayed);
				for (const editor of editors) {
					expect(editor.saveState).toBe('saved');
					// One more edit brings what the other did since: then both hold the server's state.
					editor.apply(minutes(77));
					await settle();
					expect(editor.practice).toEqual(server.practice);
				}
			}),
			{ seed: 9, numRuns: 60 }
		);
	});
});
