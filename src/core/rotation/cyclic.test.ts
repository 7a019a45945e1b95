import { expect, test } from 'vitest';
import { cyclicSlots } from '.';

test('every group is at every station once and never shares one', () => {
	for (const count of [2, 3, 4, 7]) {
		const slots = cyclicSlots(count, count);
		for (let station = 0; station < count; station += 1)
			expect(
				slots
					.map((at) => at[station])
					.flat()
					.sort()
			).toEqual(slots.map((_, k) => k));
		for (const at of slots) expect(new Set(at.flat()).size).toBe(count);
	}
});

test('with more groups than stations each still visits each once and rests in between', () => {
	const slots = cyclicSlots(5, 3);
	expect(slots).toHaveLength(5);
	for (let group = 0; group < 5; group += 1) {
		const visits = slots.flatMap((at) =>
			at.flatMap((list, station) => (list.includes(group) ? [station] : []))
		);
		expect(visits.toSorted()).toEqual([0, 1, 2]);
	}
});
