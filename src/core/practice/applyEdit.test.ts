import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { demoContext, demoPractice } from '../../../tests/support/demo';
import { someChoices, someEdit } from '../../../tests/support/edits';
import { fitToTime, periodFromDrill } from '../building';
import { applyEdit, DEFAULT_LIMITS, type Edit } from '.';

const context = demoContext();
const practice = demoPractice();

function freeze<Value>(value: Value): Value {
	if (value && typeof value === 'object') Object.values(Object.freeze(value)).forEach(freeze);
	return value;
}

describe('applyEdit', () => {
	test('is taken back by its inverse, and never changes what it was given', () => {
		fc.assert(
			fc.property(someChoices(12, 8), (list) => {
				let current = freeze(demoPractice());
				for (const each of list) {
					const edit = freeze(someEdit(current, each));
					const applied = applyEdit(current, edit);
					if (!applied.ok) continue;
					const back = applyEdit(applied.value.practice, applied.value.inverse);
					expect(back.ok && back.value.practice).toEqual(current);
					current = freeze(applied.value.practice);
				}
			}),
			{ seed: 6, numRuns: 150 }
		);
	});

	test('takes back a list of edits made as one, and applies none of it where one fails', () => {
		const fitting = fitToTime({ ...practice, minutes: 60 }, DEFAULT_LIMITS);
		if (!fitting.ok) throw new Error(fitting.failure.message);
		const applied = applyEdit(practice, fitting.value);
		if (!applied.ok) throw new Error(applied.failure);
		expect(applied.value.practice.periods.reduce((sum, { minutes }) => sum + minutes, 0)).toBe(60);
		const back = applyEdit(applied.value.practice, applied.value.inverse);
		expect(back.ok && back.value.practice).toEqual(practice);
		const edits = [...fitting.value.edits, { type: 'remove-period' as const, period: 'nowhere' }];
		expect(applyEdit(practice, { type: 'all', edits })).toEqual({
			ok: false,
			failure: 'no-such-period'
		});
	});

	test('says why it does not apply', () => {
		const why = (edit: Edit) => {
			const applied = applyEdit(practice, edit);
			return applied.ok ? 'applied' : applied.failure;
		};
		const [period] = practice.periods;
		expect(why({ type: 'add-period', period, after: null })).toBe('id-in-use');
		expect(why({ type: 'add-period', period: { ...period, id: 'x' }, after: null })).toBe(
			'id-in-use'
		);
		expect(why({ type: 'move-period', period: 'warm-up', after: 'gone' })).toBe('no-such-period');
		expect(why({ type: 'set-minutes', periods: {}, blocks: { gone: 4 } })).toBe('no-such-block');
		expect(why({ type: 'set-block', block: 'duel', set: { climb: [] } })).toBe('no-climb');
		for (const climb of [[{ minutes: 4 }, { turns: 4 }], [{ minutes: 4, turns: 4 }], [{}]])
			expect(why({ type: 'set-block', block: 'duel', set: { climb } })).toBe('mixed-climb');
		const mixed = { id: 'm', zoneId: 'a', players: [], adults: [], climb: [{}] };
		expect(why({ type: 'set-block', block: 'duel', set: { copies: [mixed] } })).toBe('mixed-climb');
		expect(why({ type: 'place-lane', lane: 'gone', zoneIds: [], copies: {} })).toBe('no-such-lane');
		expect(why({ type: 'place-lane', lane: 'st-duel', zoneIds: [], copies: { gone: 'a' } })).toBe(
			'no-such-copy'
		);
		expect(
			why({
				type: 'arrange-period',
				period: 'stations',
				kind: 'stations',
				lanes: [],
				groups: null,
				slots: [{ gone: [] }],
				moveSeconds: 0
			})
		).toBe('no-such-lane');
	});
});

test('a period from a drill fills its copies with everyone, in zones that hold them', () => {
	for (const drill of context.shelf) {
		const period = periodFromDrill({ practice, context }, { drill, id: 'new', minutes: 12 });
		if (!period) throw new Error(`${drill.id} finds no zone`);
		const placed = [
			...(period.groups ?? []).flatMap(({ players }) => players),
			...period.lanes[0].blocks[0].copies.flatMap(({ players }) => players)
		];
		expect(placed.toSorted()).toEqual(practice.expected.toSorted());
	}
});
