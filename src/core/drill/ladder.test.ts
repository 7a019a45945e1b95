import { describe, expect, test } from 'vitest';
import { demoContext, demoTeams } from '../../../tests/support/demo';
import type { Drill } from '../model/drill';
import { ladderOf, movedOnLadder, resolveDrill, withStandard } from '.';

const shelf = demoTeams().flatMap((team) => demoContext(team).shelf);
const drillOf = (id: string) => shelf.find((each) => each.id === id) as Drill;

describe('the ladder of a drill', () => {
	test('is in the order that the drill states, with itself in its place', () => {
		expect(ladderOf(drillOf('long-and-lift'))).toEqual(['short', null, 'chased']);
		for (const id of ['chest-then-sky', 'weave-and-go', 'wall-song', 'two-and-the-crab'])
			expect(ladderOf(drillOf(id)).indexOf(null)).toBe(1);
	});

	test('stands in every drill that ships: none is read from its effort', () => {
		for (const drill of shelf.filter(({ rungs }) => rungs.length > 0))
			expect([drill.id, drill.standardAt]).toEqual([drill.id, expect.any(Number)]);
	});

	test('of a file of before is read from effort and contact, and kept so once it is stated', () => {
		const rung = (id: string, effort: number, contact = 1) => ({
			...{ id, name: id, change: id, lever: 'pace' as const },
			set: { effort, contact }
		});
		const { standardAt: _standard, ...old } = drillOf('channel-duel');
		const before: Drill = {
			...old,
			...{ effort: 5, contact: 1 },
			rungs: [rung('slow', 4), rung('soft', 5, 0), rung('fast', 6), rung('late', 3)]
		};
		const ladder = ['slow', 'soft', null, 'fast', 'late'];
		expect(ladderOf(before)).toEqual(ladder);
		expect(ladderOf({ ...withStandard(before), effort: 1 })).toEqual(ladder);
		expect(withStandard(withStandard(before))).toEqual(withStandard(before));
	});
});

test('a rung that builds on an earlier one has what that added, and its own on top', () => {
	const duel = drillOf('channel-duel');
	const on = (rung: string) => {
		const resolved = resolveDrill(duel, rung);
		if (!resolved.ok) throw new Error(resolved.failure.message);
		return resolved.value;
	};
	for (const rung of ['weak-side', 'after-sprint'])
		expect(on(rung).spots.map(({ id }) => id)).toEqual(on('recover').spots.map(({ id }) => id));
	expect(on('after-sprint').turn).not.toEqual(on('recover').turn);
	const round: Drill = {
		...duel,
		rungs: duel.rungs.map((rung) => ({ ...rung, on: rung.id }))
	};
	expect(resolveDrill(round, 'recover').ok).toBe(true);
});

describe('a ladder that is put in another order', () => {
	test('is ordered by moving a step of it: nothing else changes, and back is as before', () => {
		for (const drill of shelf.filter(({ rungs }) => rungs.length > 1)) {
			const ladder = ladderOf(drill);
			for (const [from, id] of ladder.entries())
				for (const [to] of ladder.entries()) {
					const moved = movedOnLadder(drill, id, to);
					const wanted = ladder.toSpliced(from, 1).toSpliced(to, 0, id);
					expect(ladderOf(moved)).toEqual(wanted);
					const sets = (of: Drill) => new Map(of.rungs.map(({ id: own, set }) => [own, set]));
					expect(sets(moved)).toEqual(sets(drill));
					expect(ladderOf(movedOnLadder(moved, id, from))).toEqual(ladder);
				}
			expect(movedOnLadder(drill, null, ladder.length)).toBe(drill);
			expect(movedOnLadder(drill, 'none', 0)).toBe(drill);
		}
	});

	test('lets no rung build on one that comes after it', () => {
		const [first, second] = drillOf('channel-duel').rungs;
		const drill = { ...drillOf('channel-duel'), standardAt: 0 };
		const stacked = { ...drill, rungs: [first, { ...second, on: first.id }] };
		expect(movedOnLadder(stacked, null, 1).rungs[1].on).toBe(first.id);
		expect(movedOnLadder(stacked, first.id, 2).rungs[0]).not.toHaveProperty('on');
	});
});
