import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { fit, type FitInput } from './clock';
import { simulate, type SimulateInput } from './drill';
import { due, step, type DueInput, type StepInput } from './season';
import { size, type SizeInput } from './sizing';
import type { Outcome } from './base';

const folder = new URL('../../tests/contracts/', import.meta.url);
const run: Record<string, (input: unknown) => Outcome<unknown>> = {
	simulate: (input) => simulate(input as SimulateInput),
	size: (input) => size(input as SizeInput),
	fit: (input) => fit(input as FitInput),
	step: (input) => step(input as StepInput),
	due: (input) => due(input as DueInput)
};

/** Every field of `expected` is in `actual` with the same value, numbers within 1e-6. */
function expectIncludes(actual: unknown, expected: unknown, at: string): void {
	if (typeof expected === 'number') {
		expect(typeof actual, at).toBe('number');
		expect(Math.abs((actual as number) - expected), at).toBeLessThanOrEqual(1e-6);
	} else if (Array.isArray(expected)) {
		expect((actual as unknown[]).length, at).toBe(expected.length);
		expected.forEach((value, k) => expectIncludes((actual as unknown[])[k], value, `${at}[${k}]`));
	} else if (expected && typeof expected === 'object') {
		for (const [key, value] of Object.entries(expected))
			expectIncludes((actual as Record<string, unknown>)[key], value, `${at}.${key}`);
	} else expect(actual, at).toEqual(expected);
}

describe('contracts', () => {
	for (const file of readdirSync(folder))
		test(file, () => {
			const {
				command,
				input,
				expect: expected
			} = JSON.parse(readFileSync(new URL(file, folder), 'utf8'));
			const outcome = run[command](input);
			expectIncludes(outcome.ok ? outcome.value : { error: outcome.failure }, expected, '');
		});
});
