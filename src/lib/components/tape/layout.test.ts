import { describe, expect, test } from 'vitest';
import { evaluate } from '$core/playing';
import { applyEdit } from '$core/practice';
import { demoContext, demoPractice } from '../../../../tests/support/demo';
import { clockAt } from '$core/conditions';
import { columnsOf, layBlocks, spanOf } from './layout';
import { blockWords, percent, sizesWords, turnsWords } from './words';
import { speaker } from '$words';

const say = speaker(undefined);

const context = demoContext();
const columns = columnsOf(context);
const evaluation = evaluate(demoPractice(), context);

describe('the tape', () => {
	test('has a lane for each zone that is not made of others', () => {
		expect(columns.map(({ zone }) => zone.id)).toEqual(['strip', 'a', 'b', 'c', 'd', 'e', 'f']);
	});

	test('spans joined zones over the lanes that they are made of', () => {
		const span = (id: string) =>
			spanOf(context.zoneById.get(id) ?? context.ground.zones[0], columns);
		expect(span('half')).toEqual({ column: 1, columns: 6 });
		expect(span('cd')).toEqual({ column: 3, columns: 2 });
		expect(spanOf({ id: 'x', name: 'X', x: 500, y: 0, length: 5, width: 5 }, columns)).toBeNull();
	});

	test('lays every copy to scale, a station as one block with its slots', () => {
		const blocks = layBlocks(evaluation, columns);
		const duel = blocks.find(({ blockId }) => blockId === 'duel');
		expect(duel).toMatchObject({
			column: 1,
			columns: 1,
			fromSecond: 1320,
			toSecond: 3120,
			isStation: true
		});
		expect(duel?.runs.map(({ groups }) => groups[0].bib)).toHaveLength(4);
		expect(blocks.filter(({ blockId }) => blockId === 'sq').map(({ column }) => column)).toEqual([
			1, 2, 3, 4
		]);
	});

	test('steps the bibs across the lanes: no two stations show the same bib in a slot', () => {
		const stations = layBlocks(evaluation, columns).filter(({ isStation }) => isStation);
		for (let slot = 0; slot < 4; slot += 1) {
			const bibs = stations.map(({ runs }) => runs[slot].groups[0].bib);
			expect(new Set(bibs).size).toBe(4);
		}
	});

	test('keeps blocks apart that share ground at the same time', () => {
		const [wide, narrow] = ['break', 'turn'].map((id) =>
			layBlocks(evaluation, columns).find(({ blockId }) => blockId === id)
		);
		expect(wide).toMatchObject({ column: 3, columns: 2, isCovered: true });
		expect(narrow).toMatchObject({ column: 4.25, columns: 0.75 });
	});

	test('draws copies in one zone as one with their number, and side by side once they are opened', () => {
		const copies = { 'sq-a': 'a', 'sq-b': 'a', 'sq-c': 'c', 'sq-d': 'd' };
		const applied = applyEdit(demoPractice(), {
			type: 'place-lane',
			lane: 'squares-l',
			zoneIds: ['a', 'c', 'd'],
			copies
		});
		if (!applied.ok) throw new Error(applied.failure);
		const moved = evaluate(applied.value.practice, context);
		const drawn = (opened: string | null) =>
			layBlocks(moved, columns, opened).filter(({ blockId }) => blockId === 'sq');
		expect(drawn(null).map((each) => [each.column, each.columns, each.copies])).toEqual([
			[1, 1, 2],
			[3, 1, 1],
			[4, 1, 1]
		]);
		const squares = drawn('sq');
		expect(squares.map(({ column, columns: wide }) => [column, wide])).toEqual([
			[1, 0.5],
			[1.5, 0.5],
			[3, 1],
			[4, 1]
		]);
	});
});

test('clock time runs on over midnight', () => {
	expect(clockAt('18:30', 2320)).toBe('19:08');
	expect(clockAt('23:50', 1200)).toBe('00:10');
});

test('numbers carry their words', () => {
	expect(percent(0.505)).toBe('51%');
	expect([turnsWords({ min: 1, max: 1 }, say), turnsWords({ min: 0, max: 24 }, say)]).toEqual([
		'1 turn',
		'0 to 24 turns'
	]);
	expect([sizesWords([6, 5], say), sizesWords([8, 7, 5], say)]).toEqual(['6 or 5', '5 to 8']);
	const figures = evaluation.figures.blocks.get('press');
	expect(blockWords(figures, say)).toMatch(/^5 · (\d+ to )?\d+ turns · waits \d+%$/);
	expect(blockWords(undefined, say)).toBe('');
});
