import { describe, expect, test } from 'vitest';
import { simpleDrill } from '../../../tests/support/drills';
import type { Drill } from '../model/drill';
import type { Block, Practice } from '../model/practice';
import { drillAlone, evaluate, laidCopies, stepsOf } from '.';

const ladder: Drill = simpleDrill({
	group: { min: 3, ideal: 7, max: 14 },
	spots: [
		{ id: 'two', role: 'worker', count: 2, line: true, x: 2, y: 1 },
		{ id: 'one', role: 'opponent', count: 1, line: true, x: 8, y: 4 }
	],
	rotation: { moves: {} },
	sides: { names: ['this end', 'that end'], mirror: { 'that end': 'x' } },
	rungs: [
		{
			id: 'three-two',
			name: 'Three against two',
			change: 'One more each',
			lever: 'opponents',
			set: {
				group: { min: 5, ideal: 7, max: 14 },
				spots: [
					{ id: 'two', role: 'worker', count: 3, line: true, x: 2, y: 1 },
					{ id: 'one', role: 'opponent', count: 2, line: true, x: 8, y: 4 }
				]
			}
		}
	]
});
const alone = (climb: Block['climb'], minutes = 10) =>
	drillAlone(ladder, { players: 7, climb, minutes, adults: 0 });

/** The practice with a change of its only block. */
function withBlock(practice: Practice, change: (block: Block) => Block): Practice {
	const [period] = practice.periods;
	const [lane] = period.lanes;
	const lanes = [{ ...lane, blocks: lane.blocks.map(change) }];
	return { ...practice, periods: [{ ...period, lanes }] };
}

describe('a climb by turns', () => {
	const climb: Block['climb'] = [
		{ turns: 4, side: 'this end' },
		{ rung: 'three-two', turns: 4, side: 'that end' }
	];
	const { practice, context } = alone(climb);
	const evaluation = evaluate(practice, context);
	const [played] = evaluation.runs;

	test('goes round: four turns on each step, each on its end, until the time is over', () => {
		expect(played.fault).toBeNull();
		const steps = played.passes.map(({ step }) => step);
		expect(steps).toEqual(steps.map((_, index) => index % 2));
		for (const { step, fromSecond, toSecond } of played.passes.slice(0, -1)) {
			const turns = played.turns.filter(
				({ second }) => second >= fromSecond - 1e-6 && second < toSecond - 1e-6
			);
			expect(turns.map(({ side }) => side)).toEqual(Array(4).fill(climb[step].side));
		}
	});

	test('has steps without gaps, and everybody somewhere at every second', () => {
		const steps = stepsOf(played);
		expect(steps[0].fromSecond).toBe(0);
		expect(steps.at(-1)?.toSecond).toBe(600);
		steps.slice(1).forEach((step, k) => expect(step.fromSecond).toBe(steps[k].toSecond));
		for (const track of played.intervals) {
			expect(track[0].fromSecond).toBe(0);
			expect(track.at(-1)?.toSecond).toBeCloseTo(600, 6);
			track
				.slice(1)
				.forEach((each, k) => expect(each.fromSecond).toBeCloseTo(track[k].toSecond, 6));
		}
	});

	test('is drawn mirrored on the side that says so', () => {
		const [first, second] = played.passes;
		const at = (moment: number) => laidCopies(evaluation, moment)[0];
		const [here, there] = [at(first.fromSecond + 1), at(second.fromSecond + 1)];
		expect([here.side, there.side]).toEqual(['this end', 'that end']);
		const along = (laid: typeof here, spot: string) => {
			const point = laid.spots.get(spot);
			return point ? point[laid.turned ? 'y' : 'x'] - laid.corner[laid.turned ? 'y' : 'x'] : NaN;
		};
		const whole = here.turned ? here.size.width : here.size.length;
		expect(along(here, 'two') + along(there, 'two')).toBeCloseTo(whole, 6);
	});

	test('of more passes than can be watched does not run, and says why', () => {
		const fast = { ...ladder, turn: { workSeconds: 0.5, headwaySeconds: 0.5 } };
		const { practice: long, context: there } = drillAlone(fast, {
			...{ players: 7, minutes: 600, adults: 0 },
			climb: [{ turns: 1 }]
		});
		const [run] = evaluate(long, there).runs;
		expect(run.fault).toMatchObject({ code: 'bad-input', path: ['climb'] });
		expect(stepsOf(run)).toHaveLength(1);
	});
});

test('copies climb on their own where they say so', () => {
	const { practice, context } = alone([{ minutes: 10 }]);
	const two = withBlock(practice, (block) => ({
		...block,
		copies: [
			{ id: 'a', zoneId: 'copy', players: ['1', '2', '3'], adults: [] },
			{
				id: 'b',
				zoneId: 'copy',
				players: ['4', '5', '6', '7'],
				adults: [],
				climb: [{ minutes: 4 }, { rung: 'three-two', minutes: 6 }]
			}
		]
	}));
	const [a, b] = evaluate(two, context).runs;
	expect(stepsOf(a)).toHaveLength(1);
	// Four are too few for the second step: that copy does not run, the other does.
	expect([a.fault, b.fault?.code]).toEqual([null, 'too-few-players']);
});

test('what was played before is the same at another time', () => {
	const { practice, context } = alone([{ minutes: 6 }, { rung: 'three-two', minutes: 4 }]);
	const [period] = practice.periods;
	const talk = { ...period, id: 'talk', kind: 'talk' as const, minutes: 3, lanes: [] };
	const before = evaluate(practice, context);
	const later = { ...practice, periods: [talk, period] };
	const [again] = evaluate(later, context, before).runs;
	expect(again).toEqual(evaluate(later, context).runs[0]);
	expect(again.tallies).toBe(before.runs[0].tallies);
});
