import { expect, test } from 'vitest';
import { demoContext, demoPractices } from '../../../tests/support/demo';
import { bestWithin } from '../base';
import { faultsIn } from '../checks';
import { evaluate } from '../playing';
import { applyEdit } from '../practice';
import { meetingsIn } from '../season';
import { mixOccasions, meetingRange, mixingEdits, occasionsIn } from '.';

const context = demoContext();
const practices = demoPractices('saltmarsh');
const [held, coming] = [practices.slice(0, 8), practices.slice(8)];
const squad = context.players.map(({ id }) => id);
const met = meetingsIn(held);

/** Pairs who are never together, counted another way than the page does. */
function neverIn(groups: readonly (readonly string[])[]): number {
	const known = new Map(met.map(([a, b, times]) => [[a, b].sort().join(), times]));
	return squad
		.flatMap((a, k) => squad.slice(k + 1).map((b) => [a, b]))
		.filter(
			(pair) =>
				!known.get([...pair].sort().join()) &&
				!groups.some((group) => pair.every((id) => group.includes(id)))
		).length;
}

test.each([{ of: 'stations' } as const, { of: 'drill', drill: 'two-touch-squares' } as const])(
	'the groups of practices to come are mixed, and every practice still runs: %j',
	(wanted) => {
		const occasions = occasionsIn(coming, wanted, context);
		expect(occasions.length).toBeGreaterThan(3);
		const search = mixOccasions({ players: squad, occasions, met });
		if (!search.ok) throw new Error(search.failure.message);
		let second = 0;
		const mixed = bestWithin(search.value, { now: () => (second += 1), seconds: 0.2 });
		const before = occasions.flatMap(({ groups }) => groups);
		const after = mixed.sessions.flat();
		expect(meetingRange(squad, met, before).never).toBe(neverIn(before));
		expect(meetingRange(squad, met, after).never).toBe(neverIn(after));
		expect(neverIn(after)).toBeLessThan(neverIn(before));
		for (const practice of coming) {
			const own = mixingEdits(
				practice,
				occasions
					.map((occasion, k) => ({ ...occasion, groups: mixed.sessions[k] }))
					.filter((occasion) => occasion.practice === practice.id)
			);
			const applied = own.length > 0 ? applyEdit(practice, { type: 'all', edits: own }) : null;
			if (!applied) continue;
			if (!applied.ok) throw new Error(applied.failure);
			const stops = (of: typeof practice) =>
				faultsIn(evaluate(of, context)).filter(({ severity }) => severity === 'stop').length;
			expect(stops(applied.value.practice)).toBeLessThanOrEqual(stops(practice));
		}
	}
);

test('a round that water divides is one occasion, and who does not come keeps a place', () => {
	const divided = coming.find(
		({ periods }) => periods.filter(({ slots }) => slots !== undefined).length > 1
	);
	if (!divided) throw new Error('no round is divided');
	const [occasion, ...others] = occasionsIn([divided], { of: 'stations' }, context);
	expect(others).toEqual([]);
	expect(occasion.periods).toHaveLength(2);
	const gone = divided.expected[0];
	const without = { ...divided, expected: divided.expected.slice(1) };
	const [now] = occasionsIn([without], { of: 'stations' }, context);
	expect(now.groups.flat()).not.toContain(gone);
	const turned = [...now.groups.slice(1), now.groups[0]];
	for (const edit of mixingEdits(without, [{ ...now, groups: turned }]))
		expect(edit.groups?.some(({ players }) => players.includes(gone))).toBe(true);
});

test('two lanes of one period are both mixed', () => {
	const team = demoContext('skerryside');
	const practice = demoPractices('skerryside').find(({ periods }) =>
		periods.some(({ kind }) => kind === 'units')
	);
	const period = practice?.periods.find(({ kind }) => kind === 'units');
	if (!practice || !period) throw new Error('no practice has unit time');
	const twice = {
		...practice,
		periods: practice.periods.map((each) =>
			each === period
				? {
						...period,
						lanes: period.lanes.map((lane) => ({
							...lane,
							blocks: lane.blocks.map((block) => ({
								...block,
								drill: { id: 'four-corner-hands', revision: 1 }
							}))
						}))
					}
				: each
		)
	};
	const occasions = occasionsIn([twice], { of: 'drill', drill: 'four-corner-hands' }, team).filter(
		({ periods }) => periods.includes(period.id)
	);
	expect(occasions.length).toBeGreaterThan(1);
	const turned = occasions.map((each) => ({
		...each,
		groups: [...each.groups.slice(1), each.groups[0]]
	}));
	const applied = applyEdit(twice, { type: 'all', edits: mixingEdits(twice, turned) });
	if (!applied.ok) throw new Error(applied.failure);
	const after = occasionsIn(
		[applied.value.practice],
		{ of: 'drill', drill: 'four-corner-hands' },
		team
	);
	for (const { lane, groups } of turned)
		expect(after.find((each) => each.lane === lane)?.groups).toEqual(groups);
});
