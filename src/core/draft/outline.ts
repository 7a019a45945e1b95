import { least as leastBy, sum } from 'd3-array';
import type { Period } from '../model/practice';
import type { Limits } from '../model/limits';

/** How a stretch of work is done: one drill by all, two after each other, stations, or units by themselves. */
export type Form = 'together' | 'pair' | 'stations' | 'units';

/** A part of a practice before drills are chosen. */
export type Part =
	| { kind: 'warm-up' | 'scrimmage' | 'cool-down' | 'talk' | 'water'; minutes: number }
	| { kind: 'work'; form: Form; minutes: number }
	| { kind: 'kept'; period: Period; minutes: number };

/** How the work of a practice is cut. */
export interface Pattern {
	/** Rounds of stations, where there is time for them. */
	rounds: number;
	/** Whether stations come before the rest. */
	isRoundFirst: boolean;
	/** How the rest is done. */
	rest: 'together' | 'pair';
}

/** Where in a practice a period belongs. */
export type Place = 'warm-up' | 'work' | 'game' | 'end';

/** What a practice is to be made of. */
export interface OutlineAsked {
	arc: 'build-up' | 'play-first';
	minutes: number;
	/** Minutes of scrimmage, and the fewest that do where that saves a drink; 0 where none can be played. */
	scrimmage: number;
	leastScrimmage: number;
	hasCoolDown: boolean;
	/** Periods that stay, by where they belong, in their order. */
	kept: Readonly<Record<Place, readonly Period[]>>;
	pattern: Pattern;
	/** Minutes of one round of stations; 0 where too few come for any. */
	roundMinutes: number;
	/** The last stretch of work before the game is given to units. */
	hasUnits: boolean;
	limits: Pick<Limits, 'warmUpMinutes' | 'waterMinutes' | 'talkMinutes'>;
}

/** What a practice usually spends beside its work: minutes, and the share of a game. */
export const USUAL = { warmUp: 10, coolDown: 4, water: 2, scrimmageShare: 0.2 } as const;
const TALK = 2;
/** A stretch of work is no shorter. */
const LEAST_WORK = 6;
/** Other work may be in so many more pieces than it must: shorter ones leave more ways to drink. */
const MORE_PIECES = 2;
/** Where play comes first, the share of the scrimmage that the first game gets. */
const FIRST_GAME = 0.4;
/** What a scrimmage is worth setting up for. */
const LEAST_GAME = 5;
/** Practices shorter than this have no time for more than a warm-up that is long enough. */
const SHORT = 45;

/** A part whose minutes are still open: so many at least, and no more than that. */
interface Slot {
	part: Part;
	least: number;
	most: number;
}

/** Slots that follow each other without a drink. */
type Stretch = readonly Slot[];

/** A way to fill a practice: its stretches, with a drink between each two. */
interface Way {
	stretches: readonly Stretch[];
	/** Minutes for all but drinks, and minutes that nothing fills. */
	minutes: number;
	open: number;
}

const exactly = (part: Part): Slot => ({ part, least: part.minutes, most: part.minutes });
const leastIn = (slots: Stretch) => sum(slots, ({ least }) => least);

/** The work: rounds of stations and so many pieces of other work, each at most a drink long. */
function workSlots(rounds: number, pieces: number, asked: OutlineAsked): Slot[] {
	const { pattern, roundMinutes, hasUnits, limits } = asked;
	const piece = (form: Form): Slot => ({
		part: { kind: 'work', form, minutes: LEAST_WORK },
		least: LEAST_WORK,
		most: Math.max(LEAST_WORK, limits.waterMinutes)
	});
	const stations = Array.from({ length: rounds }, (): Slot => ({
		part: { kind: 'work', form: 'stations', minutes: roundMinutes },
		least: roundMinutes,
		// What is too short for work of its own makes the rounds longer.
		most: roundMinutes + LEAST_WORK - 1
	}));
	// Units work last before the game, where it leaves the others something.
	const areUnitsLast = hasUnits && pieces > 0 && rounds + pieces > 1;
	const rest = Array.from({ length: pieces - Number(areUnitsLast) }, () => piece(pattern.rest));
	const before = pattern.isRoundFirst ? [...stations, ...rest] : [...rest, ...stations];
	return areUnitsLast ? [...before, piece('units')] : before;
}

const stay = (periods: readonly Period[]): Slot[] =>
	periods.map((period) => exactly({ kind: 'kept', period, minutes: period.minutes }));

/** How it ends: what is kept of that, or a cool-down. Nobody works hard there, and it needs no drink before. */
function endOf({ minutes, hasCoolDown, kept }: OutlineAsked): Part[] {
	if (kept.end.length > 0) return stay(kept.end).map(({ part }) => part);
	return hasCoolDown ? [{ kind: 'cool-down', minutes: minutes < SHORT ? 3 : USUAL.coolDown }] : [];
}

/** The parts up to the end in the order of the arc, without water. */
function inOrder(work: readonly Slot[], asked: OutlineAsked): Slot[] {
	const { arc, minutes, scrimmage, leastScrimmage, kept, limits } = asked;
	const isShort = minutes < SHORT;
	const orKept = (place: Place, made: readonly Slot[]) =>
		kept[place].length > 0 ? stay(kept[place]) : made;
	const warmUp = orKept('warm-up', [
		exactly({
			kind: 'warm-up',
			minutes: Math.max(Math.ceil(limits.warmUpMinutes), isShort ? 0 : USUAL.warmUp)
		})
	]);
	const game = (share: number): Slot[] => {
		const most = Math.round(scrimmage * share);
		const least = Math.max(LEAST_GAME, Math.round(leastScrimmage * share));
		return most >= LEAST_GAME
			? [{ part: { kind: 'scrimmage', minutes: most }, least: Math.min(least, most), most }]
			: [];
	};
	const all = [...stay(kept.work), ...work];
	if (arc === 'build-up') return [...warmUp, ...all, ...orKept('game', game(1))];
	// The game shows what does not work yet; then it is worked on, and played again.
	const talk = exactly({ kind: 'talk', minutes: Math.min(TALK, Math.floor(limits.talkMinutes)) });
	const [one, ...others] = kept.game;
	const first = others.length > 0 ? stay([one]) : game(FIRST_GAME);
	const last =
		others.length > 0 ? stay(others) : orKept('game', game(first.length > 0 ? 1 - FIRST_GAME : 1));
	const broke = first.length > 0 && talk.most > 0 ? [talk] : [];
	return [...warmUp, ...first, ...broke, ...all, ...last];
}

/** Minutes that a stretch can take at most; null where it is longer than players go without water. */
function roomIn(stretch: Stretch, limit: number): number | null {
	const fewest = leastIn(stretch);
	if (fewest > limit) return stretch.length === 1 ? fewest : null;
	return Math.min(
		Math.floor(limit),
		sum(stretch, ({ most }) => most)
	);
}

/**
 * The slots with 0, 1, 2 … drinks among them, each in the way with the most room for minutes; null where
 * so few drinks are too few.
 */
function withDrinks(
	slots: readonly Slot[],
	limit: number
): ({ room: number; stretches: Stretch[] } | null)[] {
	type Best = { room: number; stretches: Stretch[] } | null;
	// best[n][k]: the first n slots in k stretches.
	const best: Best[][] = [[{ room: 0, stretches: [] }]];
	for (let end = 1; end <= slots.length; end += 1) {
		best[end] = [null];
		for (let count = 1; count <= end; count += 1) {
			best[end][count] = null;
			for (let start = end - 1; start >= count - 1; start -= 1) {
				const last = slots.slice(start, end);
				const [before, room] = [best[start][count - 1], roomIn(last, limit)];
				if (room === null) break;
				if (!before) continue;
				if (before.room + room > (best[end][count]?.room ?? -1))
					best[end][count] = {
						room: before.room + room,
						stretches: [...before.stretches, last]
					};
			}
		}
	}
	return best[slots.length].slice(1);
}

/** Whether a way is better: one that fills all minutes, or leaves fewer open; then one that drinks less. */
const isBetter = (way: Way, than: Way | null): boolean =>
	!than || way.open < than.open || (way.open === than.open && way.minutes > than.minutes);

const bestOf = (ways: readonly Way[]): Way | null =>
	ways.reduce<Way | null>((best, way) => (isBetter(way, best) ? way : best), null);

/** The ways in which slots take so many minutes, drinks among them. */
function waysFor(slots: readonly Slot[], minutes: number, limit: number): Way[] {
	const fewest = leastIn(slots);
	return withDrinks(slots, limit).flatMap((way, drinks): Way[] => {
		if (!way) return [];
		const left = minutes - USUAL.water * drinks;
		if (fewest > left) return [];
		const filled = Math.min(left, way.room);
		return [{ stretches: way.stretches, minutes: filled, open: left - filled }];
	});
}

/** The parts of a way with their minutes: a game gets its own first, the shortest work what is left. */
function filled({ stretches, minutes }: Way, limit: number): Part[][] {
	const given = stretches.map((stretch) => stretch.map(({ least }) => least));
	const RANKS = ['scrimmage', 'work', 'stations'];
	const rankOf = ({ part }: Slot) =>
		RANKS.indexOf(part.kind === 'work' && part.form === 'stations' ? part.form : part.kind);
	let left = minutes - sum(given, (each) => sum(each));
	while (left > 0) {
		const open = stretches.flatMap((stretch, at) =>
			sum(given[at]) + 1 > limit
				? []
				: stretch
						.map((slot, k) => ({ slot, at, k, now: given[at][k] }))
						.filter(({ slot, now }) => now < slot.most)
		);
		const next = leastBy(open, ({ slot, now }) => rankOf(slot) * 1000 + now);
		if (!next) break;
		given[next.at][next.k] += 1;
		left -= 1;
	}
	return stretches.map((stretch, at) =>
		stretch.map(({ part }, k) => ({ ...part, minutes: given[at][k] }))
	);
}

/**
 * The parts of a practice, water among them, whose minutes are just those that there are where that can
 * be: as many rounds of stations as are meant, and other work in so few drinks as the limit allows.
 */
export function outlineOf(asked: OutlineAsked): Part[] {
	const { limits, pattern, roundMinutes } = asked;
	const limit = limits.waterMinutes;
	const end = endOf(asked);
	const minutes = asked.minutes - sum(end, (part) => part.minutes);
	const mostPieces = Math.ceil(minutes / Math.max(LEAST_WORK, limit)) + MORE_PIECES;
	for (let rounds = roundMinutes > 0 ? pattern.rounds : 0; rounds >= 0; rounds -= 1) {
		const ways = Array.from({ length: mostPieces + 1 }, (_, pieces) =>
			waysFor(inOrder(workSlots(rounds, pieces, asked), asked), minutes, limit)
		);
		const best = bestOf(ways.flat());
		if (best) return [...withWater(filled(best, limit)), ...end];
	}
	// Not even what must be fits: all of it, for the coach to see.
	return [...withWater(inOrder([], asked).map(({ part }) => [part])), ...end];
}

/** Stretches one after another, with a drink between each two. */
const withWater = (stretches: readonly Part[][]): Part[] =>
	stretches.flatMap((stretch, k) =>
		k === 0 ? stretch : [{ kind: 'water', minutes: USUAL.water }, ...stretch]
	);
