import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { BoardView } from '$lib/state/boardView.svelte';
import { PracticeEditor } from '$lib/state/practiceEditor.svelte';
import { demoContext, demoPractice } from '../../../../tests/support/demo';
import { handleKey } from './boardKeys';
import { KEYS } from './keys';

let editor: PracticeEditor;
let view: BoardView;
beforeEach(() => {
	editor = new PracticeEditor(
		'/edits',
		{ revision: 1, practice: demoPractice() },
		demoContext(),
		null
	);
	view = new BoardView();
});
// What it has not sent yet would reach whatever the next test puts in the server's place.
afterEach(() => editor.dispose());

/** Presses a key; gives whether the board took it. */
function press(key: string, more: Partial<KeyboardEvent> = {}, lettersAreOn = true): boolean {
	let isTaken = false;
	const event = { key, target: null, preventDefault: () => (isTaken = true), ...more };
	const apply = (edit: Parameters<PracticeEditor['apply']>[0]) => void editor.apply(edit);
	const { evaluation, say } = editor;
	const [undo, redo] = [() => editor.undo(), () => editor.redo()];
	const actions = { evaluation, view, say, apply, undo, redo };
	handleKey(event as unknown as KeyboardEvent, actions, lettersAreOn);
	return isTaken;
}
const minutesOf = (id: string) =>
	editor.practice.periods.find((period) => period.id === id)?.minutes;
const order = () => editor.practice.periods.map(({ id }) => id);

describe('keys of the board', () => {
	test('go down and up the periods, and stay at the ends', () => {
		press('k');
		expect(view.period).toBe('close');
		press('j');
		expect(view.period).toBe('close');
		view.select(null);
		press('j');
		press('j');
		expect([view.period, view.block, view.panel]).toEqual(['squares', 'sq', 'period']);
		press('Escape');
		expect([view.period, view.panel]).toEqual([null, 'shelf']);
	});

	test('turn the tape by zone, group, adult and player', () => {
		const pivots = ['2', '3', '4', '1'].map((key) => (press(key), view.pivot));
		expect(pivots).toEqual(['group', 'adult', 'player', 'zone']);
	});

	test('cut the selected block, and merge its parts', () => {
		view.select('squares', 'sq');
		const blocks = () =>
			editor.practice.periods.find(({ id }) => id === 'squares')?.lanes[0].blocks.length;
		press('X');
		expect([blocks(), editor.undoWords]).toEqual([2, 'Cut Two-touch squares in two']);
		press('M');
		expect([blocks(), editor.undoWords]).toEqual([1, 'Merge the two parts of Two-touch squares']);
	});

	test('change minutes by one and by five, never under one', () => {
		view.select('squares', 'sq');
		press(']');
		press('}');
		expect(minutesOf('squares')).toBe(16);
		press('[');
		for (let k = 0; k < 5; k += 1) press('{');
		expect(minutesOf('squares')).toBe(5);
		for (let k = 0; k < 9; k += 1) press('[');
		expect(minutesOf('squares')).toBe(1);
	});

	test('move a period, and a block to the lane beside it, and say so', () => {
		view.select('squares', 'sq');
		press('ArrowUp', { altKey: true });
		expect(order().slice(0, 2)).toEqual(['squares', 'warm-up']);
		press('ArrowUp', { altKey: true });
		expect(order()[0]).toBe('squares');
		view.select('stations', 'st-reverse');
		view.block = 'reverse';
		press('ArrowRight', { altKey: true });
		expect(view.said).toBe('Move Reverse gates to zone E');
		view.block = 'eight';
		press('ArrowRight', { altKey: true });
		expect(view.said).toBe('There is no lane beside this one.');
	});

	test('duplicate, cut, merge, lock and remove what is selected', () => {
		view.select('water-1');
		press('d');
		expect(order().length).toBe(9);
		press('Delete');
		expect(order()).toEqual(demoPractice().periods.map(({ id }) => id));
		view.select('squares', 'sq');
		press('x');
		expect([order().length, minutesOf('squares')]).toEqual([9, 5]);
		press('m');
		expect([order().length, minutesOf('squares')]).toEqual([8, 10]);
		press('m');
		expect(view.said).toContain('You can merge only with the next period');
		press('l');
		expect(editor.practice.periods[1].locked).toBe(true);
		press('l');
		expect(editor.practice.periods[1].locked).toBeUndefined();
	});

	test('fit and say what changed, undo and redo', () => {
		view.select('squares', 'sq');
		press('}');
		press('}');
		press('f');
		expect(view.said).toMatch(/^Fitted: /);
		press('u');
		press('z', { ctrlKey: true });
		press('z', { metaKey: true });
		expect(editor.practice).toEqual(demoPractice());
		press('U');
		press('z', { ctrlKey: true, shiftKey: true });
		expect(minutesOf('squares')).toBe(20);
	});

	test('move the now-line within the practice', () => {
		press(',');
		expect(view.now).toBe(0);
		press('.');
		expect(view.now).toBe(60);
	});

	test('open what they name, and are silent while a dialog is open', () => {
		press('s');
		expect(view.dialog).toBeNull();
		view.select('squares', 'sq');
		press('s');
		expect(view.dialog).toBe('stations');
		expect(press('j')).toBe(false);
		view.dialog = null;
		press('?');
		expect(view.dialog).toBe('keys');
	});

	test('can be switched off letter by letter, but not those with a modifier', () => {
		view.select('squares', 'sq');
		expect(press(']', {}, false)).toBe(false);
		expect(press('ArrowUp', { altKey: true }, false)).toBe(true);
		expect(press('a', { ctrlKey: true })).toBe(false);
		expect(press('q')).toBe(false);
	});

	test('are all in the list of keys', () => {
		const listed = KEYS.map(({ keys }) => keys).join(' ');
		for (const key of [
			'J',
			'K',
			'[',
			']',
			'{',
			'}',
			'Alt ↑',
			'Alt ←',
			'D',
			'X',
			'M',
			'L',
			', ',
			'.',
			'S',
			'F',
			'/',
			'Delete',
			'U',
			'Esc',
			'?'
		])
			expect(listed).toContain(key.trim());
	});
});
