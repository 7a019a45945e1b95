import { describe, expect, test } from 'vitest';
import { evaluate } from '$core/playing';
import { applyEdit } from '$core/practice';
import { demoContext, demoPractice } from '../../../../tests/support/demo';
import { columnsOf } from './layout';
import { placeAt, proposeDrill, proposeMove, proposeResize } from './proposals';
import { speaker } from '$words';

const say = speaker(undefined);

const context = demoContext();
const evaluation = evaluate(demoPractice(), context);
const columns = columnsOf(context);
const duel = { periodId: 'stations', blockId: 'duel', copyIds: new Set(['duel-c']), columns };

describe('dragging on the tape', () => {
	test('pulls a period by whole minutes, by fives with Shift, never under one', () => {
		const pull = (seconds: number, isCoarse = false) =>
			proposeResize(evaluation, { periodId: 'stations', seconds, isCoarse }, say)?.words ?? null;
		expect(pull(100)).toBe('Four stations: 32 min (+2)');
		expect(pull(-29)).toBeNull();
		expect(pull(200, true)).toBe('Four stations: 35 min (+5)');
		expect(pull(-9999)).toBe('Four stations: 1 min (−29)');
		expect(
			proposeResize(evaluation, { periodId: 'gone', seconds: 60, isCoarse: false }, say)
		).toBeNull();
	});

	test('moves a block to the lane it is held over while it is held in its own time', () => {
		const proposal = proposeMove(evaluation, { ...duel, column: 6, second: 2000 }, say);
		expect(proposal).toMatchObject({
			words: 'Move Channel duel to zone F',
			ghost: { column: 6, columns: 1, fromSecond: 1320, toSecond: 3120 },
			edit: { type: 'place-lane', lane: 'st-duel', copies: { 'duel-c': 'f' } }
		});
		expect(proposeMove(evaluation, { ...duel, column: 1, second: 2000 }, say)).toBeNull();
		expect(proposeMove(evaluation, { ...duel, column: 99, second: 2000 }, say)).toBeNull();
	});

	test('leaves a block alone that spans lanes', () => {
		const wide = { periodId: 'game', blockId: 'eight', copyIds: new Set(['eight-c']), columns };
		expect(proposeMove(evaluation, { ...wide, column: 2, second: 4500 }, say)).toBeNull();
	});

	test('moves the period where it is held outside its time, and shows where it would lie', () => {
		const earlier = proposeMove(evaluation, { ...duel, column: 1, second: 700 }, say);
		expect(earlier).toMatchObject({
			words: 'Move Four stations after Warm-up',
			ghost: { fromSecond: 600 }
		});
		const later = proposeMove(evaluation, { ...duel, column: 1, second: 4000 }, say);
		expect(later?.edit).toEqual({ type: 'move-period', period: 'stations', after: 'units' });
		for (const proposal of [earlier, later]) {
			const applied = proposal && applyEdit(evaluation.practice, proposal.edit);
			if (!applied?.ok) throw new Error('does not apply');
			const { windows } = evaluate(applied.value.practice, context);
			const stations = windows.find(({ period }) => period.id === 'stations');
			expect(stations).toMatchObject({
				fromSecond: proposal?.ghost.fromSecond,
				toSecond: proposal?.ghost.toSecond
			});
		}
		expect(proposeMove(evaluation, { ...duel, column: 1, second: 3150 }, say)).toBeNull();
	});

	test('puts a drill between the periods whose middles it is held between, from that lane on', () => {
		const [drill] = context.shelf.filter(({ id }) => id === 'two-touch-squares');
		const proposal = proposeDrill(
			evaluation,
			{
				drill,
				id: 'new',
				column: 3,
				second: 1000,
				columns
			},
			say
		);
		expect(proposal).toMatchObject({
			edit: { type: 'add-period', after: 'squares' },
			ghost: { fromSecond: 1200, toSecond: 1800 }
		});
		// Over the minutes of a period and on free ground it comes beside, for the first unit without a lane.
		const held = { drill, id: 'new', columns, second: 900 };
		const beside = proposeDrill(evaluation, { ...held, column: 5 }, say);
		expect(beside).toMatchObject({
			words: `${drill.name} beside, for Backs`,
			edit: { type: 'arrange-period', period: 'squares' },
			ghost: { column: 5, fromSecond: 600, toSecond: 1200 }
		});
		const applied = beside && applyEdit(evaluation.practice, beside.edit);
		const lanes = applied?.ok ? applied.value.practice.periods[1].lanes : [];
		expect(lanes.map(({ unit }) => unit)).toEqual([undefined, 'backs']);
		expect(lanes[1].blocks[0].copies[0].zoneId).toBe(columns[5].zone.id);
		const backs = lanes[1].blocks[0].copies.flatMap(({ players }) => players);
		expect(lanes[0].blocks[0].copies.flatMap(({ players }) => players)).not.toContain(backs[0]);
		for (const other of [{ column: 1 }, { column: 5, second: 610 }, { column: 5, second: 2000 }])
			expect(proposeDrill(evaluation, { ...held, ...other }, say)?.edit.type).toBe('add-period');
		const period = proposal?.edit.type === 'add-period' ? proposal.edit.period : undefined;
		expect(period?.lanes[0].blocks[0].copies[0].zoneId).toBe('c');
		expect(placeAt(evaluation, 0)).toBeNull();
		expect(placeAt(evaluation, 99_999)).toBe('close');
	});
});
