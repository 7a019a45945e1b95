import { expect, test } from 'vitest';
import { simulate } from '../drill';
import { demoContext } from '../../../tests/support/demo';
import { givenByPlayers, ladderNumbers } from '.';

const { shelf } = demoContext('harbour-minis');
const drill = (id: string) => {
	const found = shelf.find((each) => each.id === id);
	if (!found) throw new Error(id);
	return found;
};

test('every number that a copy takes is simulated, the more the fewer turns', () => {
	const given = givenByPlayers(drill('change-the-shore'), { minutes: 10, adults: 0 });
	expect(given.map(({ players }) => players)).toEqual([4, 5, 6, 7, 8]);
	const turns = given.map((each) => each.turns.mean);
	expect(turns).toEqual(turns.toSorted((a, b) => b - a));
	// Ten minutes less 35 s to explain and a tenth for stops; waiting is a share of all ten.
	const running = (1 - 35 / 600) * 0.9;
	const run = simulate({ drill: drill('change-the-shore'), players: 6, minutes: 10 * running });
	expect(run.ok && run.value.share.wait * running).toBeCloseTo(given[2].waitShare, 9);
	expect(run.ok && run.value.reps).toEqual(given[2].turns);
});

test('a ladder gives each rung with the nearest number that it takes', () => {
	const ladder = ladderNumbers(drill('two-and-the-crab'), 3, { minutes: 10, adults: 0 });
	expect(ladder.map(({ id }) => id)).toEqual([undefined, 'three', 'free-crab']);
	expect(ladder.map(({ given }) => given?.players)).toEqual([3, 4, 3]);
	expect(ladder.every(({ given }) => given !== null)).toBe(true);
});
