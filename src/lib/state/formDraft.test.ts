import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { FormDraft } from './formDraft.svelte';
import { isLike } from './isLike';
import type { Keeper } from './keeper';
import { speaker } from '$words';

const say = speaker(undefined);

interface Typed {
	name: string;
	rows: { id: string; count: number }[];
}
const stored: Typed = { name: 'Boats', rows: [{ id: 'a', count: 1 }] };

/** A page with a form: what is typed, what is stored, and how often it was sent. */
class Page {
	typed: Typed = stored;
	stamp = 'one';
	kept: unknown;
	hasRoom = true;
	sent: { base: string; submission: string }[] = [];
	readonly keeper: Keeper<never> = {
		read: () => this.kept as never,
		write: (value) => {
			if (value !== undefined && !this.hasRoom) return false;
			this.kept = value === undefined ? undefined : structuredClone(value);
			return true;
		}
	};
	readonly form = { requestSubmit: vi.fn() } as unknown as HTMLFormElement;

	visit(): FormDraft<Typed> {
		const draft = new FormDraft<Typed>(
			{
				about: '/form',
				stamp: () => this.stamp,
				read: () => this.typed,
				write: (typed) => (this.typed = typed),
				isChanged: () => JSON.stringify(this.typed) !== JSON.stringify(stored),
				say,
				reload: async () => void (this.typed = stored)
			},
			this.keeper
		);
		draft.resume();
		return draft;
	}

	type(draft: FormDraft<Typed>, name: string): void {
		this.typed = { ...this.typed, name };
		draft.keep();
		vi.advanceTimersByTime(1000);
	}

	/** Sends the form and answers it. */
	async send(draft: FormDraft<Typed>, result: object, update = async () => {}): Promise<void> {
		const formData = new FormData();
		const answer = await draft.submit({
			formData,
			formElement: this.form,
			cancel: () => {}
		} as never);
		const field = (name: string) => String(formData.get(name));
		this.sent.push({ base: field('base'), submission: field('submission') });
		await answer?.({ result, update } as never);
	}
}

let page: Page;
beforeEach(() => {
	page = new Page();
	vi.useFakeTimers();
});
afterEach(() => void vi.useRealTimers());

const SUCCESS = { type: 'success', status: 200 };

describe('FormDraft', () => {
	test('keeps what is typed, and gives it back on the next visit, held against what it was typed over', () => {
		page.type(page.visit(), 'Ships');
		page.typed = stored;
		page.stamp = 'two';
		const next = page.visit();
		expect([page.typed.name, next.isBack, next.base]).toEqual(['Ships', true, 'one']);
	});

	test('keeps nothing of what is typed back, saved or discarded', async () => {
		const draft = page.visit();
		page.type(draft, 'Ships');
		page.type(draft, 'Boats');
		expect(page.kept).toBeUndefined();
		page.type(draft, 'Ships');
		await page.send(draft, SUCCESS);
		expect([page.kept, draft.isOpen]).toEqual([undefined, false]);
		page.type(draft, 'Yachts');
		expect(draft.isOpen).toBe(true);
		await draft.discard();
		expect([page.kept, page.typed]).toEqual([undefined, stored]);
	});

	test('may be left once it was saved, though the page still shows what was typed', async () => {
		const draft = page.visit();
		page.type(draft, 'Ships');
		await page.send(draft, { type: 'redirect', status: 303 }, async () => draft.keep());
		vi.advanceTimersByTime(1000);
		expect([draft.isOpen, page.kept]).toEqual([false, undefined]);
	});

	test('shows what is stored once it was saved, and types nothing over it', async () => {
		const draft = page.visit();
		page.type(draft, 'Ships');
		await page.send(draft, SUCCESS, async () => {
			draft.keep();
			// The page is read anew: the server has given the row an id of its own.
			page.stamp = 'two';
			page.typed = stored;
			draft.keep();
		});
		vi.advanceTimersByTime(1000);
		expect([page.typed, page.kept, draft.isOpen]).toEqual([stored, undefined, false]);
	});

	test('keeps what is typed while a save is on its way, over what was saved', async () => {
		const draft = page.visit();
		page.type(draft, 'Ships');
		const formData = new FormData();
		const answer = await draft.submit({ formData, formElement: page.form, cancel() {} } as never);
		page.type(draft, 'Ships and more');
		await answer?.({
			result: SUCCESS,
			update: async () => {
				page.stamp = 'two';
				page.typed = stored;
				draft.keep();
			}
		} as never);
		expect([page.typed.name, draft.isOpen, draft.base]).toEqual(['Ships and more', true, 'two']);
	});

	test('gives up what an older version has kept in another shape', () => {
		for (const kept of ['text', 7, { base: 1 }, { base: 'x', value: { name: 1 } }]) {
			page.kept = kept;
			expect(page.visit().isBack).toBe(false);
			expect([page.typed, page.kept]).toEqual([stored, undefined]);
		}
	});

	test('stays and sends the same again by itself while the server does not answer', async () => {
		const draft = page.visit();
		page.type(draft, 'Ships');
		await page.send(draft, { type: 'error', error: new TypeError('no network') });
		expect(draft.trouble).toContain('does not answer');
		vi.advanceTimersByTime(5000);
		expect(page.form.requestSubmit).toHaveBeenCalledOnce();
		const error = { message: 'The disk is full.' };
		await page.send(draft, { type: 'error', status: 503, error });
		expect(draft.trouble).toContain('The disk is full.');
		await page.send(draft, SUCCESS);
		expect(draft.trouble).toBe('');
		expect(new Set(page.sent.map(({ submission }) => submission)).size).toBe(1);
	});

	test('is another submission once something else is typed', async () => {
		const draft = page.visit();
		page.type(draft, 'Ships');
		await page.send(draft, { type: 'error', error: new TypeError('no network') });
		page.type(draft, 'Yachts');
		await page.send(draft, SUCCESS);
		expect(new Set(page.sent.map(({ submission }) => submission)).size).toBe(2);
	});

	test('does not send again what is refused', async () => {
		const draft = page.visit();
		page.type(draft, 'Ships');
		await page.send(draft, { type: 'error', status: 413, error: { message: 'Too much.' } });
		vi.advanceTimersByTime(60_000);
		expect(draft.trouble).toBe('Not saved. Too much.');
		expect(page.form.requestSubmit).not.toHaveBeenCalled();
		expect(page.kept).toBeDefined();
	});

	test('asks what holds where somebody else has saved meanwhile', async () => {
		const draft = page.visit();
		page.type(draft, 'Ships');
		const failure = { type: 'failure', status: 400, data: { misfit: { newest: 'two' } } };
		await page.send(draft, failure);
		expect([draft.newest, draft.isOpen]).toEqual(['two', true]);
		draft.keepMine(page.form);
		await page.send(draft, SUCCESS);
		expect(page.sent.map(({ base }) => base)).toEqual(['one', 'two']);
	});

	test('keeps what is typed where the page is read anew under it', () => {
		const draft = page.visit();
		page.type(draft, 'Ships');
		page.stamp = 'two';
		page.typed = stored;
		draft.keep();
		expect([page.typed.name, draft.base]).toEqual(['Ships', 'two']);
	});

	test('says where the browser has no room', () => {
		const draft = page.visit();
		page.hasRoom = false;
		page.type(draft, 'Ships');
		expect(draft.isUnkept).toBe(true);
	});
});

test('isLike tells what has the shape of a sample', () => {
	const sample = { name: '', rows: [{ id: '', count: 0 }], note: null };
	expect(isLike(sample, { name: 'x', rows: [], note: 'any' })).toBe(true);
	expect(isLike(sample, { name: 'x', rows: [{ id: 'a', count: 2, more: true }] })).toBe(true);
	for (const other of [{ name: 1 }, { rows: {} }, { rows: [{ id: 1 }] }, [], 'text'])
		expect(isLike(sample, other)).toBe(false);
});
