import { skillBounds } from './bounds';
import type { Figures } from './division';
import type { Placing } from './placing';
import { possibleGroups, type PossibleGroups } from './possible';
import { isLess } from './score';

/** The most players whose divisions are looked through one by one. */
export const MOST_EXACT = 24;

/** A division that was found, by player, with its score. */
export interface Found {
	groupOf: Int32Array;
	cost: number[];
}

/** Looks between two reports. */
const LOOKS_A_REPORT = 100_000;

/** Sums of what is left when some groups are taken, and the extremes of those taken. */
interface Level {
	sums: Float64Array;
	units: Int32Array;
	low: Float64Array;
	high: Float64Array;
	fewest: Int32Array;
	most: Int32Array;
	met: number;
	players: number;
}

class Cover {
	private readonly levels: Level[];
	private readonly chosen: number[] = [];
	/** Groups of each size that are still to be taken. */
	private readonly left: Int32Array;
	private readonly masks: Int32Array;
	private readonly lists: Int32Array[];
	private readonly setOf: Map<number, number>;
	private readonly everyone: number;
	private readonly bound = new Float64Array(3);
	private looks = 0;
	best: number[];
	found: number[][] | null = null;

	constructor(
		private readonly figures: Figures,
		private readonly placing: Placing,
		private readonly sets: PossibleGroups,
		private readonly leastSkill: readonly number[],
		best: readonly number[]
	) {
		this.best = [...best];
		this.left = new Int32Array(figures.count + 1);
		for (const size of placing.sizes) this.left[size] += 1;
		this.masks = Int32Array.from(sets.masks);
		this.lists = sets.byFirst.map((list) => Int32Array.from(list));
		this.setOf = new Map(sets.masks.map((mask, set) => [mask, set]));
		this.everyone = 2 ** figures.count - 1;
		const { skills, units } = figures;
		this.levels = Array.from({ length: placing.sizes.length + 1 }, () => ({
			sums: new Float64Array(skills.length),
			units: new Int32Array(units),
			low: new Float64Array(skills.length).fill(Infinity),
			high: new Float64Array(skills.length).fill(-Infinity),
			fewest: new Int32Array(units).fill(2 ** 30),
			most: new Int32Array(units).fill(-1),
			met: 0,
			players: figures.count
		}));
		const [first] = this.levels;
		for (let player = 0; player < figures.count; player += 1) {
			for (let skill = 0; skill < skills.length; skill += 1) {
				const rating = figures.ratings[player * skills.length + skill];
				first.sums[skill] += rating;
			}
			if (figures.unitOf[player] >= 0) first.units[figures.unitOf[player]] += 1;
		}
	}

	/** Takes a set at a level: what is left and the extremes of the next level follow. */
	private take(depth: number, set: number): void {
		const [level, next] = [this.levels[depth], this.levels[depth + 1]];
		const { sums, units, met, sizes } = this.sets;
		const size = sizes[set];
		next.players = level.players - size;
		for (
			let skill = 0, at = set * level.sums.length;
			skill < level.sums.length;
			skill += 1, at += 1
		) {
			next.sums[skill] = level.sums[skill] - sums[at];
			const mean = sums[at] / size;
			next.low[skill] = mean < level.low[skill] ? mean : level.low[skill];
			next.high[skill] = mean > level.high[skill] ? mean : level.high[skill];
		}
		for (
			let unit = 0, at = set * level.units.length;
			unit < level.units.length;
			unit += 1, at += 1
		) {
			next.units[unit] = level.units[unit] - units[at];
			next.fewest[unit] = units[at] < level.fewest[unit] ? units[at] : level.fewest[unit];
			next.most[unit] = units[at] > level.most[unit] ? units[at] : level.most[unit];
		}
		next.met = level.met + met[set];
	}

	/** Whether the groups taken, and those left as one, can still be part of a better division. */
	private isOpen(depth: number, groupsLeft: number): boolean {
		const { sums, players, units, low, high, fewest, most, met } = this.levels[depth];
		let skills = 0;
		for (let skill = 0; skill < sums.length; skill += 1) {
			let [least, largest] = [low[skill], high[skill]];
			const rest = sums[skill] / players;
			if (rest < least) least = rest;
			if (rest > largest) largest = rest;
			const spread = largest - least;
			skills += spread > this.leastSkill[skill] ? spread : this.leastSkill[skill];
		}
		let kinds = 0;
		for (let unit = 0; unit < units.length; unit += 1) {
			const floor = Math.floor(units[unit] / groupsLeft);
			const ceiling = Math.ceil(units[unit] / groupsLeft);
			kinds +=
				(ceiling > most[unit] ? ceiling : most[unit]) -
				(floor < fewest[unit] ? floor : fewest[unit]);
		}
		this.bound[0] = skills;
		this.bound[1] = kinds;
		this.bound[2] = met;
		return isLess(this.bound, this.best);
	}

	/** Takes groups for the first player who is left, one after another. Reports at the first level. */
	*run(): Generator<void, void> {
		for (const set of this.lists[0]) {
			this.choose(0, set, 0);
			if (this.looks > LOOKS_A_REPORT) {
				this.looks = 0;
				yield;
			}
		}
	}

	private choose(depth: number, set: number, used: number): void {
		const size = this.sets.sizes[set];
		if (this.left[size] === 0) return;
		const groupsLeft = this.placing.sizes.length - depth - 1;
		this.take(depth, set);
		this.chosen[depth] = set;
		if (groupsLeft === 0) this.keepIfBetter();
		else if (this.isOpen(depth + 1, groupsLeft)) {
			this.left[size] -= 1;
			this.deepen(depth + 1, used | this.masks[set], groupsLeft);
			this.left[size] += 1;
		}
	}

	private deepen(depth: number, used: number, groupsLeft: number): void {
		const free = this.everyone & ~used;
		if (groupsLeft === 1) {
			const last = this.setOf.get(free);
			if (last !== undefined) this.choose(depth, last, used);
			return;
		}
		const list = this.lists[31 - Math.clz32(free & -free)];
		const { masks } = this;
		this.looks += list.length;
		for (let k = 0; k < list.length; k += 1) {
			const set = list[k];
			if ((masks[set] & used) === 0) this.choose(depth, set, used);
		}
	}

	private keepIfBetter(): void {
		const depth = this.placing.sizes.length;
		const { low, high, fewest, most, met } = this.levels[depth];
		let skills = 0;
		for (let skill = 0; skill < low.length; skill += 1)
			if (high[skill] > low[skill]) skills += high[skill] - low[skill];
		let kinds = 0;
		for (let unit = 0; unit < most.length; unit += 1) kinds += most[unit] - fewest[unit];
		const cost = [skills, kinds, met];
		if (!isLess(cost, this.best) || !this.assigned()) return;
		this.best = cost;
		this.found = this.assigned();
	}

	/** The sets taken as groups in their order, pinned ones first; null where pins do not allow it. */
	private assigned(): number[][] | null {
		const { masks, sizes, pins, players } = this.sets;
		const open = [...this.chosen];
		const groups: number[][] = this.placing.sizes.map(() => []);
		const put = (group: number, set: number) => {
			groups[group] = players.filter((_, bit) => masks[set] & (1 << bit));
			open.splice(open.indexOf(set), 1);
		};
		for (const set of this.chosen) if (pins[set] >= 0) put(pins[set], set);
		for (const [group, size] of this.placing.sizes.entries()) {
			if (groups[group].length > 0) continue;
			const set = open.find((each) => sizes[each] === size);
			if (set === undefined) return null;
			put(group, set);
		}
		return groups;
	}
}

/**
 * Looks through all divisions that could be better than `best` and keep the rules, for mode `even`: the
 * group of the first player, then that of the first one left, and so on; a branch is left where the
 * groups taken, with all others as one, are no better. Reports after some work; the last report gives
 * the best division if there is a better one, null where `best` cannot be beaten. Undefined where there
 * are too many groups to look through.
 */
export function exactSearch(
	figures: Figures,
	placing: Placing,
	best: readonly number[]
): Generator<Found | null, void> | undefined {
	// A spread of means has no bound here where somebody's rating is missing.
	if (figures.count > MOST_EXACT || figures.ratings.some((rating) => Number.isNaN(rating)))
		return undefined;
	const leastSkill = skillBounds(figures, placing.sizes);
	const sets = possibleGroups(figures, placing, { leastSkill, most: best[0] });
	if (!sets) return undefined;
	return reports(new Cover(figures, placing, sets, leastSkill, best), figures.count);
}

function* reports(cover: Cover, count: number): Generator<Found | null, void> {
	const search = cover.run();
	let last: number[][] | null = null;
	for (let isOver = false; !isOver;) {
		isOver = search.next().done === true;
		const { found } = cover;
		if (!found || found === last) {
			yield null;
			continue;
		}
		last = found;
		const groupOf = new Int32Array(count);
		for (const [group, players] of found.entries())
			for (const player of players) groupOf[player] = group;
		yield { groupOf, cost: [...cover.best] };
	}
}
