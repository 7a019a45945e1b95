import { expect, test } from 'vitest';
import { demoContext, demoPractice } from '../../../tests/support/demo';
import { ladderOf } from '../drill';
import { evaluate } from '../playing';
import { applyEdit, findBlock, isOneKind } from '../practice';
import { climbKind, climbOfCopy, countedBy, wholeLadder, withDrill, withNextStep } from '.';

const context = demoContext();
const laddered = context.shelf.filter(({ rungs }) => rungs.length > 1);

test('a whole ladder goes from its easiest rung to its top, by minutes or by turns, and runs', () => {
	expect(laddered.length).toBeGreaterThan(5);
	for (const drill of laddered)
		for (const kind of ['minutes', 'turns'] as const) {
			const climb = wholeLadder(drill, { kind, minutes: 12 });
			expect(climb.map(({ rung = null }) => rung)).toEqual(ladderOf(drill));
			expect([climbKind(climb), isOneKind(climb)]).toEqual([kind, true]);
			const other = countedBy(climb, { kind: kind === 'turns' ? 'minutes' : 'turns', minutes: 12 });
			expect(isOneKind(other)).toBe(true);
			expect(other.map(({ rung }) => rung)).toEqual(climb.map(({ rung }) => rung));
			expect(countedBy(other, { kind: climbKind(other), minutes: 12 })).toEqual(other);
		}
});

test('one step more goes a rung up, and stays at the top', () => {
	const [drill] = laddered;
	const [easiest] = ladderOf(drill) as [string];
	let climb = withNextStep([{ rung: easiest, turns: 3 }], drill);
	expect(climb).toEqual([{ rung: easiest, turns: 3 }, { turns: 3 }]);
	for (let k = 0; k < drill.rungs.length + 1; k += 1) climb = withNextStep(climb, drill);
	expect(climb.at(-1)).toEqual({ rung: drill.rungs.at(-1)?.id, turns: 3 });
});

test('a copy climbs on its own, and goes back to the steps of its block', () => {
	const practice = demoPractice();
	const block = findBlock(practice, 'sq')?.block;
	if (!block) throw new Error('the demo has squares');
	const own = climbOfCopy(block, block.copies[0].id, [{ rung: 'one-touch', turns: 5 }]);
	const applied = applyEdit(practice, own);
	if (!applied.ok) throw new Error(applied.failure);
	const { runs } = evaluate(applied.value.practice, context);
	const rungs = runs.filter(({ run }) => run.block.id === 'sq').map(({ passes }) => passes.length);
	expect(rungs[0]).toBeGreaterThan(2);
	expect(new Set(rungs.slice(1))).toEqual(new Set([block.climb.length]));
	const after = findBlock(applied.value.practice, 'sq')?.block;
	const back = after && climbOfCopy(after, block.copies[0].id, null);
	const undone = back && applyEdit(applied.value.practice, back);
	expect(undone?.ok && undone.value.practice).toEqual(practice);
});

test('another drill keeps players, groups, adults and zones, and takes steps of the old one away', () => {
	const practice = demoPractice();
	const block = findBlock(practice, 'sq')?.block;
	if (!block) throw new Error('the demo has squares');
	const drill = context.shelf.find(({ id }) => id === 'rebound-rally');
	const own = climbOfCopy(block, block.copies[1].id, [{ rung: 'one-touch', minutes: 5 }]);
	const climbing = applyEdit(practice, own);
	const before = climbing.ok && findBlock(climbing.value.practice, 'sq')?.block;
	if (!before || !drill || !climbing.ok) throw new Error('the demo has both');
	const changed = applyEdit(climbing.value.practice, withDrill(before, drill));
	const after = changed.ok && findBlock(changed.value.practice, 'sq')?.block;
	expect(after).toMatchObject({
		drill: { id: 'rebound-rally' },
		climb: [{ minutes: block.minutes }],
		copies: block.copies
	});
});
