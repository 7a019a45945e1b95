import { describe, expect, test } from 'vitest';
import { demoContext, demoPractices, demoTeams, withAdults } from '../../../tests/support/demo';
import { splitEvenly } from '../base';
import { faultsIn } from '../checks';
import type { Drill } from '../model/drill';
import { evaluate } from '../playing';
import { applyEdit, type Context } from '../practice';
import { splitIntoStations, type StationWish, suggestStations } from '.';

/** How many stations suit the numbers of each team. */
const counts: Record<string, number> = { saltmarsh: 4, 'harbour-minis': 3, skerryside: 6 };
const teams = demoTeams().map((team) => ({
	team,
	count: counts[team],
	context: demoContext(team),
	practice: demoPractices(team)[1]
}));

describe.each(teams)('stations that are suggested for $team', (of) => {
	const { context, count: usual } = of;
	const together = of.practice.periods.find(({ kind }) => kind === 'together');
	const period = { ...(together ?? of.practice.periods[0]), minutes: 60 };
	const practice = {
		...of.practice,
		periods: of.practice.periods.map((each) => (each.id === period.id ? period : each))
	};
	const suggest = (count: number, kept: StationWish[] = [], around: Context = context) =>
		suggestStations(
			{ practice, context: around },
			{ period, kept, first: [], beside: [], count, players: practice.expected, minutes: 7 }
		);

	/** What would stop them, by the station's drill. */
	function stopsOf(wishes: StationWish[]): string[] {
		const edit = splitIntoStations(
			{ practice, context },
			{
				period,
				wishes,
				sizes: splitEvenly(practice.expected.length, wishes.length),
				moveSeconds: 30
			}
		);
		const applied = applyEdit(practice, edit);
		if (!applied.ok) throw new Error(applied.failure);
		const blocks = edit.lanes.flatMap((lane) => lane.blocks.map(({ id }) => id));
		return faultsIn(evaluate(applied.value.practice, context))
			.flatMap(({ parts }) => parts)
			.filter(({ severity, at }) => severity === 'stop' && blocks.includes(at.block ?? ''))
			.map(({ code, at, values }) => `${code} ${at.block} ${JSON.stringify(values)}`);
	}

	test('run with their groups as they are, each drill once', () => {
		expect(suggest(usual)).toHaveLength(usual);
		for (const count of [usual - 1, usual, usual + 1]) {
			const wishes = suggest(count);
			const ids = wishes.map(({ drill }) => drill.id);
			expect(new Set(ids).size).toBe(ids.length);
			if (wishes.length === count) expect([count, stopsOf(wishes)]).toEqual([count, []]);
		}
	});

	test('keep what still runs when there are more of them, and nothing else', () => {
		const before = suggest(usual);
		const kept = suggest(usual + 1, before).slice(0, usual);
		const size = Math.floor(practice.expected.length / (usual + 1));
		const runs = ({ group }: Drill) => size >= group.min && size <= group.max;
		for (const { drill, zoneId } of before) {
			const own = kept.find((wish) => wish.drill.id === drill.id);
			if (own) expect([runs(drill), own.zoneId]).toEqual([true, zoneId]);
		}
		const twice = suggest(usual, [before[0], before[0]]);
		expect(twice.filter(({ drill }) => drill.id === before[0].drill.id)).toHaveLength(1);
	});

	test('take no kit or adults that there are not', () => {
		expect(
			suggest(3, [], { ...context, kit: {} }).every(({ drill }) => drill.kit.length === 0)
		).toBe(true);
	});

	test('put nobody in charge of young players who may not have them', () => {
		const [other, ...rest] = practice.adults;
		const around = withAdults(context, (adult) =>
			rest.includes(adult.id) ? { ...adult, ages: { from: 30, to: 40 } } : adult
		);
		const limits = { ...context.limits, aloneFromAge: 99 };
		const wishes = suggest(usual, [], { ...around, limits });
		expect(wishes.map(({ adults: [first] }) => first)).toEqual([other]);
	});
});
