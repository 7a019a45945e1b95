import { describe, expect, test } from 'vitest';
import { demoContext, demoPractice, demoPractices } from '../../../tests/support/demo';
import { evaluate, playersOfLane } from '../playing';
import { applyEdit, findBlock, findPeriod, type Edit } from '../practice';
import type { Practice } from '../model/practice';
import { blockAfter, laneForUnit, plainPeriod, unitBeside } from '.';

const context = demoContext('skerryside');
const [practice] = demoPractices('skerryside');
const shelf = (id: string) => {
	const drill = context.shelf.find((each) => each.id === id);
	if (!drill) throw new Error(`the demo has no ${id}`);
	return drill;
};
function after(before: Practice, edit: Edit | null): Practice {
	const applied = edit && applyEdit(before, edit);
	if (!applied?.ok) throw new Error(`does not apply: ${applied?.failure ?? 'nothing to do'}`);
	return applied.value.practice;
}
/** A practice of one empty period, as a coach begins with unit time. */
const empty = {
	...practice,
	periods: [{ ...plainPeriod('units', { id: 'u', name: 'Unit time', minutes: 20 }) }]
};
const units = context.team.units.map(({ id }) => id);
const unitOf = (id: string) => context.playerById.get(id)?.unit;

describe('unit time', () => {
	const drills = ['drop-line', 'ruck-steps', 'kneeling-wrap'].map(shelf);
	const chosen = units.slice(0, 3);
	const made = chosen.reduce((before, unit, index) => {
		const period = findPeriod(before, 'u');
		return after(
			before,
			period
				? unitBeside({ practice: before, context }, period, { drill: drills[index], unit })
				: null
		);
	}, empty);
	const [period] = made.periods;

	test('has a lane for each unit: its players and nobody else, in zones of their own', () => {
		expect(period.kind).toBe('units');
		expect(period.lanes.map(({ unit }) => unit)).toEqual(chosen);
		for (const lane of period.lanes) {
			const players = playersOfLane(period, lane);
			expect(players.every((id) => unitOf(id) === lane.unit)).toBe(true);
			const all = made.expected.filter((id) => unitOf(id) === lane.unit);
			expect(new Set(players)).toEqual(new Set(all));
		}
		const { playerClashes, adultClashes, runs } = evaluate(made, context);
		expect([playerClashes, adultClashes]).toEqual([[], []]);
		const zones = period.lanes.flatMap(({ zoneIds }) => [...new Set(zoneIds)]);
		expect(new Set(zones).size).toBe(zones.length);
		expect(runs.length).toBeGreaterThanOrEqual(3);
		const bibs = period.groups?.map(({ bib }) => bib) ?? [];
		expect(new Set(bibs).size).toBe(bibs.length);
	});

	test('is led by the coach of the unit where one is there', () => {
		for (const { unit, blocks } of period.lanes) {
			const coaches = context.adults.filter(
				({ id, units: own }) => made.adults.includes(id) && own?.includes(unit ?? '')
			);
			if (coaches.length > 0) expect(coaches.map(({ id }) => id)).toContain(blocks[0].lead);
		}
	});

	test('takes a second drill behind the first, with the minutes shared', () => {
		const found = findBlock(made, period.lanes[0].blocks[0].id);
		const later = after(
			made,
			found ? blockAfter({ practice: made, context }, found, shelf('train-track')) : null
		);
		const [{ blocks }] = later.periods[0].lanes;
		expect(blocks.map(({ minutes }) => minutes)).toEqual([10, 10]);
		expect(blocks[1].copies.map(({ zoneId, players }) => ({ zoneId, players }))).toEqual(
			blocks[0].copies.map(({ zoneId, players }) => ({ zoneId, players }))
		);
		const windows = evaluate(later, context).runs.filter(
			({ run }) => run.lane.id === later.periods[0].lanes[0].id
		);
		expect(new Set(windows.map(({ run }) => `${run.fromSecond}-${run.toSecond}`))).toEqual(
			new Set(['0-600', '600-1200'])
		);
	});

	test('a lane changes hands: its players are those of the other unit, who leave their lane', () => {
		const [lane, second] = period.lanes;
		const changed = after(
			made,
			laneForUnit({ practice: made, context }, { period, lane, block: lane.blocks[0] }, chosen[1])
		);
		const [now] = changed.periods;
		expect(now.lanes.map(({ unit }) => unit)).toEqual([chosen[1], chosen[2]]);
		expect(new Set(playersOfLane(now, now.lanes[0]))).toEqual(
			new Set(playersOfLane(period, second))
		);
		const run = now.lanes.flatMap(({ blocks }) => blocks.flatMap(({ copies }) => copies));
		expect(now.groups?.every(({ id }) => run.some(({ group }) => group === id)) ?? true).toBe(true);
		const nobody = after(
			changed,
			laneForUnit(
				{ practice: changed, context },
				{ period: now, lane: now.lanes[0], block: now.lanes[0].blocks[0] },
				null
			)
		);
		expect(nobody.periods[0].lanes[0].unit).toBeUndefined();
	});
});

test('a unit leaves a period that all of the squad run, and those who stay keep their groups', () => {
	const before = demoPractice();
	const squad = demoContext();
	const period = findPeriod(before, 'squares');
	const drill = squad.shelf.find(({ id }) => id === 'keepers-corner');
	if (!period || !drill) throw new Error('the demo has both');
	const made = after(
		before,
		unitBeside({ practice: before, context: squad }, period, { drill, unit: 'keepers' })
	);
	const now = findPeriod(made, 'squares');
	const keepers = made.expected.filter((id) => squad.playerById.get(id)?.unit === 'keepers');
	expect(keepers.length).toBeGreaterThan(0);
	expect(now && playersOfLane(now, now.lanes[now.lanes.length - 1])).toEqual(keepers);
	const others = now?.groups?.flatMap(({ players }) => players) ?? [];
	expect(others.some((id) => keepers.includes(id))).toBe(false);
	expect(others).toHaveLength(before.expected.length - keepers.length);
	const station = findPeriod(before, 'stations') ?? before.periods.find(({ slots }) => slots);
	expect(
		station && unitBeside({ practice: before, context: squad }, station, { drill, unit: 'keepers' })
	).toBeNull();
});
