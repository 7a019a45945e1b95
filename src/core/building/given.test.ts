import { expect, test } from 'vitest';
import { simulate } from '../drill';
import { demoContext } from '../../../tests/support/demo';
import { givenByPlayers, givenOrNot, ladderNumbers, linesOf } from '.';

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

test('lines at the start change what each gets, and must hold everybody', () => {
	const asked = { minutes: 10, adults: 0 };
	const duel = demoContext().shelf.find(({ id }) => id === 'channel-duel');
	if (!duel) throw new Error('no duel');
	const lines = linesOf(duel, 9, asked);
	expect(lines.reduce((sum, [, count]) => sum + count, 0)).toBe(9);
	const dealt = givenOrNot(duel, 9, asked);
	const same = givenOrNot(duel, 9, { ...asked, start: Object.fromEntries(lines) });
	expect(same).toEqual(dealt);
	const [[first, own], ...rest] = lines;
	expect(own).toBeGreaterThan(1);
	const [last] = rest.at(-1) ?? [''];
	const moved = Object.fromEntries(
		lines.map(([id, count]) => [id, id === first ? count - 1 : id === last ? count + 1 : count])
	);
	const run = simulate({ drill: duel, players: 9, adults: 0, minutes: 10, start: moved });
	expect(run.ok).toBe(true);
	const short = givenOrNot(duel, 9, { ...asked, start: { ...moved, [first]: own - 2 } });
	expect(short).toMatchObject({ ok: false, failure: { path: ['start'] } });
	expect(linesOf(duel, 1, asked)).toEqual([]);
});
