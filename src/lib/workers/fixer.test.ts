import { expect, test } from 'vitest';
import { demoContext, demoPractice, demoSurroundings } from '../../../tests/support/demo';
import { faultsIn, fixesFor } from '$core/checks';
import { evaluate } from '$core/playing';
import type { Edit } from '$core/practice';
import { Fixer } from './fixer';

test('gives the fixes of every finding by its place, and ends a search for what is not shown any more', async () => {
	const fixer = new Fixer();
	fixer.open(demoSurroundings());
	const found = new Map<number, Edit[]>();
	await fixer.look(demoPractice(), (index, fixes) => void found.set(index, fixes));
	const evaluation = evaluate(demoPractice(), demoContext());
	const faults = faultsIn(evaluation);
	expect([...found.keys()]).toEqual([...faults.keys()]);
	faults.forEach((fault, index) => expect(found.get(index)).toEqual(fixesFor(evaluation, fault)));

	const old: number[] = [];
	const first = fixer.look(demoPractice(), (index) => void old.push(index));
	await fixer.look({ ...demoPractice(), minutes: 80 }, () => {});
	await first;
	expect(old.length).toBeLessThan(faults.length);
});

test('knows drills that the page has learnt since it was opened', async () => {
	const surroundings = demoSurroundings();
	const fixer = new Fixer();
	fixer.open({ ...surroundings, drills: [] });
	const count = async () => {
		let found = 0;
		await fixer.look(demoPractice(), () => void (found += 1));
		return found;
	};
	const without = await count();
	fixer.learn(surroundings.drills);
	expect(await count()).toBe(faultsIn(evaluate(demoPractice(), demoContext())).length);
	expect(without).toBeGreaterThan(await count());
});
