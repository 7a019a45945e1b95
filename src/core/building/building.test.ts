import { describe, expect, test } from 'vitest';
import { demoContext, demoPractice } from '../../../tests/support/demo';
import { faultsIn } from '../checks';
import type { Drill } from '../model/drill';
import { kitNeeded } from '../sizing';
import { evaluate, overlap, roomFor } from '../playing';
import {
	applyEdit,
	DEFAULT_LIMITS,
	drillOf,
	type Edit,
	findBlock,
	type Found,
	idMaker,
	plannedMinutes,
	toContext
} from '../practice';
import {
	fitToTime,
	periodFromDrill,
	plainPeriod,
	resizePeriods,
	setMinutes,
	sizeLane,
	splitIntoCopies
} from '.';

const context = demoContext();
const practice = demoPractice();
const plan = { practice, context };
const block = (id: string) => findBlock(practice, id) as Found;
function after(edit: Edit) {
	const applied = applyEdit(practice, edit);
	if (!applied.ok) throw new Error(applied.failure);
	return applied.value.practice;
}

describe('copies of a block', () => {
	test('can be taken as size offers them: even groups, each in a zone of its own, adults dealt', () => {
		const sized = sizeLane(plan, block('sq'));
		if (!sized) throw new Error('no sizes');
		const { output, room } = sized.sizing;
		const option = output.options[output.best ?? 0];
		const edit = splitIntoCopies(plan, { ...block('sq'), option, room, players: sized.players });
		if (!edit) throw new Error('no edit');
		const { copies } = edit.lanes[0].blocks[0];
		expect(copies).toHaveLength(option.copies);
		expect(new Set(copies.map(({ zoneId }) => zoneId)).size).toBe(option.copies);
		expect(new Set(copies.flatMap(({ adults }) => adults)).size).toBe(5);
		expect(edit.groups?.map(({ players }) => players.length)).toEqual(option.sizes);
		expect(evaluate(after(edit), context).playerClashes).toEqual([]);
	});

	test('are sized from what the other lanes leave', () => {
		const { period, lane } = block('turn');
		const drill = drillOf(context, block('turn').block.drill);
		if (!drill) throw new Error('no drill');
		const beside = period.lanes.filter((other) => other !== lane);
		const room = roomFor(drill, { practice, period, beside, context, players: 6 });
		expect(room.zones.map(({ id }) => id)).toEqual(['e', 'f']);
		// The one who leads passing alone comes last where receiving is the main skill, and first for passing.
		expect(room.adults).toEqual(['head', 'helper-2', 'helper-1']);
		const squares = context.shelf.find(({ id }) => id === 'two-touch-squares') ?? drill;
		const other = roomFor(squares, { practice, period, beside, context, players: 6 });
		expect(other.adults[0]).toBe('helper-1');
		const used = beside.flatMap(({ blocks }) =>
			blocks.map(
				(each) =>
					kitNeeded(drillOf(context, each.drill) ?? drill, { copies: 1, players: 8 }).get('ball') ??
					0
			)
		);
		expect(room.kit.ball).toBe(40 - used.reduce((a, b) => a + b));
	});

	test.each(['sq', 'outlet', 'break', 'turn'])(
		'of %s are told with the turns of all steps of its climb, about as many as it has when it is played',
		(id) => {
			const found = block(id);
			expect(found.block.climb.length).toBeGreaterThan(1);
			const now = sizeLane(plan, found)?.sizing.output.options.find(
				({ copies, adultsAt }) => copies === found.block.copies.length && adultsAt === 0
			);
			const played = evaluate(practice, context).figures.blocks.get(id);
			// Only walking in is not in it.
			const share = (now?.reps.mean ?? 0) / (played?.turns?.mean ?? 1);
			expect(share).toBeGreaterThanOrEqual(1);
			expect(share).toBeLessThan(1.1);
		}
	);

	test('are not offered for stations', () => {
		expect(sizeLane(plan, block('duel'))).toBeNull();
	});
});

describe('minutes', () => {
	test('of a period are those of its blocks, and slots are cut anew', () => {
		const next = after(
			resizePeriods(
				practice,
				new Map([
					['stations', 40],
					['units', 7]
				])
			)
		);
		expect(findBlock(next, 'duel')?.block.minutes).toBe(10);
		expect(findBlock(next, 'outlet')?.block.minutes).toBe(7);
		expect(plannedMinutes(next)).toBe(91);
		const runs = evaluate(next, context).runs.filter(({ run }) => run.block.id === 'duel');
		expect(runs.map(({ run }) => run.toSecond - run.fromSecond)).toEqual([577, 577, 577, 577]);
	});

	test('set by hand are kept by the fit that follows', () => {
		const longer = after(setMinutes(practice, 'squares', 20));
		const fitting = fitToTime({ ...longer, minutes: 100 }, DEFAULT_LIMITS);
		const squares = fitting.ok && fitting.value.edits.find((edit) => edit.type === 'set-minutes');
		expect(squares && squares.periods.squares).toBe(20);
	});

	test('of a talk are not stretched past what players listen to', () => {
		const talk = { ...plainPeriod('talk', { id: 'talk', name: 'Talk', minutes: 2 }), max: 15 };
		const spare = after({ type: 'add-period', period: talk, after: null });
		const fitting = fitToTime({ ...spare, minutes: 200 }, DEFAULT_LIMITS);
		const resize = fitting.ok && fitting.value.edits.find((edit) => edit.type === 'set-minutes');
		expect(resize && resize.periods.talk).toBe(DEFAULT_LIMITS.talkMinutes);
	});

	test('of the talk about the next game have a limit of their own, which the check holds', () => {
		const about = { about: 'game' as const, min: 1, max: 15 };
		const talk = { ...plainPeriod('talk', { id: 'talk', name: 'Talk', minutes: 8 }), ...about };
		const spare = after({ type: 'add-period', period: { ...talk, ideal: 2 }, after: null });
		const fitting = fitToTime({ ...spare, minutes: 200 }, DEFAULT_LIMITS);
		const resize = fitting.ok && fitting.value.edits.find((edit) => edit.type === 'set-minutes');
		expect(resize && resize.periods.talk).toBe(8);
		const tooLong = (minutes: number) =>
			faultsIn(
				evaluate(after({ type: 'add-period', period: { ...talk, minutes }, after: null }), context)
			).filter(({ code }) => code === 'talk-long');
		expect(tooLong(8)).toEqual([]);
		expect(tooLong(9)).toMatchObject([{ values: { minutes: 9, limit: 8 } }]);
	});

	test('of a locked period stay as they are when the rest is fitted', () => {
		const locked = after({ type: 'set-period', period: 'game', set: { locked: true } });
		const fitting = fitToTime({ ...locked, minutes: 80 }, DEFAULT_LIMITS);
		const resize = fitting.ok && fitting.value.edits.find((edit) => edit.type === 'set-minutes');
		expect(resize && resize.periods).toMatchObject({ game: 18 });
	});

	test('say by how many they are too few where nothing can be dropped', () => {
		const musts = {
			...practice,
			minutes: 20,
			periods: practice.periods.map((period) => ({ ...period, rank: 'must' as const }))
		};
		expect(fitToTime(musts, DEFAULT_LIMITS)).toMatchObject({
			ok: false,
			failure: { code: 'infeasible' }
		});
	});
});

test('zones that touch do not overlap, and those that share ground do', () => {
	const zone = (id: string) => context.zoneById.get(id) ?? context.ground.zones[0];
	expect(overlap(zone('a'), zone('b'))).toBe(false);
	expect(overlap(zone('a'), zone('ab'))).toBe(true);
	expect(overlap(zone('cd'), zone('half'))).toBe(true);
	expect(overlap(zone('strip'), zone('half'))).toBe(false);
});

test('new ids step over those that are taken', () => {
	const makeId = idMaker(['p.b', 'p.b-2']);
	expect([makeId('p.b'), makeId('p.b'), makeId('q')]).toEqual(['p.b-3', 'p.b-4', 'q']);
});

test('copies are laid into the zones that hold them all, and a tight one where one is enough', () => {
	const { shelf, ...rest } = demoContext();
	const zones = [
		{ id: 'a', name: 'A', x: 0, y: 0, length: 15, width: 10 },
		{ id: 'b', name: 'B', x: 15, y: 0, length: 15, width: 10 },
		{ id: 'both', name: 'Both', x: 0, y: 0, length: 30, width: 10 }
	];
	const squares = shelf.find(({ id }) => id === 'two-touch-squares') as Drill;
	const drill: Drill = {
		...squares,
		ground: { length: 10, width: 10 },
		hazards: {},
		rungs: [],
		coaches: { min: 0, ideal: 0 }
	};
	const empty = { ...demoPractice(), periods: [] };
	const around = toContext({ ...rest, drills: [drill], ground: { ...rest.ground, zones } });
	const zonesFor = (players: number) => {
		const expected = empty.expected.slice(0, players);
		const plan = { practice: { ...empty, expected }, context: around };
		const period = periodFromDrill(plan, { drill, id: 'p', minutes: 10 });
		return period?.lanes[0].blocks[0].copies.map(({ zoneId }) => zoneId);
	};
	expect(zonesFor(4)).toEqual(['a']);
	expect(zonesFor(18)).toEqual(['both', 'both', 'both']);
});
