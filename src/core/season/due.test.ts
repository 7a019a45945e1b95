import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { placeOf } from '../../../tests/support/place';
import { addDays } from '../conditions';
import { due, step, type DueInput } from '.';

const FIRST = '2027-03-01';
const day = fc.integer({ min: -5, max: 70 }).map((days) => addDays(FIRST, days));
const skill = fc.constantFrom('pass', 'pass/1', 'pass/2', 'passing', 'press');

const inputs: fc.Arbitrary<DueInput> = fc
	.record({
		today: day.filter((each) => each >= FIRST),
		players: fc.uniqueArray(fc.constantFrom('a', 'b', 'c', 'd'), { minLength: 1 }),
		units: fc.dictionary(fc.constantFrom('a', 'b', 'c'), fc.constantFrom('u', 'v')),
		skills: fc.uniqueArray(
			fc.record({
				id: fc.constantFrom('pass', 'press', 'passing'),
				unit: fc.option(fc.constantFrom('u', 'w'), { nil: undefined }),
				targets: fc.array(
					fc
						.tuple(day, fc.nat(40), fc.nat(200))
						.map(([from, days, minutes]) => ({ from, to: addDays(from, days), minutes })),
					{ maxLength: 3 }
				),
				fix: fc.boolean(),
				seeded: fc.boolean()
			}),
			{ selector: ({ id }) => id, minLength: 1 }
		),
		rows: fc.array(
			fc.record({
				date: day,
				skill,
				player: fc.constantFrom('a', 'b', 'c', 'd', 'gone'),
				seconds: fc.nat(1200),
				focus: fc.constantFrom('main' as const, 'second' as const)
			}),
			{ maxLength: 40 }
		),
		tallies: fc.array(
			fc.tuple(day, skill, fc.nat(20), fc.nat(20)).map(([date, of, x, y]) => ({
				...{ date, skill: of },
				clean: Math.min(x, y),
				tries: Math.max(x, y)
			})),
			{ maxLength: 6 }
		)
	})
	.map((input) => ({ ...input, season: { firstDay: FIRST } }));

/** Every day from one to another, both of them among them. */
function* days(from: string, to: string): Generator<string> {
	for (let each = from; each <= to; each = addDays(each, 1)) yield each;
}

/** The parts by their definitions, day by day. */
function slowly(
	{ today, players, units = {}, rows, tallies = [] }: DueInput,
	of: DueInput['skills'][0]
) {
	const mine = players.filter((id) => of.unit === undefined || units[id] === of.unit);
	const fits = (each: { date: string; skill: string }) =>
		each.date >= FIRST &&
		each.date < today &&
		(each.skill === of.id || each.skill.split('/')[0] === of.id);
	const own = rows.filter((row) => fits(row) && mine.includes(row.player));
	const got = mine.length
		? own.reduce((sum, { seconds }) => sum + seconds / 60 / mine.length, 0)
		: 0;
	let target = 0;
	for (const { from, to, minutes } of of.targets) {
		const all = [...days(from, to)];
		target += (minutes * all.filter((each) => each <= today).length) / all.length;
	}
	const isMain = (each: string) => own.some(({ date, focus }) => date === each && focus === 'main');
	let [times, rests, last]: [number, number, string | null] = [0, 0, null];
	for (const each of days(FIRST, addDays(today, -1))) {
		const isDown = tallies.some((tally) => {
			if (tally.date !== each || !fits(tally)) return false;
			const advice = step({ tallies: [{ who: 'x', clean: tally.clean, tries: tally.tries }] });
			return advice.ok && advice.value.whole.advice === 'down';
		});
		if (isMain(each)) {
			times += 1;
			last = each;
		}
		if (isDown) times = 0;
	}
	const starts = of.targets.map(({ from }) => from).filter((from) => from <= today);
	const begin = starts.sort()[0];
	const since = last ?? (starts.length > 0 ? (begin > FIRST ? begin : FIRST) : null);
	if (since) rests = [...days(since, today)].length - 1;
	const interval = Math.min(28, 4 * 1.5 ** (Math.max(1, times) - 1));
	return {
		got,
		target,
		last,
		interval,
		owed: mine.length && target > 0 ? Math.max(0, target - got) / target : 0,
		since: mine.length ? Math.min(2, rests / interval) : 0
	};
}

describe('due', () => {
	test('is what its definition gives day by day, most due first', () => {
		fc.assert(
			fc.property(inputs, (input) => {
				const outcome = due(input);
				if (!outcome.ok) throw new Error(outcome.failure.message);
				const list = outcome.value.due;
				expect(new Set(list.map((each) => each.skill))).toEqual(
					new Set(input.skills.map(({ id }) => id))
				);
				for (const each of list) {
					const of = input.skills.find(({ id }) => id === each.skill);
					if (!of) throw new Error(each.skill);
					const own = slowly(input, of);
					expect(each.gotMinutes).toBeCloseTo(own.got, 6);
					expect(each.targetMinutes).toBeCloseTo(own.target, 6);
					expect(each.parts.owed).toBeCloseTo(own.owed, 6);
					expect(each.parts.since).toBeCloseTo(own.since, 6);
					expect(each.last).toBe(own.last);
					expect(each.intervalDays).toBeCloseTo(own.interval, 6);
					expect(each.score).toBeCloseTo(
						own.owed + own.since + Number(of.fix) + Number(of.seeded),
						6
					);
				}
				const scores = list.map(({ score }) => score);
				for (const [k, score] of scores.entries())
					if (k > 0) expect(score).toBeLessThanOrEqual(scores[k - 1] + 1e-9);
			}),
			{ numRuns: 150 }
		);
	});

	const plain: DueInput = {
		today: '2027-04-01',
		season: { firstDay: FIRST },
		players: ['a'],
		skills: [{ id: 'pass', targets: [] }],
		rows: []
	};

	test.each<[string, Partial<DueInput>]>([
		['players[1]', { players: ['a', 'a'] }],
		['skills[1].id', { skills: [...plain.skills, ...plain.skills] }],
		[
			'skills[0].targets[0].to',
			{
				skills: [{ id: 'pass', targets: [{ from: '2027-03-02', to: '2027-03-01', minutes: 1 }] }]
			}
		],
		['window', { window: [0.9, 0.2] }],
		['tallies[0].clean', { tallies: [{ date: FIRST, skill: 'pass', clean: 2, tries: 1 }] }]
	])('refuses what is wrong at %s', (path, change) => {
		expect(placeOf(due({ ...plain, ...change }))).toBe(path);
	});
});
