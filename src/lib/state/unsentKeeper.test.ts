import { IDBFactory } from 'fake-indexeddb';
import { createStore, set } from 'idb-keyval';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Edit } from '$core/practice';
import { browserUnsent } from './unsentKeeper';

/** Locks as a browser has them: those that are held, by name. */
class Locks {
	held = new Set<string>();
	request = async (
		name: string,
		options: { ifAvailable?: boolean } | (() => Promise<void>),
		run?: (lock: object | null) => boolean
	) => {
		if (typeof options !== 'function') return run?.(this.held.has(name) ? null : {});
		this.held.add(name);
		await options();
		this.held.delete(name);
	};
}

const edit: Edit = { type: 'set-practice', set: { minutes: 80 } };
const unsent = (id: string) => ({ id, edit, inverse: edit });
let locks: Locks;

beforeEach(() => {
	locks = new Locks();
	vi.stubGlobal('indexedDB', new IDBFactory());
	vi.stubGlobal('window', {});
	vi.stubGlobal('navigator', { locks });
});
afterEach(() => vi.unstubAllGlobals());

test('what a page left is taken by the next one, and by one alone', async () => {
	const first = browserUnsent('p');
	expect(await first.write([unsent('a'), unsent('b')])).toBe(true);
	const second = browserUnsent('p');
	expect((await second.left()).unsent).toEqual([]);
	first.release();
	await vi.waitFor(() => expect(locks.held.size).toBe(1));
	const left = await second.left();
	expect([left.unsent.map(({ id }) => id), left.unreadable]).toEqual([['a', 'b'], 0]);
	await left.taken();
	expect((await browserUnsent('p').left()).unsent).toEqual([]);
});

test('practices keep apart, and what is answered is kept no longer', async () => {
	const page = browserUnsent('p');
	await page.write([unsent('a')]);
	page.release();
	await vi.waitFor(() => expect(locks.held.size).toBe(0));
	expect((await browserUnsent('other').left()).unsent).toEqual([]);
	expect((await browserUnsent('p').left()).unsent).toHaveLength(1);
	await page.write([]);
	expect((await browserUnsent('p').left()).unsent).toEqual([]);
});

test('what another version has kept is counted, and what is whole beside it is read', async () => {
	const store = createStore('fieldplan', 'unsent');
	await set('p old', [unsent('a'), { id: 'b', edit: { type: 'gone' } }], store);
	await set('p spoilt', 'nothing', store);
	const left = await browserUnsent('p').left();
	expect([left.unsent.map(({ id }) => id), left.unreadable]).toEqual([['a'], 2]);
});

test('a browser that keeps nothing says so', async () => {
	const broken = browserUnsent('p', () => {
		throw new DOMException('no', 'InvalidStateError');
	});
	expect(await broken.write([unsent('a')])).toBe(false);
	expect((await broken.left()).unsent).toEqual([]);
});
