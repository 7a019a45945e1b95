import { rollup } from 'd3-array';
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { callsOf } from '.';

const PROMPTS = ['left', 'right', 'stop', 'back', 'up'];

test('calls are even at every turn, never twice in a row, and the same for a seed', () => {
	fc.assert(
		fc.property(
			fc.integer({ min: 2, max: 5 }),
			fc.integer({ min: 1, max: 60 }),
			fc.integer({ min: 1, max: 999 }),
			(many, turns, seed) => {
				const prompts = PROMPTS.slice(0, many);
				const calls = callsOf(prompts, turns, seed / 1000);
				expect(calls).toHaveLength(turns);
				const counts = rollup(
					calls,
					(own) => own.length,
					(call) => call
				);
				const times = prompts.map((prompt) => counts.get(prompt) ?? 0);
				expect(Math.max(...times) - Math.min(...times)).toBeLessThanOrEqual(1);
				expect(calls.some((call, turn) => turn > 0 && call === calls[turn - 1])).toBe(false);
				expect(callsOf(prompts, turns, seed / 1000)).toEqual(calls);
			}
		),
		{ seed: 6, numRuns: 200 }
	);
});

test('calls differ by their seed, and there are none without prompts', () => {
	const of = (seed: number) => callsOf(PROMPTS, 20, seed).join();
	expect(new Set([0.1, 0.2, 0.3, 0.4].map(of)).size).toBe(4);
	expect(callsOf([], 5, 0.5)).toEqual([]);
	expect(callsOf(['go'], 3, 0.5)).toEqual(['go', 'go', 'go']);
});
