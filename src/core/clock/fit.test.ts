import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { fit, type FitInput } from '.';

const period = fc
	.tuple(
		fc.integer({ min: 0, max: 20 }),
		fc.integer({ min: 0, max: 20 }),
		fc.integer({ min: 0, max: 20 }),
		fc.constantFrom<'must' | 'should' | 'could'>('must', 'should', 'could'),
		fc.boolean()
	)
	.map(([min, more, most, rank, fixed]) => ({
		min,
		ideal: min + more,
		max: min + more + most,
		rank,
		fixed
	}));

const inputs = fc
	.tuple(fc.integer({ min: 0, max: 150 }), fc.array(period, { maxLength: 8 }))
	.map(([minutes, periods]): FitInput => ({
		minutes,
		periods: periods.map((each, k) => ({ id: `p${k}`, ...each }))
	}));

describe('fit', () => {
	test('uses every minute: what is planned and what is spare add up to the time', () => {
		fc.assert(
			fc.property(inputs, (input) => {
				const outcome = fit(input);
				if (!outcome.ok) return;
				const { minutes, spare, dropped } = outcome.value;
				const planned = Object.values(minutes).reduce((a, b) => a + b, 0);
				expect(planned + spare).toBe(input.minutes);
				for (const { id, min, ideal, max, fixed } of input.periods) {
					if (dropped.includes(id)) continue;
					expect(minutes[id]).toBeGreaterThanOrEqual(fixed ? ideal : min);
					expect(minutes[id]).toBeLessThanOrEqual(fixed ? ideal : max);
				}
			}),
			{ seed: 21, numRuns: 400 }
		);
	});

	test('leaves time over only where nothing can be stretched, and shrinks a must only after the others', () => {
		fc.assert(
			fc.property(inputs, (input) => {
				const outcome = fit(input);
				if (!outcome.ok) return;
				const { minutes, spare } = outcome.value;
				const kept = input.periods.filter(({ id }) => id in minutes);
				const free = kept.filter(({ fixed }) => !fixed);
				if (spare > 0) for (const { id, max } of free) expect(minutes[id]).toBe(max);
				const isShrunk = free.some(({ id, ideal, rank }) => rank === 'must' && minutes[id] < ideal);
				if (isShrunk)
					for (const { id, min, rank } of free) if (rank !== 'must') expect(minutes[id]).toBe(min);
			}),
			{ seed: 22, numRuns: 400 }
		);
	});

	test('drops could before should, the last first, and no more than it must', () => {
		const periods = [
			{ id: 'a', min: 10, ideal: 10, max: 10, rank: 'must' as const },
			{ id: 'b', min: 10, ideal: 10, max: 10, rank: 'could' as const },
			{ id: 'c', min: 10, ideal: 10, max: 10, rank: 'should' as const },
			{ id: 'd', min: 10, ideal: 10, max: 10, rank: 'could' as const }
		];
		const dropped = (minutes: number) => {
			const outcome = fit({ minutes, periods });
			return outcome.ok ? outcome.value.dropped : outcome.failure;
		};
		expect(dropped(39)).toEqual(['d']);
		expect(dropped(20)).toEqual(['d', 'b']);
		expect(dropped(10)).toEqual(['d', 'b', 'c']);
		expect(dropped(9)).toMatchObject({ code: 'infeasible', short: 1 });
	});

	test('keeps ids that are names of JavaScript itself', () => {
		const outcome = fit({
			minutes: 5,
			periods: [{ id: '__proto__', min: 1, ideal: 5, max: 5, rank: 'must' }]
		});
		expect(JSON.stringify(outcome)).toContain('"__proto__":5');
	});

	test('refuses bad minutes with their place', () => {
		const bad = (fields: object, minutes = 10) =>
			fit({ minutes, periods: [{ id: 'a', min: 1, ideal: 2, max: 3, rank: 'must', ...fields }] });
		expect(bad({}, 1.5)).toMatchObject({ failure: { path: ['minutes'] } });
		expect(bad({ ideal: 0 })).toMatchObject({ failure: { path: ['periods', 0, 'ideal'] } });
		expect(bad({ max: 1 })).toMatchObject({ failure: { path: ['periods', 0, 'max'] } });
		expect(bad({ min: -1 })).toMatchObject({ failure: { path: ['periods', 0, 'min'] } });
	});
});
