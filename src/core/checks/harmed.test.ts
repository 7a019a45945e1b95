import fc from 'fast-check';
import { Check } from 'typebox/value';
import { describe, expect, test } from 'vitest';
import { demoContext, demoPractices, demoTeams } from '../../../tests/support/demo';
import { someChoices, someEdit, someHarm, type Choice } from '../../../tests/support/edits';
import type { Practice } from '../model/practice';
import { weekdayOf } from '../conditions';
import { evaluate } from '../playing';
import { applyEdit, blocksOf, type Context, drillOf, toContext } from '../practice';
import { describeEdit, describeFinding, faultsIn, fixesFor, type Fault, type Trouble } from '.';
import { VALUES } from './finding';
import { speaker } from '$words';

const say = speaker(undefined);

const teams = demoTeams().map((team) => ({
	team,
	context: demoContext(team),
	practices: demoPractices(team),
	practice: demoPractices(team).at(-1) as Practice
}));

/** A practice after edits, every other of them harmful; those that do not apply are left out. */
function harmed(practice: Practice, context: Context, choices: readonly Choice[]): Practice {
	return choices.reduce((current, choice, index) => {
		const edit = index % 2 === 0 ? someHarm(current, context, choice) : someEdit(current, choice);
		const applied = applyEdit(current, edit);
		return applied.ok ? applied.value.practice : current;
	}, practice);
}

/** What is wrong and where, whenever it begins. */
function keyOf({ code, at: { fromSecond: _from, ...at }, values }: Trouble): string {
	const { first, second, drill, item } = values as Readonly<Record<string, unknown>>;
	return JSON.stringify([
		code,
		at.block ? { ...at, period: null } : at,
		first,
		second,
		drill,
		item
	]);
}

/** Everything that is wrong with a practice, place by place, with how bad it is. */
const troublesOf = (practice: Practice, context: Context) =>
	new Map(
		faultsIn(evaluate(practice, context)).flatMap(({ parts }) =>
			parts.map((part) => [keyOf(part), part.severity])
		)
	);

/** One fault of each kind: every fix plays the practice anew. */
function oneOfEach(found: readonly Fault[]): Fault[] {
	const codes = new Set(found.map(({ code }) => code));
	return found.filter(({ code }) => codes.delete(code));
}

/** The most effort, or contact, that a practice comes to on any rung. */
const mostIn = (practice: Practice, context: Context, of: 'effort' | 'contact') =>
	Math.max(
		0,
		...[...blocksOf(practice)].flatMap(({ block }) => {
			const drill = drillOf(context, block.drill);
			const sets = block.climb.map(({ rung }) => drill?.rungs.find(({ id }) => id === rung)?.set);
			return sets.map((set) => set?.[of] ?? drill?.[of] ?? 0);
		})
	);

/** Whether an adult does not come on the weekday of a practice. */
function isAway(id: string, { date }: Practice, { adultById }: Context): boolean {
	const days = adultById.get(id)?.days;
	return days !== undefined && !days.includes(weekdayOf(date));
}

/** Numbers that choose who is away, who is kept out of what, which adults come, and the minutes. */
const someDay = fc.record({
	away: fc.array(fc.nat(45), { maxLength: 8 }),
	out: fc.array(fc.tuple(fc.nat(45), fc.boolean()), { maxLength: 3 }),
	adults: fc.nat(4),
	minutes: fc.integer({ min: -25, max: 15 })
});
type Day = typeof someDay extends fc.Arbitrary<infer Value> ? Value : never;

/** A practice as it is on such a day. */
function onSuchADay(practice: Practice, context: Context, { away, out, adults, minutes }: Day) {
	const { players, playerById: _players, ...rest } = context;
	const restricted = players.map((player, index) => {
		const own = out.filter(([at]) => at === index);
		const restrictions = own.map(([, contact]) => ({
			from: contact ? ('contact' as const) : ('running' as const),
			setBy: 'the practitioner'
		}));
		return own.length > 0 ? { ...player, restrictions } : player;
	});
	return {
		practice: {
			...practice,
			minutes: practice.minutes + minutes,
			expected: practice.expected.filter((_, index) => !away.includes(index)),
			adults: practice.adults.slice(adults)
		},
		context: toContext({ ...rest, players: restricted })
	};
}

describe.each(teams)('a practice of $team to which harm is done', ({ practice, context }) => {
	const forAll = (holds: (practice: Practice) => void) =>
		fc.assert(
			fc.property(someChoices(8, 72), (choices) => holds(harmed(practice, context, choices))),
			{ seed: 26, numRuns: 4, endOnFailure: true }
		);

	test('has a whole track for everyone, and figures that are numbers', () => {
		forAll((each) => {
			const evaluation = evaluate(each, context);
			for (const player of each.expected) {
				const track = evaluation.players.get(player) ?? [];
				let second = 0;
				for (const { fromSecond, toSecond } of track) {
					expect(fromSecond).toBeCloseTo(second, 6);
					expect(toSecond).toBeGreaterThan(fromSecond);
					second = toSecond;
				}
				expect(second).toBeCloseTo(evaluation.seconds, 6);
			}
			const { players, blocks, busyShare, turns } = evaluation.figures;
			const numbers = JSON.stringify([players, [...blocks.values()], busyShare, turns]);
			// JSON has no other numbers: those that are none are written as null, as turns without a drill are.
			expect(numbers.replaceAll('"turns":null', '')).not.toContain('null');
		});
	}, 60_000);

	test('is told so in whole sentences, and every fix mends what it is for', () => {
		forAll((each) => {
			const around = { practice: each, context };
			const evaluation = evaluate(each, context);
			const found = faultsIn(evaluation);
			for (const fault of found) {
				const said = describeFinding(fault, around, say);
				expect(said).toMatch(/^[\p{Lu}0-9].*\.$/su);
				expect(said).not.toMatch(/undefined|NaN|null|Infinity|\[object/);
				for (const { code, values } of fault.parts)
					expect([code, values, Check(VALUES[code], values)]).toEqual([code, values, true]);
			}
			for (const fault of oneOfEach(found))
				for (const fix of fixesFor(evaluation, fault)) {
					expect(describeEdit(fix, around, say)).not.toMatch(/undefined|NaN|null|\[object/);
					const applied = applyEdit(each, fix);
					if (!applied.ok) throw new Error(`${fault.code}: ${applied.failure}`);
					const left = troublesOf(applied.value.practice, context);
					expect([...left.keys()]).not.toContain(keyOf(fault));
					const back = applyEdit(applied.value.practice, applied.value.inverse);
					expect(back.ok && back.value.practice).toEqual(each);
				}
		});
	}, 60_000);
});

describe.each(teams)('$team with some away, kept out, late or short of time', (of) => {
	test('is given no fix that breaks anything else, is harder, or leads back', () => {
		fc.assert(
			fc.property(fc.nat(of.practices.length - 1), someDay, (index, day) => {
				const { practice, context } = onSuchADay(of.practices[index], of.context, day);
				const evaluation = evaluate(practice, context);
				const before = troublesOf(practice, context);
				for (const fault of oneOfEach(faultsIn(evaluation)))
					for (const fix of fixesFor(evaluation, fault)) {
						const applied = applyEdit(practice, fix);
						if (!applied.ok) throw new Error(`${fault.code}: ${applied.failure}`);
						const next = applied.value.practice;
						const after = troublesOf(next, context);
						const most = fault.rule.mayHurt ? ['stop'] : ['stop', 'warn'];
						const made = [...after].filter(
							([key, severity]) => most.includes(severity) && !before.has(key)
						);
						expect([fault.code, describeEdit(fix, evaluation, say), made]).toEqual([
							...[fault.code, describeEdit(fix, evaluation, say), []]
						]);
						for (const each of ['effort', 'contact'] as const)
							expect(mostIn(next, context, each)).toBeLessThanOrEqual(
								mostIn(practice, context, each)
							);
						expect(next.adults.filter((id) => isAway(id, next, context))).toEqual([]);
						const again = evaluate(next, context);
						for (const other of oneOfEach(faultsIn(again)).slice(0, 3))
							for (const second of fixesFor(again, other)) {
								const returned = applyEdit(next, second);
								expect(returned.ok && returned.value.practice).not.toEqual(practice);
							}
					}
			}),
			{ seed: 14, numRuns: 6, endOnFailure: true }
		);
	}, 300_000);
});
