import type { Groupable, GroupMode } from './groupShapes';
import { PairSum } from './pairSum';
import type { GroupTask } from './readGroups';

/** A part of the score, by name. */
export type Term = 'skills' | 'units' | 'met' | 'kinds' | 'outranked' | 'distance';

/** What is made least by mode, the first first. */
export const TERMS: Readonly<Record<GroupMode, readonly Term[]>> = {
	even: ['skills', 'units', 'met'],
	tiers: ['outranked', 'met'],
	unit: ['kinds', 'skills'],
	fresh: ['met', 'skills'],
	match: ['distance', 'met']
};

/** The players' figures as numbers. */
export interface Figures {
	count: number;
	skills: string[];
	/** Ratings by player and skill; NaN where there is none. */
	ratings: Float64Array;
	/** Mean rating by player; NaN where there is none. */
	mean: Float64Array;
	units: number;
	/** Unit by player; -1 where there is none. */
	unitOf: Int32Array;
	/** Times met by two players; empty where nobody ever met. */
	met: Float64Array;
	/** Metres between the places of two players in a game, 0 where one has none; empty where nobody has. */
	distance: Float64Array;
}

const indexed = (values: Iterable<string>) =>
	new Map([...new Set(values)].map((value, k) => [value, k]));

/** The figures of a request's players. */
export function figuresOf({ input, met }: Pick<GroupTask, 'input' | 'met'>): Figures {
	const players: readonly Groupable[] = input.players;
	const count = players.length;
	const skills = [...new Set(players.flatMap(({ ratings }) => Object.keys(ratings ?? {})))];
	const units = indexed(players.flatMap(({ unit }) => unit ?? []));
	const ratings = new Float64Array(count * skills.length);
	const mean = new Float64Array(count);
	for (const [player, { ratings: own = {} }] of players.entries()) {
		const values = skills.map((skill) => (Object.hasOwn(own, skill) ? own[skill] : NaN));
		ratings.set(values, player * skills.length);
		const rated = values.filter((value) => !Number.isNaN(value));
		mean[player] = rated.reduce((sum, value) => sum + value, 0) / rated.length;
	}
	const times = new Float64Array(met.length > 0 ? count * count : 0);
	for (const [a, b, t] of met) {
		times[a * count + b] += t;
		times[b * count + a] += t;
	}
	return {
		count,
		skills,
		ratings,
		mean,
		units: units.size,
		unitOf: Int32Array.from(players, ({ unit }) =>
			unit === undefined ? -1 : (units.get(unit) as number)
		),
		met: times,
		distance: distancesOf(input)
	};
}

/** Metres between two players as they play, by both; who has no place is near to everybody. */
function distancesOf({ players, places = {} }: GroupTask['input']): Float64Array {
	const count = players.length;
	const at = players.map(({ id }) => (Object.hasOwn(places, id) ? places[id] : null));
	if (at.every((place) => place === null)) return new Float64Array(0);
	const distance = new Float64Array(count * count);
	for (const [a, one] of at.entries())
		for (const [b, other] of at.entries())
			if (one && other) distance[a * count + b] = Math.hypot(one.x - other.x, one.y - other.y);
	return distance;
}

/** Players divided into groups, with sums that are kept up to date as players move. */
export class Division {
	readonly groupOf: Int32Array;
	/** By skill and group: sum, number and mean of ratings; the mean is no number where there is none. */
	private readonly sums: Float64Array;
	private readonly rated: Float64Array;
	private readonly means: Float64Array;
	/** By unit and group. */
	private readonly unitCounts: Int32Array;
	/** Null where it is not measured, or nothing is to be summed. */
	private readonly met: PairSum | null;
	private readonly distance: PairSum | null;
	private outranked = 0;
	private readonly measuresRank: boolean;

	constructor(
		readonly figures: Figures,
		readonly groups: number,
		groupOf: Int32Array,
		terms: readonly Term[]
	) {
		const { count, skills, units } = figures;
		this.groupOf = new Int32Array(count).fill(-1);
		this.sums = new Float64Array(groups * skills.length);
		this.rated = new Float64Array(groups * skills.length);
		this.means = new Float64Array(groups * skills.length).fill(NaN);
		this.unitCounts = new Int32Array(groups * units);
		const sumOf = (term: 'met' | 'distance') =>
			figures[term].length > 0 && terms.includes(term)
				? new PairSum(figures[term], count, groups)
				: null;
		this.met = sumOf('met');
		this.distance = sumOf('distance');
		this.measuresRank = terms.includes('outranked');
		for (let player = 0; player < count; player += 1) this.enter(player, groupOf[player]);
	}

	/** Takes a player out of one group and puts them into another. */
	move(player: number, group: number): void {
		this.leave(player);
		this.enter(player, group);
	}

	private enter(player: number, group: number): void {
		this.groupOf[player] = group;
		this.count(player, group, 1);
		this.met?.count(player, group, 1);
		this.distance?.count(player, group, 1);
		if (this.measuresRank) this.outranked += this.outrankedBy(player);
	}

	private leave(player: number): void {
		const group = this.groupOf[player];
		if (this.measuresRank) this.outranked -= this.outrankedBy(player);
		this.met?.count(player, group, -1);
		this.distance?.count(player, group, -1);
		this.count(player, group, -1);
		this.groupOf[player] = -1;
	}

	private count(player: number, group: number, sign: 1 | -1): void {
		const { ratings, skills, unitOf } = this.figures;
		const width = skills.length;
		for (let skill = 0, at = group; skill < width; skill += 1, at += this.groups) {
			const rating = ratings[player * width + skill];
			// Not a number is not itself.
			if (rating !== rating) continue;
			this.sums[at] += sign * rating;
			this.rated[at] += sign;
			this.means[at] = this.sums[at] / this.rated[at];
		}
		if (unitOf[player] >= 0) this.unitCounts[unitOf[player] * this.groups + group] += sign;
	}

	/** Pairs of this player with others in which the one in the lower group is rated higher. */
	private outrankedBy(player: number): number {
		const { mean, count } = this.figures;
		const [group, rating] = [this.groupOf[player], mean[player]];
		let pairs = 0;
		for (let other = 0; other < count; other += 1) {
			const at = this.groupOf[other];
			if (at < 0) continue;
			if (at < group ? mean[other] > rating : at > group && rating > mean[other]) pairs += 1;
		}
		return pairs;
	}

	/** The change of a sum over pairs if two players of different groups changed places. */
	pairChange(term: 'met' | 'distance', a: number, b: number): number {
		return this[term]?.change(a, b, [this.groupOf[a], this.groupOf[b]]) ?? 0;
	}

	/** The mean of a skill in a group; no number where nobody is rated. */
	mean(skill: number, group: number): number {
		return this.means[skill * this.groups + group];
	}

	/** How many of a unit are in a group. */
	unitCount(unit: number, group: number): number {
		return this.unitCounts[unit * this.groups + group];
	}

	/** Largest less smallest group mean of a skill; groups without a rating are left out. */
	skillSpread(skill: number): number {
		let least = Infinity;
		let most = -Infinity;
		for (let at = skill * this.groups, end = at + this.groups; at < end; at += 1) {
			const mean = this.means[at];
			if (mean < least) least = mean;
			if (mean > most) most = mean;
		}
		return most > least ? most - least : 0;
	}

	/** The spread of a skill if two players of different groups changed places. */
	private skillSpreadAfter(skill: number, a: number, b: number): number {
		const { groupOf, means, sums, rated, groups } = this;
		const { ratings, skills } = this.figures;
		const width = skills.length;
		const [out, into] = [ratings[a * width + skill], ratings[b * width + skill]];
		const [g, h] = [groupOf[a] + skill * groups, groupOf[b] + skill * groups];
		const [kept, keptToo] = [means[g], means[h]];
		const gap = (into === into ? into : 0) - (out === out ? out : 0);
		const more = (into === into ? 1 : 0) - (out === out ? 1 : 0);
		means[g] = (sums[g] + gap) / (rated[g] + more);
		means[h] = (sums[h] - gap) / (rated[h] - more);
		const spread = this.skillSpread(skill);
		means[g] = kept;
		means[h] = keptToo;
		return spread;
	}

	/** Sum of the spreads of all skills if two players of different groups changed places. */
	skillsAfter(a: number, b: number): number {
		let sum = 0;
		for (let skill = 0; skill < this.figures.skills.length; skill += 1)
			sum += this.skillSpreadAfter(skill, a, b);
		return sum;
	}

	private spreadOfUnit(unit: number): number {
		let least = Infinity;
		let most = -Infinity;
		for (let at = unit * this.groups, end = at + this.groups; at < end; at += 1) {
			const count = this.unitCounts[at];
			if (count < least) least = count;
			if (count > most) most = count;
		}
		return most - least;
	}

	private unitSpread(): number {
		let sum = 0;
		for (let unit = 0; unit < this.figures.units; unit += 1) sum += this.spreadOfUnit(unit);
		return sum;
	}

	/** The change of the spread of units if two players of different groups changed places. */
	unitsChange(a: number, b: number): number {
		const { unitCounts, groupOf, groups } = this;
		const [u, v] = [this.figures.unitOf[a], this.figures.unitOf[b]];
		if (u === v) return 0;
		const before = (u < 0 ? 0 : this.spreadOfUnit(u)) + (v < 0 ? 0 : this.spreadOfUnit(v));
		const shift = (unit: number, from: number, to: number) => {
			if (unit < 0) return;
			unitCounts[unit * groups + from] -= 1;
			unitCounts[unit * groups + to] += 1;
		};
		shift(u, groupOf[a], groupOf[b]);
		shift(v, groupOf[b], groupOf[a]);
		const after = (u < 0 ? 0 : this.spreadOfUnit(u)) + (v < 0 ? 0 : this.spreadOfUnit(v));
		shift(u, groupOf[b], groupOf[a]);
		shift(v, groupOf[a], groupOf[b]);
		return after - before;
	}

	/** One part of the score. */
	measure(term: Term): number {
		switch (term) {
			case 'skills': {
				let sum = 0;
				for (let skill = 0; skill < this.figures.skills.length; skill += 1)
					sum += this.skillSpread(skill);
				return sum;
			}
			case 'units':
				return this.unitSpread();
			case 'met':
				return this.met?.total ?? 0;
			case 'distance':
				return this.distance?.total ?? 0;
			case 'kinds': {
				let kinds = 0;
				for (const count of this.unitCounts) if (count > 0) kinds += 1;
				return kinds;
			}
			case 'outranked':
				return this.outranked;
			default:
				throw new Error(`no term ${String(term)}`);
		}
	}
}
