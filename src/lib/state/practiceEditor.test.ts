import { describe, expect, test, vi } from 'vitest';
import { setMinutes } from '$core/building';
import { demoPractice } from '../../../tests/support/demo';
import { inMemory, minutes, settle, Storage, water, World } from '../../../tests/support/editors';

const world = new World();

describe('a practice on its board', () => {
	test('shows a change at once and saves it by itself', async () => {
		const editor = world.open();
		expect(editor.apply(minutes(100))).toBeNull();
		expect([editor.practice.minutes, editor.saveState]).toEqual([100, 'saving']);
		await settle();
		expect([world.server.practice.minutes, editor.saveState]).toEqual([100, 'saved']);
	});

	test('keeps its own value where the server says the same with its keys in another order', async () => {
		const editor = world.open();
		editor.apply(minutes(100));
		const before = editor.practice;
		const { fetch: answer } = world.server;
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
		const editor = world.open();
		expect(editor.apply({ type: 'remove-period', period: 'nowhere' })).toBe('no-such-period');
		await settle();
		expect(world.server.log).toEqual([]);
	});

	test('takes steps back and does them again, each by its name', async () => {
		const editor = world.open();
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
		expect(world.server.practice).toEqual(demoPractice());
	});

	test('a new step ends what could be done again', () => {
		const editor = world.open();
		editor.apply(minutes(100));
		editor.undo();
		editor.apply(minutes(80));
		expect(editor.redoWords).toBe('');
	});

	test('takes steps back on a new page that were made on the old one', async () => {
		const store = new Storage();
		const first = world.open(store.page());
		first.apply(water('w'));
		first.apply(minutes(100));
		first.undo();
		await settle();
		const next = world.open(store.page());
		await next.resume();
		expect([next.undoWords, next.redoWords]).toEqual([
			'Add Water at the start',
			'Make the practice 100 minutes'
		]);
		next.undo();
		await settle();
		expect(world.server.practice).toEqual(demoPractice());
	});

	test('keeps the newest steps where the browser has little room, and says so', async () => {
		const keepers = { ...new Storage().page(), steps: inMemory<never>(4000) };
		const editor = world.open(keepers);
		for (let k = 0; k < 40; k += 1) editor.apply(minutes(60 + k));
		await vi.waitFor(() => expect(editor.keeping).toMatch(/undo goes back \d+ steps/));
		const next = world.open(keepers);
		await next.resume();
		expect(next.undoWords).toBe('Make the practice 99 minutes');
	});
});
