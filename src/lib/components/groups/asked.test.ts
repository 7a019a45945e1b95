import { expect, test } from 'vitest';
import { group } from '$core/grouping';
import { demoContext, demoPractice } from '../../../../tests/support/demo';
import { askedGroups, clashWords, dealtGroups } from './asked';
import { swapped } from './swapping';
import { speaker } from '$words';
import { readMessage } from '../../../words/read';

const say = speaker(undefined, readMessage);

const context = demoContext();
const practice = demoPractice();
const stations = practice.periods.filter(({ id }) => id === 'stations')[0];
const wishes = {
	mode: 'even' as const,
	together: [],
	apart: [],
	pinned: [],
	leaders: false,
	units: false
};

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

test('one of each unit that is large enough is a wish, and said by its name where it clashes', () => {
	const dealt = dealtGroups(stations, new Set(practice.expected));
	const input = askedGroups(dealt, { context, wishes: { ...wishes, units: true }, met: [] });
	const here = dealt.groups.flatMap(({ players }) => players);
	const count = (unit: string) =>
		here.filter((id) => context.playerById.get(id)?.unit === unit).length;
	const asked = input.eachHas?.map(({ unit }) => unit) ?? [];
	for (const { id } of context.team.units)
		expect(asked.includes(id)).toBe(count(id) >= dealt.groups.length);
	expect(asked.length).toBeGreaterThan(1);
	const unitName = (id: string) => context.team.units.find((unit) => unit.id === id)?.name ?? id;
	const failure = {
		code: 'infeasible' as const,
		message: '',
		rules: [{ rule: 'eachHas' as const, index: 0 }]
	};
	const said = clashWords(failure, wishes, { name: (id) => id, unitName, input, say });
	expect(said).toContain(`one of ${unitName(asked[0] ?? '')}`);
});

test('neighbours are those whose positions lie side by side in the line-up', () => {
	const dealt = dealtGroups(stations, new Set(practice.expected));
	const input = askedGroups(dealt, { context, wishes: { ...wishes, mode: 'match' }, met: [] });
	const { positions = [], places = [] } = context.team;
	for (const [id, { x, y }] of Object.entries(input.places ?? {})) {
		const [first] = context.playerById.get(id)?.positions ?? [];
		const own = places.filter((_, index) => positions[index] === first);
		expect(own.reduce((sum, place) => sum + place[0] - x, 0)).toBeCloseTo(0);
		expect(own.reduce((sum, place) => sum + place[1] - y, 0)).toBeCloseTo(0);
	}
	expect(Object.keys(input.places ?? {}).length).toBe(input.players.length);
});

test('two players of different groups change places; two of one group stay', () => {
	const groups = [
		['a', 'b'],
		['c', 'd']
	];
	expect(swapped(groups, 'a', 'd')).toEqual([
		['d', 'b'],
		['c', 'a']
	]);
	expect(swapped(groups, 'a', 'b')).toEqual(groups);
});
