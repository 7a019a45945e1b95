import { describe, expect, test, vi } from 'vitest';
import { demoSurroundings } from '../../../tests/support/demo';
import { briefedDraft, randomDraft } from '../../../tests/support/drafts';
import { complaintsOf } from '../../../tests/support/sternCoach';
import { faultsIn } from '../checks';
import { ladderOf } from '../drill';
import type { Drill } from '../model/drill';
import { evaluate } from '../playing';
import { practiceFault, toContext } from '../practice';
import { draft, type Alternative, type DraftInput } from '.';

const NAMES = { water: 'Water', talk: 'Talk', stations: 'Stations', units: 'Units' };

function drafted(input: DraftInput): Alternative[] {
	const outcome = draft(input, NAMES);
	if (!outcome.ok) throw new Error(outcome.failure.message);
	return outcome.value.alternatives;
}

/** The team on a usual day. */
function usual(team = 'saltmarsh', more: Partial<DraftInput> = {}): DraftInput {
	const around = demoSurroundings(team);
	return {
		...around,
		frame: {
			...{ date: '2027-04-06', start: '18:30', minutes: 90 },
			expected: around.players.map(({ id }) => id),
			adults: around.adults.map(({ id }) => id)
		},
		arc: 'build-up',
		due: around.team.skillAreas
			.slice(0, 4)
			.map(({ id }, k) => ({ skill: id, weight: 4 - k, minutes: 30 })),
		...more
	};
}

const blocksOf = ({ practice }: Alternative) =>
	practice.periods.flatMap(({ lanes }) => lanes.flatMap(({ blocks }) => blocks));
const kindsOf = ({ practice }: Alternative) => practice.periods.map(({ kind }) => kind);

/** Drafts take a second or two each on a slow machine. */
vi.setConfig({ testTimeout: 90_000 });

describe.each(Array.from({ length: 9 }, (_, k) => k * 13 + 2))('a draft for squad %i', (seed) => {
	test('stops nowhere, fills its minutes, warms up first and says why each block is there', () => {
		const input = randomDraft(seed);
		const { frame, ...around } = input;
		for (const alternative of drafted(input)) {
			const { practice, why, figures } = alternative;
			const {
				arc: _arc,
				due: _due,
				unitTime: _units,
				alternatives: _count,
				seed: _seed,
				...surroundings
			} = around;
			const faults = faultsIn(evaluate(practice, toContext(surroundings)));
			const count = (severity: string) =>
				faults.filter((fault) => fault.severity === severity).length;
			expect(faults.filter(({ severity }) => severity === 'stop')).toEqual([]);
			expect(figures).toMatchObject({ stops: 0, warnings: count('warn') });
			const minutes = practice.periods.reduce((sum, each) => sum + each.minutes, 0);
			expect(minutes + figures.openMinutes).toBe(frame.minutes);
			expect(practice.periods[0].kind).toBe('warm-up');
			expect(practice.expected).toEqual(frame.expected);
			expect(practice.adults).toEqual(frame.adults);
			expect(practiceFault(practice)).toBeNull();
			for (const { id } of blocksOf(alternative)) expect(why[id]?.length).toBeGreaterThan(0);
		}
	});
});

describe('read by a stern coach, of odd squads', () => {
	test.each(Array.from({ length: 10 }, (_, k) => k * 7 + 3))(
		'a draft says nothing against itself: %i',
		(seed) => {
			const input = randomDraft(seed);
			for (const alternative of drafted(input))
				expect(complaintsOf(input, alternative)).toEqual([]);
		}
	);

	test.each(Array.from({ length: 8 }, (_, k) => k * 5 + 1))(
		'a brief is kept, or the reason is said: %i',
		(seed) => {
			const input = briefedDraft(seed);
			expect(input.brief?.length).toBeGreaterThan(0);
			const [first] = drafted({ ...input, alternatives: 1 });
			expect(complaintsOf(input, first)).toEqual([]);
		}
	);
});

test('the same input gives the same drafts, and the first never again as another', () => {
	const input = usual();
	const [a, b] = [drafted(input), drafted(input)];
	expect(a).toEqual(b);
	expect(a).toHaveLength(3);
	const drills = a.map((each) =>
		JSON.stringify(blocksOf(each).map(({ drill, minutes }) => [drill?.id, minutes]))
	);
	expect(new Set(drills).size).toBe(3);
});

test('both arcs are real: play first begins with a game and a talk, and plays again', () => {
	const [buildUp] = drafted(usual('saltmarsh', { alternatives: 1 }));
	expect(kindsOf(buildUp).filter((kind) => kind === 'scrimmage')).toHaveLength(1);
	const [playFirst] = drafted(usual('saltmarsh', { arc: 'play-first', alternatives: 1 }));
	const kinds = kindsOf(playFirst).filter((kind) => kind !== 'water');
	expect(kinds.slice(0, 3)).toEqual(['warm-up', 'scrimmage', 'talk']);
	expect(kinds.filter((kind) => kind === 'scrimmage')).toHaveLength(2);
	const game = blocksOf(playFirst).find(({ lineup }) => lineup);
	expect(game?.lineup?.shifts.length).toBeGreaterThan(0);
});

test('stations come where they are wanted, and units get lanes with drills of their own', () => {
	const [stations] = drafted(usual('saltmarsh', { stations: true, alternatives: 1 }));
	expect(kindsOf(stations)).toContain('stations');
	const [none] = drafted(usual('saltmarsh', { stations: false, alternatives: 1 }));
	expect(kindsOf(none)).not.toContain('stations');
	const [units] = drafted(usual('skerryside', { unitTime: true, alternatives: 1 }));
	const period = units.practice.periods.find(({ kind }) => kind === 'units');
	expect(new Set(period?.lanes.map(({ unit }) => unit)).size).toBe(5);
	const inLanes = period?.lanes.map(({ blocks: [{ drill }] }) => drill?.id) ?? [];
	const before = blocksOf(units).filter(({ id }) => !inLanes.includes(id));
	for (const id of inLanes) expect(before.filter(({ drill }) => drill?.id === id)).toHaveLength(1);
});

test('what is due more is given more, and a brief goes before it', () => {
	const toward = (skill: string) =>
		drafted(usual('saltmarsh', { due: [{ skill, weight: 1, minutes: 60 }], alternatives: 1 }))[0];
	const given = ({ practice }: Alternative, family: string) =>
		practice.periods
			.flatMap(({ lanes }) => lanes.flatMap(({ blocks }) => blocks))
			.filter(({ drill }) => drill?.id === family).length;
	// Only two zones have goals: one station at a time can finish.
	expect(toward('finishing').covers[0].minutes).toBeGreaterThan(4);
	expect(toward('passing').covers[0].minutes).toBeGreaterThan(25);
	const brief = [{ drill: 'channel-duel', rung: 'recover', minutes: 16 }];
	const [briefed] = drafted(usual('saltmarsh', { brief, stations: false, alternatives: 1 }));
	expect(given(briefed, 'channel-duel')).toBe(1);
	const block = blocksOf(briefed).find(({ drill }) => drill?.id === 'channel-duel');
	expect(block?.climb[0].rung).toBe('recover');
	expect(briefed.why[block?.id ?? '']).toContainEqual({ code: 'brief' });
});

test('what is owed most is not left out for what is owed less, where some draft can give it', () => {
	const due = ['defending', 'passing', 'decisions'].map((skill) => ({
		skill,
		weight: 1.3,
		minutes: 12
	}));
	const owed = { skill: 'finishing', weight: 1, minutes: 86 };
	const [first] = drafted(usual('saltmarsh', { due: [...due, owed], alternatives: 1 }));
	expect(first.covers[3].minutes).toBeGreaterThan(2);
});

test('a brief goes one rung up at most, and the next rung comes in the first half', () => {
	const [briefed] = drafted(
		usual('saltmarsh', {
			...{ stations: false, alternatives: 1 },
			brief: [{ drill: 'channel-duel', rung: 'after-sprint', minutes: 16 }],
			ladders: [{ drill: 'channel-duel', rung: null }]
		})
	);
	const at = briefed.practice.periods.findIndex(({ lanes }) =>
		lanes.some(({ blocks }) => blocks.some(({ drill }) => drill?.id === 'channel-duel'))
	);
	const block = blocksOf(briefed).find(({ drill }) => drill?.id === 'channel-duel');
	expect(block?.climb[0].rung).toBe('recover');
	const before = briefed.practice.periods.slice(0, at);
	const minutes = before.reduce((sum, period) => sum + period.minutes, 0);
	expect(minutes).toBeLessThan(briefed.practice.minutes / 2);
});

test('one rung up from the easiest is the drill itself: a brief for a higher one gets no more', () => {
	const ladder = ladderOf(usual().drills.find(({ id }) => id === 'corner-battery') as Drill);
	expect(ladder).toEqual(['slow', null, 'slip']);
	const [briefed] = drafted(
		usual('saltmarsh', {
			...{ stations: false, alternatives: 1 },
			brief: [{ drill: 'corner-battery', rung: 'slip', minutes: 12 }],
			ladders: [{ drill: 'corner-battery', rung: 'slow' }]
		})
	);
	const block = blocksOf(briefed).find(({ drill }) => drill?.id === 'corner-battery');
	expect(block?.climb[0].rung).toBeUndefined();
});

test('what is kept stays as it is, and ladders go on where they stand', () => {
	const [first] = drafted(usual('saltmarsh', { alternatives: 1 }));
	const keep = first.practice.periods.filter(({ kind }) => kind === 'scrimmage');
	const [again] = drafted(
		usual('saltmarsh', {
			...{ keep, alternatives: 1, scrimmage: 0 },
			ladders: [{ drill: 'two-touch-squares', rung: 'one-touch' }]
		})
	);
	expect(again.practice.periods.filter(({ id }) => id === keep[0].id)).toEqual(keep);
	const squares = blocksOf(again).find(({ drill }) => drill?.id === 'two-touch-squares');
	expect(squares?.climb[0].rung).toBe('one-touch');
});

test('another seed leans to other drills', () => {
	const drillsOf = (seed: number) =>
		blocksOf(drafted(usual('saltmarsh', { seed, alternatives: 1 }))[0]).map(
			({ drill }) => drill?.id
		);
	const seen = [1, 2, 3, 4, 5, 6].map((seed) => JSON.stringify(drillsOf(seed)));
	expect(new Set(seen).size).toBeGreaterThan(1);
	expect(JSON.stringify(drillsOf(2))).toBe(seen[1]);
});

test('groups are of those who have met least, where they are as even', () => {
	const groupsOf = (met: DraftInput['met']) =>
		drafted(
			usual('saltmarsh', { alternatives: 1, stations: true, met })
		)[0].practice.periods.flatMap(({ groups = [] }) => groups.map(({ players }) => players));
	const pairs = (groups: string[][]) =>
		groups.flatMap((group) => group.flatMap((a, k) => group.slice(k + 1).map((b) => [a, b, 9])));
	const timesIn = (groups: string[][], met: (string | number)[][]) => {
		const known = new Set(met.map(([a, b]) => [a, b].sort().join(' ')));
		return pairs(groups).filter(([a, b]) => known.has([a, b].sort().join(' '))).length;
	};
	const first = groupsOf([]);
	const met = [
		...new Map(pairs(first).map((pair) => [pair.slice(0, 2).sort().join(' '), pair])).values()
	];
	expect(timesIn(groupsOf(met), met)).toBeLessThan(timesIn(first, met));
});

test('what cannot be drafted is named', () => {
	const none = draft({ ...usual(), drills: [] }, NAMES);
	expect(none.ok ? null : none.failure.code).toBe('infeasible');
	const stranger = usual();
	stranger.frame.expected[3] = 'nobody';
	expect(draft(stranger, NAMES)).toMatchObject({
		ok: false,
		failure: { code: 'bad-input', path: ['frame', 'expected', 3] }
	});
	expect(draft(usual('saltmarsh', { met: [['p01', 'p01', 2]] }), NAMES)).toMatchObject({
		failure: { path: ['met', 0] }
	});
	const brief = [{ drill: 'gone', minutes: 10 }];
	expect(draft(usual('saltmarsh', { brief }), NAMES)).toMatchObject({
		failure: { path: ['brief', 0, 'drill'] }
	});
	const few = usual('saltmarsh', { alternatives: 1 });
	const two = { ...few, frame: { ...few.frame, expected: few.frame.expected.slice(0, 1) } };
	const outcome = draft(two, NAMES);
	if (outcome.ok)
		for (const { figures } of outcome.value.alternatives) expect(figures.stops).toBe(0);
});
