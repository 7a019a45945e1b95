import { sum } from 'd3-array';
import { expect, test } from 'vitest';
import { demoContext, demoPractice } from '../../../tests/support/demo';
import { ladderOf } from '../drill';
import { evaluate } from '../playing';
import { applyEdit, findBlock, isOneKind } from '../practice';
import {
	climbKind,
	climbOfCopy,
	countedBy,
	drillInPlace,
	inMinutes,
	stepMinutes,
	wholeLadder,
	withDrill,
	withNextStep,
	withStepMinutes
} from '.';

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

test('steps are shares of their block: they add up to its minutes, and one that is changed takes from the others', () => {
	const climb = [{ minutes: 5 }, { rung: 'one-touch', minutes: 5 }, { minutes: 10 }];
	expect(stepMinutes(climb, 20)).toEqual([5, 5, 10]);
	expect(stepMinutes(climb, 9)).toEqual([2, 2, 5]);
	expect(stepMinutes(climb, 4)).toEqual([1, 1, 2]);
	for (let minutes = 3; minutes <= 30; minutes += 1) {
		expect(sum(stepMinutes(climb, minutes))).toBe(minutes);
		for (const length of [1, 4, 40]) {
			const changed = withStepMinutes(climb, { index: 1, length, minutes });
			expect(changed.map(({ rung }) => rung)).toEqual([undefined, 'one-touch', undefined]);
			expect(changed[1].minutes).toBe(Math.min(length, minutes - 2));
			expect(sum(changed, (step) => step.minutes)).toBe(minutes);
			expect(stepMinutes(changed, minutes)).toEqual(changed.map((step) => step.minutes));
		}
	}
	const byTurns = [{ turns: 4 }, { turns: 2 }];
	expect([stepMinutes(byTurns, 9), inMinutes(byTurns, 9)]).toEqual([[], byTurns]);
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

test('a period that was called after its drill is called after the one in its place, and one with a name of its own is not', () => {
	const practice = demoPractice();
	const found = findBlock(practice, 'sq');
	const drillOf = (id: string) => context.shelf.find((each) => each.id === id);
	const [before, drill] = [drillOf('two-touch-squares'), drillOf('rebound-rally')];
	if (!found || !before || !drill) throw new Error('the demo has all of them');
	const nameAfter = (name: string) => {
		const period = { ...found.period, name };
		const named = {
			...practice,
			periods: practice.periods.map((each) => (each === found.period ? period : each))
		};
		const edit = drillInPlace({ period, block: found.block }, { before, drill });
		const applied = applyEdit(named, edit);
		if (!applied.ok) throw new Error(applied.failure);
		expect(findBlock(applied.value.practice, 'sq')?.block.drill?.id).toBe('rebound-rally');
		return applied.value.practice.periods.find(({ id }) => id === period.id)?.name;
	};
	expect(nameAfter(before.name)).toBe(drill.name);
	expect(nameAfter('Before the rain')).toBe('Before the rain');
});
