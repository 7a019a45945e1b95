import fc from 'fast-check';
import { expect, test } from 'vitest';
import { sameValue } from '.';

const turned = (value: unknown): unknown => {
	if (Array.isArray(value)) return value.map(turned);
	if (value === null || typeof value !== 'object') return value;
	return Object.fromEntries(
		Object.entries(value)
			.reverse()
			.map(([key, each]) => [key, turned(each)])
	);
};

test('the order of keys does not matter, everything else does', () => {
	fc.assert(
		fc.property(fc.jsonValue(), fc.jsonValue(), (a, b) => {
			expect(sameValue(a, turned(a))).toBe(true);
			const sorted = (value: unknown): string =>
				JSON.stringify(value, (_, each) =>
					each && typeof each === 'object' && !Array.isArray(each)
						? Object.fromEntries(Object.entries(each).sort())
						: each
				);
			expect(sameValue(a, b)).toBe(sorted(a) === sorted(b));
		}),
		{ seed: 1, numRuns: 300 }
	);
	expect(sameValue([1], { 0: 1 })).toBe(false);
	expect(sameValue({ a: 1 }, { b: 1 })).toBe(false);
});
