import fc from 'fast-check';
import { Check } from 'typebox/value';
import { describe, expect, test } from 'vitest';
import { SimulateInput } from '../core/drill';
import { Practice } from '../core/model/practice';
import { Edit } from '../core/practice';
import { demoPractice } from '../../tests/support/demo';
import { simpleDrill } from '../../tests/support/drills';
import { readJson, readShape } from '.';

/** A copy of a JSON value with one place in it changed. */
function spoil(value: unknown, steps: readonly number[], put: unknown): unknown {
	const copy = structuredClone(value) as Record<string, unknown>;
	let at = copy;
	for (const step of steps) {
		const keys = Object.keys(at);
		if (keys.length === 0) break;
		const key = keys[step % keys.length];
		const next = at[key];
		if (next === null || typeof next !== 'object' || step % 5 === 0) {
			at[key] = put;
			break;
		}
		at = next as Record<string, unknown>;
	}
	return copy;
}

const anything = fc.constantFrom(
	null,
	0,
	-1,
	1.5,
	Infinity,
	'',
	'x',
	[],
	{},
	true,
	'worker',
	[1, 2]
);

describe('readShape', () => {
	test('takes and refuses just what the checker in the browser does', () => {
		const practice = demoPractice();
		const samples: [Parameters<typeof readShape>[0], unknown][] = [
			[Practice, practice],
			[SimulateInput, { drill: simpleDrill(), players: 4, minutes: 5 }],
			[Edit, { type: 'add-period', period: practice.periods[3], after: null }]
		];
		fc.assert(
			fc.property(
				fc.nat(2),
				fc.array(fc.nat(30), { minLength: 1, maxLength: 9 }),
				anything,
				(k, steps, put) => {
					const [schema, value] = samples[k];
					const spoiled = spoil(value, steps, put);
					expect(readShape(schema, spoiled).ok).toBe(Check(schema, spoiled));
				}
			),
			{ seed: 4, numRuns: 600 }
		);
	});

	const misfit = (schema: Parameters<typeof readShape>[0], value: unknown) => {
		const read = readShape(schema, value);
		return read.ok ? 'fits' : read.failure;
	};

	test('names the place and what was expected', () => {
		const drill = simpleDrill();
		const at = (fields: object) =>
			misfit(SimulateInput, { drill: { ...drill, ...fields }, players: 4 });
		expect(at({ effort: 11 })).toEqual({
			path: ['drill', 'effort'],
			message: 'expected 10 or less'
		});
		expect(at({ spots: [{ id: 'a', role: 'goat', count: 1 }] })).toMatchObject({
			path: ['drill', 'spots', 0, 'role']
		});
		expect(at({ colour: 'red' })).toEqual({
			path: ['drill', 'colour'],
			message: 'is not a known key'
		});
		expect(misfit(SimulateInput, { drill })).toEqual({ path: ['players'], message: 'is missing' });
	});

	test('in a union speaks of the member that was meant', () => {
		expect(misfit(Edit, { type: 'move-period', period: 7, after: null })).toEqual({
			path: ['period'],
			message: 'expected string'
		});
		expect(misfit(Edit, { type: 'set-minutes', periods: { a: 0 }, blocks: {} })).toMatchObject({
			path: ['periods', 'a']
		});
		expect(misfit(Edit, { type: 'explode' })).toMatchObject({ path: ['type'] });
	});

	test('refuses keys that would reach for a prototype', () => {
		const read = readJson(
			SimulateInput,
			`{"drill": ${JSON.stringify(simpleDrill())}, "players": 4, "minutes": 5, "__proto__": {"rung": "x"}}`
		);
		expect(read).toMatchObject({ ok: false, failure: { path: ['__proto__'] } });
	});

	test('says of text that it is no JSON', () => {
		expect(readJson(SimulateInput, '{')).toMatchObject({ ok: false, failure: { path: [] } });
	});
});
