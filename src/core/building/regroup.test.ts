import { expect, test } from 'vitest';
import { demoContext, demoPractice } from '../../../tests/support/demo';
import type { Period } from '../model/practice';
import { describeEdit } from '../checks';
import { rotate } from '../rotation';
import { meetingsIn } from '../season';
import { evaluate } from '../playing';
import { applyEdit, type Edit, findPeriod } from '../practice';
import { halvedGroups, movingGroups, regroup, reround, stationsOf, withGroups } from '.';
import { speaker } from '$words';

const say = speaker(undefined);

const context = demoContext();
const practice = demoPractice();
const stations = () => {
	const period = findPeriod(practice, 'stations');
	if (!period) throw new Error('the demo has stations');
	return period;
};
function after(edit: Edit) {
	const applied = applyEdit(practice, edit);
	if (!applied.ok) throw new Error(applied.failure);
	return { next: applied.value.practice, words: describeEdit(edit, { practice, context }, say) };
}

test('new groups take the place of those that go round, the others stay', () => {
	const groups = movingGroups(stations()).map(({ players }) => players);
	const turned = [...groups.slice(1), groups[0]];
	const { next, words } = after(regroup(stations(), turned));
	expect(words).toBe('Make new groups for Four stations');
	const period = findPeriod(next, 'stations');
	expect(period && movingGroups(period).map(({ players }) => players)).toEqual(turned);
	expect(evaluate(next, context).playerClashes).toEqual([]);
});

test('a group without a leader takes the first who leads, a leader who stays keeps that', () => {
	const groups = movingGroups(stations()).map(({ players }) => players);
	const leading = new Set([groups[0][2], groups[0][1], groups[1][0]]);
	const { next } = after(regroup(stations(), groups, leading));
	const led = movingGroups(findPeriod(next, 'stations') as Period);
	expect(led.map(({ leader }) => leader).slice(0, 3)).toEqual([
		groups[0].find((id) => leading.has(id)),
		groups[1][0],
		undefined
	]);
	const other = new Set(groups[0].slice(-1));
	const again = regroup(findPeriod(next, 'stations') as Period, groups, other);
	expect(again.groups?.[0].leader).toBe(led[0].leader);
});

test('another round gives every group every station, with time to walk', () => {
	const period = stations();
	const round = rotate({
		groups: movingGroups(period).map(({ id }) => id),
		stations: stationsOf({ practice, context }, period)
	});
	if (!round.ok) throw new Error(round.failure.message);
	const { next } = after(reround({ ...period, moveSeconds: 1 }, round.value, context.limits));
	const seconds = findPeriod(next, 'stations')?.moveSeconds ?? 0;
	expect(seconds).toBeGreaterThanOrEqual(
		round.value.walk.longestLeg / context.limits.walkMetresPerSecond
	);
});

test('halves of the groups meet a new half at each station', () => {
	const period = stations();
	const halves = halvedGroups(period);
	const sizes = halves.map(({ players }) => players.length);
	expect([sizes.length, Math.max(...sizes) - Math.min(...sizes) <= 1]).toEqual([8, true]);
	expect(new Set(halves.map(({ bib }) => bib)).size).toBe(8);
	const round = rotate({
		groups: halves.map(({ id }) => id),
		stations: stationsOf({ practice, context }, period).map((station) => ({
			...station,
			holds: 2
		})),
		slots: 4,
		rules: { meet: true }
	});
	if (!round.ok) throw new Error(round.failure.message);
	const { next, words } = after(reround(withGroups(period, halves), round.value, context.limits));
	expect(words).toBe('Change the rotation of Four stations');
	const evaluation = evaluate(next, context);
	expect(evaluation.playerClashes).toEqual([]);
	const runs = evaluation.runs.filter(({ run }) => run.slot !== null && run.players.length > 0);
	expect(runs.every(({ run }) => run.groups.length === 2 && run.players.length === 5)).toBe(true);
});

test('meetings are counted by pair, not where the whole squad is together', () => {
	const met = meetingsIn([practice]);
	const together = (a: string, b: string) => met.find(([x, y]) => x === a && y === b)?.[2] ?? 0;
	const groups = practice.periods.flatMap((period) => period.groups ?? []);
	const [a, b] = ['p02', 'p05'];
	const expected = groups.filter(
		({ players }) => players.includes(a) && players.includes(b)
	).length;
	expect(together(a, b)).toBeGreaterThanOrEqual(expected);
	expect(
		meetingsIn([{ ...practice, periods: practice.periods.filter(({ id }) => id === 'game') }])
	).toEqual([]);
});
