import { describe, expect, test } from 'vitest';
import { evaluate } from '$core/playing';
import { demoContext, demoPractice } from '../../../../tests/support/demo';
import { lanesOf, layPivot } from './pivots';
import { speaker } from '$words';

const say = speaker(undefined);

const evaluation = evaluate(demoPractice(), demoContext());
const lay = (pivot: Parameters<typeof lanesOf>[1]) => {
	const lanes = lanesOf(evaluation, pivot, say);
	return { lanes, blocks: layPivot(evaluation, pivot, { lanes }) };
};
const seconds = (blocks: ReturnType<typeof layPivot>) =>
	blocks.reduce(
		(sum, { runs }) => sum + runs.reduce((s, r) => s + r.toSecond - r.fromSecond, 0),
		0
	);

describe('the pivots of the tape', () => {
	test('by group: each group goes through the stations one after another', () => {
		const { lanes, blocks } = lay('group');
		expect(lanes.map(({ name }) => name)).toEqual(['K', 'L', 'M', 'N', 'No bib']);
		for (const column of [0, 1, 2, 3]) {
			const stops = blocks.filter(
				(block) => block.window.period.slots && block.column === column && block.columns === 1
			);
			expect(new Set(stops.map(({ blockId }) => blockId)).size).toBe(4);
			const order = stops.map(({ fromSecond }) => fromSecond);
			expect(order).toEqual([...order].sort((a, b) => a - b));
		}
	});

	test('by adult: what has nobody stands in a lane of its own, and nobody is lost', () => {
		const { lanes, blocks } = lay('adult');
		const { practice, runs } = evaluation;
		expect(lanes.slice(0, practice.adults.length).map(({ id }) => id)).toEqual(practice.adults);
		const asked = runs.reduce(
			(sum, { run }) => sum + Math.max(1, run.adults.length) * (run.toSecond - run.fromSecond),
			0
		);
		expect(seconds(blocks)).toBe(asked);
	});

	test('by player: every player has a lane with every run of theirs', () => {
		const { lanes, blocks } = lay('player');
		expect(lanes.map(({ id }) => id)).toEqual(evaluation.practice.expected);
		const asked = evaluation.runs.reduce(
			(sum, { run }) => sum + run.players.length * (run.toSecond - run.fromSecond),
			0
		);
		expect(seconds(blocks)).toBe(asked);
	});

	test('of an empty practice has lanes and no blocks', () => {
		const empty = evaluate({ ...demoPractice(), periods: [] }, demoContext());
		expect(layPivot(empty, 'group', { lanes: lanesOf(empty, 'group', say) })).toEqual([]);
	});
});
