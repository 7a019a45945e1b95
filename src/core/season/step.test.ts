import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { placeOf } from '../../../tests/support/place';
import { adviceOn, step } from '.';

/** The chance that a share is over `p`, by adding up the density of Beta(1 + clean, 1 + misses) in thin slices. */
function integrated(p: number, clean: number, tries: number): number {
	const SLICES = 20_000;
	const density = (x: number) => x ** clean * (1 - x) ** (tries - clean);
	let [over, all] = [0, 0];
	for (let k = 0; k < SLICES; k += 1) {
		const x = (k + 0.5) / SLICES;
		all += density(x);
		if (x > p) over += density(x);
	}
	return over / all;
}

describe('step', () => {
	test('gives the chances that integrating the density gives', () => {
		for (const [clean, tries] of [
			[0, 0],
			[3, 3],
			[7, 13],
			[17, 20],
			[30, 60]
		]) {
			const { above, below } = adviceOn(clean, tries, [0.55, 0.75]);
			expect(above).toBeCloseTo(integrated(0.75, clean, tries), 3);
			expect(below).toBeCloseTo(1 - integrated(0.55, clean, tries), 3);
		}
	});

	test('never advises on fewer than eight tries, and needs as few more as a walk through them finds', () => {
		const tally = fc.nat(40).chain((tries) => fc.tuple(fc.nat(tries), fc.constant(tries)));
		fc.assert(
			fc.property(tally, ([clean, tries]) => {
				const now = adviceOn(clean, tries);
				if (tries < 8) expect(now.advice).toBe('stay');
				expect(now.above + now.below).toBeLessThanOrEqual(1 + 1e-9);
				let more = 1;
				const changes = (k: number) =>
					adviceOn(clean + k, tries + k).advice !== now.advice ||
					adviceOn(clean, tries + k).advice !== now.advice;
				while (more <= 50 && !changes(more)) more += 1;
				expect(now.moreTries).toBe(more <= 50 ? more : null);
			}),
			{ numRuns: 60 }
		);
	});

	test('sums the whole, keeps the order, and says where one group goes up while another goes down', () => {
		const tallies = [
			{ who: 'K', clean: 20, tries: 20 },
			{ who: 'L', clean: 6, tries: 20 }
		];
		const outcome = step({ tallies });
		if (!outcome.ok) throw new Error(outcome.failure.message);
		const { whole, each, split } = outcome.value;
		expect(whole).toMatchObject({ clean: 26, tries: 40, advice: 'stay' });
		expect(each.map(({ who, advice }) => [who, advice])).toEqual([
			['K', 'up'],
			['L', 'down']
		]);
		expect(split).toBe(true);
		expect(step({ tallies: [] })).toMatchObject({ ok: true, value: { each: [], split: false } });
		const many = adviceOn(700_000, 1_000_000);
		expect(many).toMatchObject({ advice: 'stay', moreTries: null });
	});

	test.each([
		['window', { tallies: [], window: [0.8, 0.6] }],
		['window', { tallies: [], window: [0, 0.6] }],
		['tallies[0].clean', { tallies: [{ who: 'K', clean: 3, tries: 2 }] }]
	])('refuses what is wrong at %s', (path, input) => {
		expect(placeOf(step(input))).toBe(path);
	});
});
