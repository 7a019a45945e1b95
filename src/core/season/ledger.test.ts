import { expect, test } from 'vitest';
import { evaluate } from '../playing';
import { demoContext, demoPractice } from '../../../tests/support/demo';
import { ledgerRows } from '.';

test('a player has one row a block and skill, added up over the slots', () => {
	const evaluation = evaluate(demoPractice(), demoContext());
	const rows = ledgerRows(evaluation);
	const own = rows.filter(({ player, block }) => player === 'p06' && block === 'duel');
	expect(own.map(({ skill }) => skill)).toEqual(['decisions/2', 'receiving/2', 'defending/3']);
	const played = evaluation.runs.find(
		({ run }) => run.block.id === 'duel' && run.players.includes('p06')
	);
	const [overload] = own;
	expect(overload.seconds).toBeCloseTo(0.5 * 427, 6);
	expect(overload.turns).toBe(played?.sums.find(({ player }) => player === 'p06')?.reps);
	expect(overload).toMatchObject({
		unit: 'midfield',
		focus: 'main',
		revision: 1,
		rung: null,
		date: '2027-04-06'
	});
});

test('rows name the last rung of a climb', () => {
	const rows = ledgerRows(evaluate(demoPractice(), demoContext()));
	expect(new Set(rows.filter(({ block }) => block === 'sq').map(({ rung }) => rung))).toEqual(
		new Set(['one-touch'])
	);
});
