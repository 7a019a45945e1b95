import { describe, expect, test } from 'vitest';
import { evaluate, type State } from '$core/playing';
import { demoContext, demoPractice } from '../../../../tests/support/demo';
import { inMarks, mostIdleFirst, statePaths } from './layout';

const evaluation = evaluate(demoPractice(), demoContext());
const tracks = [...evaluation.players.values()];

const seconds = (
	list: readonly { state: State; fromSecond: number; toSecond: number }[],
	state: State
) =>
	list
		.filter((each) => each.state === state)
		.reduce((sum, each) => sum + each.toSecond - each.fromSecond, 0);

describe('the strip', () => {
	test('shows in marks of a minute what the track holds, to within a minute a state', () => {
		for (const track of tracks) {
			const marks = inMarks(track, 60);
			expect(marks.at(-1)?.toSecond).toBe(90 * 60);
			for (const state of ['active', 'help', 'wait', 'listen', 'water'] as const)
				expect(Math.abs(seconds(marks, state) - seconds(track, state))).toBeLessThanOrEqual(120);
		}
	});

	test('shows a stretch as it is where it fills its marks', () => {
		const at = (fromSecond: number, toSecond: number, state: State) => ({
			fromSecond,
			toSecond,
			state,
			place: null,
			block: null,
			copy: null,
			spot: null
		});
		const track = [at(0, 120, 'active'), at(120, 240, 'water'), at(240, 300, 'wait')];
		expect(inMarks(track, 60)).toEqual([
			{ fromSecond: 0, toSecond: 120, state: 'active' },
			{ fromSecond: 120, toSecond: 240, state: 'water' },
			{ fromSecond: 240, toSecond: 300, state: 'wait' }
		]);
		expect(inMarks([], 60)).toEqual([]);
	});

	test('draws one path a state over all rows', () => {
		const paths = statePaths(tracks, { rowHeight: 5, scale: 0.1, markSeconds: 60 });
		expect([...paths.keys()]).toContain('wait');
		for (const path of paths.values()) expect(path).not.toMatch(/NaN|undefined|-h/);
		expect(paths.get('water')?.match(/M/g)?.length).toBeGreaterThanOrEqual(tracks.length);
	});

	test('puts who waits most on top', () => {
		const waits = mostIdleFirst(evaluation.figures.players).map((player) => player.seconds.wait);
		expect(waits).toEqual(waits.toSorted((a, b) => b - a));
	});
});
