import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { demoContext, demoPractices, demoTeams } from '../../../tests/support/demo';
import { someChoices, someEdit, someHarm, type Choice } from '../../../tests/support/edits';
import type { Practice } from '../model/practice';
import { applyEdit, evaluate, type Context } from '../practice';
import { check, describeEdit, describeFinding, type Finding } from '.';

const teams = demoTeams().map((team) => ({
	team,
	context: demoContext(team),
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

/** What a finding is about: its place, and the blocks or the drill that it names. */
const whatIsWrong = ({ code, at, values: { first, second, drill } }: Finding) =>
	JSON.stringify([code, at, first, second, drill]);

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
			const found = check(evaluate(each, context));
			for (const finding of found) {
				const said = describeFinding(finding, around);
				expect(said).toMatch(/^[\p{Lu}0-9].*\.$/su);
				expect(said).not.toMatch(/undefined|NaN|null|Infinity|\[object/);
			}
			const codes = new Set(found.map(({ code }) => code));
			// Every fix plays the practice anew: one finding of each kind is enough.
			for (const finding of found.filter(({ code }) => codes.delete(code)))
				for (const fix of finding.fixes) {
					expect(describeEdit(fix, around)).not.toMatch(/undefined|NaN|null|\[object/);
					const applied = applyEdit(each, fix);
					if (!applied.ok) throw new Error(`${finding.code}: ${applied.failure}`);
					const left = check(evaluate(applied.value.practice, context));
					expect(left.map(whatIsWrong)).not.toContain(whatIsWrong(finding));
					const back = applyEdit(applied.value.practice, applied.value.inverse);
					expect(back.ok && back.value.practice).toEqual(each);
				}
		});
	}, 60_000);
});
