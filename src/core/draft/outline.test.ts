import { randomLcg } from 'd3-random';
import { describe, expect, test } from 'vitest';
import { DRINK, outlineOf, type Outline, type Slot } from './outline';

const slot = (id: string, least: number, most: number, more: Partial<Slot> = {}): Slot => ({
	...{ id, least, most, worth: () => 1 },
	...more
});
const minutesIn = ({ parts }: Outline) => parts.reduce((sum, { minutes }) => sum + minutes, 0);
const drinksIn = ({ parts }: Outline) => parts.filter(({ id }) => id === null).length;

/** Stretches between two drinks. */
function stretches({ parts }: Outline): Outline['parts'][] {
	const found: Outline['parts'][] = [[]];
	for (const part of parts)
		if (part.id === null) found.push([]);
		else found[found.length - 1].push(part);
	return found;
}

describe('any slots, minutes and limits', () => {
	test.each(Array.from({ length: 200 }, (_, seed) => seed))('are cut soundly: %i', (seed) => {
		const random = randomLcg((seed + 0.5) / 200);
		const upTo = (most: number) => Math.floor(random() * most);
		const limit = 12 + upTo(20);
		const slots = Array.from({ length: 1 + upTo(9) }, (_, k) => {
			const least = 3 + upTo(8);
			return slot(`s${k}`, least, least + upTo(10));
		});
		const minutes = 20 + upTo(120);
		const cut = outlineOf(slots, { minutes, limit });
		const fewest = slots.reduce((sum, { least }) => sum + least, 0);
		if (!cut) {
			expect(fewest + DRINK * (Math.ceil(fewest / limit) - 1)).toBeGreaterThan(
				minutes - DRINK * slots.length
			);
			return;
		}
		expect(minutesIn(cut) + cut.open).toBe(minutes);
		expect(cut.parts.filter(({ id }) => id !== null).map(({ id }) => id)).toEqual(
			slots.map(({ id }) => id)
		);
		for (const { id, least, most } of slots) {
			const own = cut.parts.find((part) => part.id === id)?.minutes ?? 0;
			expect(own >= least && own <= most).toBe(true);
		}
		for (const stretch of stretches(cut)) {
			expect(stretch.length).toBeGreaterThan(0);
			const long = stretch.reduce((sum, part) => sum + part.minutes, 0);
			if (stretch.length > 1) expect(long).toBeLessThanOrEqual(limit);
		}
	});
});

test('no way to cut the same slots leaves fewer minutes open, where a drink that nobody needs counts as open', () => {
	for (let minutes = 40; minutes <= 110; minutes += 3)
		for (const drinksFill of [false, true]) {
			const sizes: [number, number][] = [
				[10, 12],
				[13, 18],
				[6, 12],
				[6, 12],
				[16, 18]
			];
			const cut = outlineOf(
				sizes.map(([least, most], k) => slot(`s${k}`, least, most)),
				{ minutes, limit: 20, drinksFill }
			);
			// So many drinks there are at least: 20 minutes between them, 2 for each.
			const needed = [0, 1, 2, 3, 4, 5].find((k) => 20 * (k + 1) + 2 * k >= minutes) ?? 6;
			const byHand = Array.from({ length: 5 }, (_, drinks) => {
				const found = mostIn(sizes, drinks, minutes);
				if (found === null) return [];
				const open = minutes - DRINK * drinks - found;
				const idle = drinksFill ? 0 : DRINK * Math.max(0, drinks - needed);
				return [{ drinks, open, spent: open + idle }];
			}).flat();
			if (byHand.length === 0) {
				expect(cut, `${minutes} min`).toBeNull();
				continue;
			}
			const spent = Math.min(...byHand.map((each) => each.spent));
			const best = byHand.filter((each) => each.spent === spent);
			const fewest = best.reduce((a, b) => (b.drinks < a.drinks ? b : a));
			expect(drinksIn(cut as Outline), `${minutes} min`).toBe(fewest.drinks);
			expect(cut?.open, `${minutes} min`).toBe(fewest.open);
		}
});

/** The most minutes that slots fill with so many drinks, every place for a drink tried; null where it cannot be. */
function mostIn(sizes: [number, number][], drinks: number, minutes: number): number | null {
	let best: number | null = null;
	const joints = sizes.length - 1;
	for (let mask = 0; mask < 2 ** joints; mask += 1) {
		const cut = Array.from({ length: joints }, (_, k) => (mask >> k) & 1);
		if (cut.reduce((sum, one) => sum + one, 0) !== drinks) continue;
		const runs: [number, number][] = [[0, 0]];
		for (const [k, [least, most]] of sizes.entries()) {
			const [low, high] = runs[runs.length - 1];
			runs[runs.length - 1] = [low + least, high + most];
			if (cut[k]) runs.push([0, 0]);
		}
		const low = runs.reduce((sum, run) => sum + run[0], 0);
		if (runs.some((run) => run[0] > 20) || low > minutes - DRINK * drinks) continue;
		const high = runs.reduce((sum, run) => sum + Math.min(20, run[1]), 0);
		best = Math.max(best ?? 0, Math.min(high, minutes - DRINK * drinks));
	}
	return best;
}

test('minutes go where they are worth most, and hard work gets a drink before it where that costs nothing', () => {
	const cut = outlineOf([slot('a', 6, 12), slot('b', 6, 12, { worth: () => 2 })], {
		...{ minutes: 19, limit: 20 }
	});
	expect(cut?.parts).toEqual([
		{ id: 'a', minutes: 7 },
		{ id: 'b', minutes: 12 }
	]);
	const slots = [
		slot('warm', 10, 10),
		slot('press', 8, 8),
		slot('game', 10, 10, { wantsDrink: true })
	];
	const placed = outlineOf(slots, { minutes: 30, limit: 20 });
	expect(placed?.parts.map(({ id }) => id)).toEqual(['warm', 'press', null, 'game']);
});

test('what stands between two drinks lasts until players are thirsty again, whatever a minute is worth elsewhere', () => {
	const slots = [
		slot('warm', 20, 20),
		slot('alone', 6, 12, { worth: () => 0 }),
		slot('game', 16, 20, { worth: () => 9 })
	];
	const cut = outlineOf(slots, { minutes: 48, limit: 20 });
	expect(cut?.parts.map(({ minutes }) => minutes)).toEqual([20, 2, 8, 2, 16]);
	const more = outlineOf(slots, { minutes: 50, limit: 20 });
	expect(more?.parts.map(({ minutes }) => minutes)).toEqual([20, 2, 8, 2, 18]);
});
