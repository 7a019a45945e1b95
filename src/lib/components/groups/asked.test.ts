import { expect, test } from 'vitest';
import { group } from '$core/grouping';
import { demoContext, demoPractice } from '../../../../tests/support/demo';
import { askedGroups, dealtGroups } from './asked';

const context = demoContext();
const practice = demoPractice();
const stations = practice.periods.filter(({ id }) => id === 'stations')[0];
const wishes = { mode: 'even' as const, together: [], apart: [], pinned: [], leaders: false };

test('new groups are as large as before while all come', () => {
	const dealt = dealtGroups(stations, new Set(practice.expected));
	const { sizes } = askedGroups(dealt, { context, wishes, met: [] });
	expect(sizes).toEqual(stations.groups?.map(({ players }) => players.length));
});

test('only those who come are dealt, evenly, and those who do not keep their group', () => {
	const [first] = stations.groups ?? [];
	const away = first.players.slice(0, 4);
	const expected = new Set(practice.expected.filter((id) => !away.includes(id)));
	const dealt = dealtGroups(stations, expected);
	const input = askedGroups(dealt, { context, wishes, met: [] });
	const answer = group(input);
	if (!answer.ok) throw new Error(answer.failure.message);
	const sizes = answer.value.groups.map((ids) => ids.length);
	expect(Math.max(...sizes) - Math.min(...sizes)).toBeLessThanOrEqual(1);
	expect(answer.value.groups.flat().filter((id) => away.includes(id))).toEqual([]);
	expect(dealt.absent[0]).toEqual(away);
});
