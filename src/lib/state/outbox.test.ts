import { describe, expect, test, vi } from 'vitest';
import { setMinutes } from '$core/building';
import type { SentEdit } from '$core/practice';
import { demoPractice } from '../../../tests/support/demo';
import { minutes, settle, Storage, water, World } from '../../../tests/support/editors';

const world = new World();

describe('what was changed', () => {
	test('goes on trying while the server is away, and keeps what is unsent', async () => {
		const store = new Storage();
		const editor = world.open(store.page());
		world.server.fate = 'away';
		editor.apply(minutes(100));
		await vi.advanceTimersByTimeAsync(5000);
		expect(editor.saveState).toBe('away');
		expect(store.unsent).toHaveLength(1);
		world.server.fate = 'answer';
		await settle();
		expect([editor.saveState, world.server.practice.minutes]).toEqual(['saved', 100]);
		expect(store.unsent).toEqual([]);
	});

	test('resumes on a new page what the old one could not send', async () => {
		const store = new Storage();
		world.server.fate = 'away';
		world.open(store.page()).apply(minutes(100));
		world.server.fate = 'answer';
		store.crash();
		const next = world.open(store.page());
		await next.resume();
		expect(next.practice.minutes).toBe(100);
		await settle();
		expect(world.server.practice.minutes).toBe(100);
	});

	test('applies an edit once whose answer was lost', async () => {
		const editor = world.open();
		world.server.fate = 'lose';
		editor.apply(water('w'));
		await vi.advanceTimersByTimeAsync(1000);
		world.server.fate = 'answer';
		await settle();
		expect(world.server.practice.periods.filter(({ id }) => id === 'w')).toHaveLength(1);
		expect(editor.practice).toEqual(world.server.practice);
	});

	test('knows its own edit again whose answer was lost before a reload', async () => {
		const store = new Storage();
		const first = world.open(store.page());
		world.server.fate = 'lose';
		first.apply(setMinutes(first.practice, 'squares', 14));
		first.apply(water('w'));
		await vi.advanceTimersByTimeAsync(1000);
		first.dispose();
		store.crash();
		world.server.fate = 'answer';
		const next = world.open(store.page());
		await next.resume();
		next.apply(minutes(95));
		await settle();
		expect([next.conflicts, next.trouble, next.saveState]).toEqual([[], '', 'saved']);
		expect(world.server.log.map(({ edit }) => edit.type)).toEqual([
			'all',
			'add-period',
			'set-practice'
		]);
		expect(store.unsent).toEqual([]);
	});

	test('says nothing of somebody else where its own lost answer made the new state', async () => {
		const editor = world.open();
		world.server.fate = 'lose';
		editor.apply(minutes(100));
		await vi.advanceTimersByTimeAsync(300);
		editor.apply(water('w'));
		world.server.fate = 'answer';
		await settle();
		expect([editor.trouble, editor.conflicts]).toEqual(['', []]);
		expect(world.server.log).toHaveLength(2);
	});

	test('leaves alone what another open tab has not sent, and takes it over once that is gone', async () => {
		const store = new Storage();
		world.server.fate = 'away';
		const [mine, yours] = [world.open(store.page()), world.open(store.page())];
		mine.apply(minutes(100));
		yours.apply(water('w'));
		expect(store.unsent).toHaveLength(2);
		await mine.resume();
		expect(mine.practice.periods.some(({ id }) => id === 'w')).toBe(false);
		store.crash();
		world.server.fate = 'answer';
		const next = world.open(store.page());
		await next.resume();
		await settle();
		expect(world.server.practice.minutes).toBe(100);
		expect(world.server.practice.periods[0].id).toBe('w');
	});

	test('opens with what an older version has kept, and says what it could not read', async () => {
		const store = new Storage();
		store.kept.set('old', JSON.stringify([{ id: 'x', edit: { type: 'explode' }, inverse: {} }]));
		store.kept.set('spoilt', '{"half');
		const step = { of: 'x', words: 'Explode', edit: { type: 'explode' }, expects: { type: 'x' } };
		store.steps.write({ undo: [{ words: 'no step' }, step], redo: 'none' } as never);
		const editor = world.open(store.page());
		await editor.resume();
		expect(editor.trouble).toContain('2 unsaved changes');
		expect(editor.undoWords).toBe('Explode');
		editor.undo();
		expect([editor.undoWords, editor.practice]).toEqual(['', demoPractice()]);
		expect(editor.apply(minutes(100))).toBeNull();
		await settle();
		expect(world.server.practice.minutes).toBe(100);
	});

	test('sets only the edit aside that the server does not take, named, and sends the others', async () => {
		const store = new Storage();
		const editor = world.open(store.page());
		world.server.poison.add(JSON.stringify(minutes(100)));
		editor.apply(water('w'));
		editor.apply(minutes(100));
		editor.apply(setMinutes(editor.practice, 'squares', 14));
		await settle();
		expect(world.server.log.map(({ edit }) => edit.type)).toEqual(['add-period', 'all']);
		expect(editor.practice).toEqual(world.server.practice);
		const [refused] = editor.refused;
		expect([refused.words, refused.why, editor.saveState]).toEqual([
			'Make the practice 100 minutes',
			'is no good',
			'refused'
		]);
		expect(store.unsent).toHaveLength(1);
		world.server.poison.clear();
		expect(editor.retry(refused)).toBeNull();
		await settle();
		expect([world.server.practice.minutes, editor.refused, editor.saveState]).toEqual([
			100,
			[],
			'saved'
		]);
	});

	test('sets aside what rests on an edit that was not taken, and gives both up when asked to', async () => {
		const editor = world.open();
		world.server.poison.add(JSON.stringify(water('w')));
		editor.apply(water('w'));
		editor.apply({ type: 'set-period', period: 'w', set: { name: 'Drink' } });
		await settle();
		expect(editor.refused).toHaveLength(2);
		for (const refused of editor.refused) editor.giveUp(refused);
		expect([editor.refused, editor.practice]).toEqual([[], demoPractice()]);
	});

	test('keeps all and tries again when asked to where the page as such is refused', async () => {
		for (const status of [401, 403, 404]) {
			world.renew();
			const store = new Storage();
			const editor = world.open(store.page());
			world.server.refusal = { status, body: { error: { path: '', message: 'Not today.' } } };
			editor.apply(minutes(100));
			await settle();
			expect([editor.saveState, editor.outbox.trouble]).toEqual(['refused', 'Not today.']);
			expect([editor.practice.minutes, store.unsent.length]).toEqual([100, 1]);
			world.server.refusal = null;
			editor.outbox.tryAgain();
			await settle();
			expect([world.server.practice.minutes, editor.saveState]).toEqual([100, 'saved']);
		}
	});

	test('sends many edits in portions, and finds the one that is too much where none is named', async () => {
		const editor = world.open();
		world.server.fate = 'away';
		for (let k = 0; k < 620; k += 1) editor.apply(minutes(60 + (k % 40)));
		const { fetch: answer } = world.server;
		const sizes: number[] = [];
		vi.stubGlobal('fetch', async (url: string, init: { method: string; body: string }) => {
			const { edits } = JSON.parse(init.body) as { edits: SentEdit[] };
			sizes.push(edits.length);
			const isTooMuch = init.body.includes('too much');
			return isTooMuch ? new Response('{}', { status: 413 }) : answer(url, init);
		});
		world.server.fate = 'answer';
		editor.apply({ type: 'set-practice', set: { place: 'too much' } });
		editor.apply(minutes(99));
		for (let k = 0; k < 5; k += 1) await settle();
		expect(Math.max(...sizes)).toBeLessThanOrEqual(100);
		expect([world.server.log.length, world.server.practice.minutes]).toEqual([621, 99]);
		expect(editor.refused).toHaveLength(1);
	});

	test('sends nothing any more once its page is gone, and leaves it to the next one', async () => {
		const store = new Storage();
		const editor = world.open(store.page());
		world.server.fate = 'away';
		editor.apply(minutes(100));
		await vi.advanceTimersByTimeAsync(1000);
		editor.dispose();
		world.server.fate = 'answer';
		await settle();
		expect([world.server.log, store.unsent.length]).toEqual([[], 1]);
	});

	test('sends what was changed a moment before its page is left', async () => {
		const store = new Storage();
		const editor = world.open(store.page());
		editor.apply(minutes(100));
		editor.dispose();
		await settle();
		expect([world.server.practice.minutes, store.unsent]).toEqual([100, []]);
	});
});
