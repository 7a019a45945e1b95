import { greatest, sum } from 'd3-array';

/** A part of a practice whose minutes are still open: so many at least, and no more than that. */
export interface Slot {
	id: string;
	least: number;
	most: number;
	/** What one more minute is worth where it has so many: the greatest is served first. */
	worth: (minutes: number) => number;
	/** Whether it comes right after a drink where that can be: it is hard, and so is what comes before, or slow to lay out. */
	wantsDrink?: boolean;
}

/** A practice cut into minutes: parts by their id with drinks (null) between, and the minutes that nothing fills. */
export interface Outline {
	parts: { id: string | null; minutes: number }[];
	open: number;
}

/** Slots that follow each other without a drink. */
type Stretch = readonly Slot[];

/** Minutes of a drink. */
export const DRINK = 2;

const leastIn = (slots: Stretch) => sum(slots, ({ least }) => least);

/** Minutes that a stretch can take at most; null where it is longer than players go without water. */
function roomIn(stretch: Stretch, limit: number): number | null {
	const fewest = leastIn(stretch);
	if (fewest > limit) return stretch.length === 1 ? fewest : null;
	return Math.min(
		Math.floor(limit),
		sum(stretch, ({ most }) => most)
	);
}

/** What a way of stretches has: room for minutes, and how many slots got the drink before them that they want. */
interface Way {
	room: number;
	eased: number;
	stretches: Stretch[];
}

const isRoomier = (way: Way, than: Way | null | undefined): boolean =>
	!than || way.room > than.room || (way.room === than.room && way.eased > than.eased);

/**
 * The slots with 0, 1, 2 … drinks among them, each in the way with the most room for minutes; null where
 * so few drinks are too few.
 */
function withDrinks(slots: readonly Slot[], limit: number): (Way | null)[] {
	// best[n][k]: the first n slots in k stretches.
	const best: (Way | null)[][] = [[{ room: 0, eased: 0, stretches: [] }]];
	for (let end = 1; end <= slots.length; end += 1) {
		best[end] = [null];
		for (let count = 1; count <= end; count += 1) {
			best[end][count] = null;
			for (let start = end - 1; start >= count - 1; start -= 1) {
				const last = slots.slice(start, end);
				const [before, room] = [best[start][count - 1], roomIn(last, limit)];
				if (room === null) break;
				if (!before) continue;
				const way = {
					room: before.room + room,
					eased: before.eased + Number(start > 0 && last[0].wantsDrink === true),
					stretches: [...before.stretches, last]
				};
				if (isRoomier(way, best[end][count])) best[end][count] = way;
			}
		}
	}
	return best[slots.length].slice(1);
}

/** Nobody wants a drink again before so many minutes. */
const DRINK_AGAIN = 8;

/**
 * The minutes of the slots of a way: each its least, stretches between two drinks as much as makes players thirsty,
 * then one by one to where a minute is worth most.
 */
function filled({ stretches }: Way, minutes: number, limit: number): number[][] {
	const given = stretches.map((stretch) => stretch.map(({ least }) => least));
	let left = minutes - sum(given, (each) => sum(each));
	for (const [at, stretch] of stretches.entries()) {
		if (at === 0 || at === stretches.length - 1) continue;
		for (const [k, { most }] of stretch.entries()) {
			const more = Math.min(left, most - given[at][k], DRINK_AGAIN - sum(given[at]));
			if (more <= 0) continue;
			given[at][k] += more;
			left -= more;
		}
	}
	while (left > 0) {
		const open = stretches.flatMap((stretch, at) =>
			sum(given[at]) + 1 > limit
				? []
				: stretch
						.map((slot, k) => ({ slot, at, k, now: given[at][k] }))
						.filter(({ slot, now }) => now < slot.most)
		);
		const next = greatest(open, (a, b) => a.slot.worth(a.now) - b.slot.worth(b.now));
		if (!next) break;
		given[next.at][next.k] += 1;
		left -= 1;
	}
	return given;
}

/** How many drinks so many minutes have at least, however they are cut. */
const fewestDrinks = (minutes: number, limit: number): number =>
	Math.max(0, Math.ceil((minutes - limit) / (limit + DRINK)));

/**
 * Slots in their order in so many minutes, with a drink between stretches that are no longer than `limit`. Minutes
 * left open cost as much as drinks that nobody needs, unless drinks may fill them; then come as few drinks as can
 * be, then those that hard work wants. Null where not even the least of all fits.
 */
export function outlineOf(
	slots: readonly Slot[],
	{ minutes, limit, drinksFill = false }: { minutes: number; limit: number; drinksFill?: boolean }
): Outline | null {
	if (slots.length === 0) return { parts: [], open: minutes };
	const fewest = leastIn(slots);
	const needed = fewestDrinks(minutes, limit);
	const ways = withDrinks(slots, limit).flatMap((way, drinks) => {
		const left = minutes - DRINK * drinks;
		if (!way || fewest > left) return [];
		const open = left - Math.min(left, way.room);
		const spent = drinksFill ? open : open + DRINK * Math.max(0, drinks - needed);
		return [{ way, left: left - open, open, spent, drinks }];
	});
	const best = greatest(
		ways,
		(a, b) => b.spent - a.spent || b.drinks - a.drinks || a.way.eased - b.way.eased
	);
	if (!best) return null;
	const given = filled(best.way, best.left, limit);
	const parts = best.way.stretches.flatMap((stretch, at) => [
		...(at === 0 ? [] : [{ id: null, minutes: DRINK }]),
		...stretch.map(({ id }, k) => ({ id, minutes: given[at][k] }))
	]);
	return { parts, open: best.open };
}
