import { expect, test } from 'vitest';
import { demoContext, demoPractice } from '../../../tests/support/demo';
import { describeEdit } from '../checks';
import type { Practice } from '../model/practice';
import { evaluate } from '../playing';
import { applyEdit, type Edit, idMaker, idsIn, plannedMinutes } from '../practice';
import { mergeBlocks, mergeWithNext, splitBlock, splitPeriod } from '.';
import { speaker } from '$words';

const say = speaker(undefined);

const context = demoContext();
const makeId = (practice: Practice) => idMaker(practice.periods.flatMap(idsIn));
function after(practice: Practice, edit: Edit | null): Practice {
	const applied = edit && applyEdit(practice, edit);
	if (!applied?.ok) throw new Error('does not apply');
	return applied.value.practice;
}

test('a split period is two that run the same, with its minutes between them', () => {
	for (const { id, minutes } of demoPractice().periods.filter((period) => period.minutes > 2)) {
		const before = demoPractice();
		const next = after(before, splitPeriod(before, id, makeId(before)));
		const at = next.periods.findIndex((period) => period.id === id);
		const [first, second] = next.periods.slice(at, at + 2);
		expect([first.minutes, second.minutes]).toEqual([
			Math.ceil(minutes / 2),
			Math.floor(minutes / 2)
		]);
		expect(plannedMinutes(next)).toBe(90);
		expect(evaluate(next, context).playerClashes).toEqual([]);
	}
});

test('merging takes a split back, and only the same is merged', () => {
	const before = demoPractice();
	const split = after(before, splitPeriod(before, 'squares', makeId(before)));
	const merged = after(split, mergeWithNext(split, 'squares'));
	expect(merged.periods.map(({ id, minutes }) => [id, minutes])).toEqual(
		before.periods.map(({ id, minutes }) => [id, minutes])
	);
	expect(mergeWithNext(before, 'squares')).toBeNull();
	expect(mergeWithNext(before, 'close')).toBeNull();
	expect(mergeWithNext(before, 'gone')).toBeNull();
});

test('a round of stations is cut between two slots, goes on where it was, and is whole again when merged', () => {
	const before = demoPractice();
	const round = before.periods.find(({ id }) => id === 'stations');
	const next = after(before, splitPeriod(before, 'stations', makeId(before)));
	const halves = next.periods.filter(({ kind }) => kind === 'stations');
	expect(halves.map(({ slots }) => slots?.length)).toEqual([2, 2]);
	const stationsOf = (practice: Practice, player: string) =>
		evaluate(practice, context)
			.runs.filter(({ run }) => run.slot !== null && run.players.includes(player))
			.map(({ run }) => run.drill?.id);
	for (const player of before.expected)
		expect(stationsOf(next, player)).toEqual(stationsOf(before, player));
	const merged = after(next, mergeWithNext(next, 'stations'));
	expect(merged.periods.find(({ id }) => id === 'stations')?.slots).toEqual(round?.slots);
});

test('both are called by what they do', () => {
	const practice = demoPractice();
	const edit = splitPeriod(practice, 'squares', makeId(practice)) as Edit;
	expect(describeEdit(edit, { practice, context }, say)).toBe('Cut Two-touch squares in two');
	const split = after(practice, edit);
	const merge = mergeWithNext(split, 'squares') as Edit;
	expect(describeEdit(merge, { practice: split, context }, say)).toBe(
		'Merge Two-touch squares into the one before'
	);
});

test('a minute cannot be split', () => {
	const short = { ...demoPractice(), periods: [{ ...demoPractice().periods[2], minutes: 1 }] };
	expect(splitPeriod(short, 'water-1', makeId(short))).toBeNull();
});

test('a cut block runs on in its second half, and the two make one again', () => {
	const before = demoPractice();
	const next = after(before, splitBlock(before, 'sq', makeId(before)));
	const [first, second] = next.periods.find(({ id }) => id === 'squares')?.lanes[0].blocks ?? [];
	expect([first.minutes, second.minutes, second.drill]).toEqual([5, 5, first.drill]);
	expect(evaluate(next, context).playerClashes).toEqual([]);
	const again = after(next, mergeBlocks(next, 'sq'));
	expect(again).toEqual(before);
});

test('stations and single minutes are not cut, unlike blocks not merged', () => {
	const practice = demoPractice();
	expect(splitBlock(practice, 'reverse', makeId(practice))).toBeNull();
	expect(mergeBlocks(practice, 'sq')).toBeNull();
	expect(splitBlock(practice, 'nowhere', makeId(practice))).toBeNull();
});
