import { expect, test } from 'vitest';
import { habitsOf, meetingsIn, orderByCliques, pairsIn, sinceAway, togetherOf } from '.';
import { demoPractice } from '../../../tests/support/demo';

const practice = demoPractice();

test('pairs are of those who came, with the minutes of their periods; the whole squad is no meeting', () => {
	const [first, second] = practice.periods.flatMap(({ groups = [] }) => groups)[0].players;
	const all = pairsIn([practice]);
	const of = (a: string, b: string) =>
		all.find((pair) => [pair.a, pair.b].sort().join() === [a, b].sort().join());
	expect(of(first, second)?.times).toBeGreaterThan(0);
	const grouped = practice.periods.filter(({ groups = [] }) =>
		groups.some(({ players }) => players.includes(first) && players.includes(second))
	);
	expect(of(first, second)?.minutes).toBeGreaterThanOrEqual(
		grouped.reduce((sum, { minutes }) => sum + minutes, 0)
	);
	const without = { ...practice, expected: practice.expected.filter((id) => id !== first) };
	expect(pairsIn([without]).some(({ a, b }) => a === first || b === first)).toBe(false);
	expect(meetingsIn([practice])).toHaveLength(all.length);
	expect(pairsIn([practice, practice])[0].minutes).toBe(2 * all[0].minutes);
});

test('cliques that were dealt out like cards come to lie side by side', () => {
	// Three cliques of four, player k in clique k mod 3: 30 minutes within, 5 between.
	const of = Array.from({ length: 12 }, (_, a) =>
		Array.from({ length: 12 }, (_, b) => (a === b ? 0 : a % 3 === b % 3 ? 30 : 5))
	);
	const cliques = orderByCliques(of).map((index) => index % 3);
	const changes = cliques.filter((clique, k) => k > 0 && clique !== cliques[k - 1]);
	expect(changes).toHaveLength(2);
	expect(orderByCliques(of).toSorted((a, b) => a - b)).toEqual([...Array(12).keys()]);
	expect(orderByCliques([])).toEqual([]);
});

test('a matrix is symmetric, in one order for rows and columns, with the least met pair first', () => {
	const met = [
		{ a: 'x', b: 'y', times: 3, minutes: 40 },
		{ a: 'y', b: 'z', times: 1, minutes: 10 },
		{ a: 'gone', b: 'x', times: 9, minutes: 90 }
	];
	const { ids, minutes, times, pairs } = togetherOf(['x', 'z', 'y'], met);
	expect(ids.toSorted()).toEqual(['x', 'y', 'z']);
	const [x, y] = [ids.indexOf('x'), ids.indexOf('y')];
	expect([minutes[x][y], minutes[y][x], times[x][y], minutes[x][x]]).toEqual([40, 40, 3, 0]);
	expect(Math.abs(x - y)).toBe(1);
	expect(pairs.map(({ times: count }) => count)).toEqual([0, 1, 3]);
	expect([pairs[0].a, pairs[0].b].sort()).toEqual(['x', 'z']);
});

test('habits count what was said and who was expected; who is late now and then is not usually late', () => {
	const held = ['1', '2', '3', '4', '5', '6'].map((id) => ({
		id,
		expected: ['a', 'b', 'c'],
		adults: ['coach']
	}));
	const late = (id: string, person: string, minutes: number) => ({
		practice: id,
		person,
		state: 'late' as const,
		minutes
	});
	const rows = [
		late('1', 'a', 10),
		late('2', 'a', 20),
		{ practice: '3', person: 'a', state: 'absent' as const, reason: 'ill' },
		late('4', 'b', 5),
		{ practice: '1', person: 'guest', state: 'absent' as const },
		late('other', 'b', 50)
	];
	const habits = habitsOf(['a', 'b', 'c', 'coach', 'guest', 'new'], held, rows);
	expect(habits.get('a')).toEqual({
		asked: 6,
		late: 2,
		absent: 1,
		meanLateMinutes: 15,
		isUsuallyLate: true
	});
	expect(habits.get('b')).toMatchObject({ late: 1, meanLateMinutes: 5, isUsuallyLate: false });
	expect(habits.get('coach')).toMatchObject({ asked: 6, late: 0 });
	expect(habits.get('guest')).toMatchObject({ asked: 1, absent: 1 });
	expect(habits.get('new')).toMatchObject({ asked: 0, isUsuallyLate: false });
});

test('whoever was away for longer than the limit builds up anew', () => {
	const days = ['2027-03-01', '2027-03-04', '2027-03-18', '2027-03-20'];
	expect(sinceAway(days, '2027-03-21', 14)).toBe(4);
	expect(sinceAway(days, '2027-03-21', 13)).toBe(2);
	expect(sinceAway(days, '2027-04-04', 14)).toBe(0);
	expect(sinceAway(days, '2027-04-03', 14)).toBe(4);
	expect(sinceAway([], '2027-04-03', 14)).toBe(0);
});
