import { shuffler } from 'd3-array';
import { randomLcg } from 'd3-random';

/** A player as grouping sees one. */
export interface Groupable {
	readonly id: string;
	readonly unit?: string;
	/** 1 to 5 by skill; a missing one is left out of a mean. */
	readonly ratings?: Readonly<Record<string, number>>;
}

/** How uneven groups are, compared in order: over skills, then over units. */
export interface Unevenness {
	/** Sum over skills of the largest group mean less the smallest. */
	skills: number;
	/** Sum over units of the most in a group less the fewest. */
	units: number;
}

/** Tries from a new random start; the best is kept. */
const STARTS = 8;

const spreadOf = (values: readonly number[]) =>
	values.length === 0 ? 0 : Math.max(...values) - Math.min(...values);

/** How uneven `groups` are. An empty mean is left out. */
export function unevenness(groups: readonly (readonly Groupable[])[]): Unevenness {
	const players = groups.flat();
	const skills = new Set(players.flatMap(({ ratings }) => Object.keys(ratings ?? {})));
	const units = new Set(players.flatMap(({ unit }) => (unit === undefined ? [] : [unit])));
	let bySkill = 0;
	for (const skill of skills) {
		const means = groups.flatMap((group) => {
			const rated = group.flatMap(({ ratings }) => ratings?.[skill] ?? []);
			return rated.length === 0 ? [] : [rated.reduce((a, b) => a + b, 0) / rated.length];
		});
		bySkill += spreadOf(means);
	}
	let byUnit = 0;
	for (const unit of units)
		byUnit += spreadOf(
			groups.map((group) => group.filter((player) => player.unit === unit).length)
		);
	return { skills: bySkill, units: byUnit };
}

const isBetter = (a: Unevenness, b: Unevenness) =>
	a.skills < b.skills - 1e-9 || (a.skills < b.skills + 1e-9 && a.units < b.units);

/** Sums and counts of one group, kept up to date as players are swapped. */
interface Means {
	sums: Float64Array;
	counts: Float64Array;
	units: Float64Array;
}

/** Players as numbers: ratings by skill (NaN where missing) and the index of the unit. */
function encode(players: readonly Groupable[]) {
	const skills = [...new Set(players.flatMap(({ ratings }) => Object.keys(ratings ?? {})))];
	const units = [...new Set(players.flatMap(({ unit }) => (unit === undefined ? [] : [unit])))];
	return {
		skills: skills.length,
		units: units.length,
		ratings: players.map(({ ratings }) => skills.map((skill) => ratings?.[skill] ?? NaN)),
		unitOf: players.map(({ unit }) => (unit === undefined ? -1 : units.indexOf(unit)))
	};
}

type Encoded = ReturnType<typeof encode>;

function meansOf(group: readonly number[], { skills, units, ratings, unitOf }: Encoded): Means {
	const means: Means = {
		sums: new Float64Array(skills),
		counts: new Float64Array(skills),
		units: new Float64Array(units)
	};
	for (const player of group) change(means, player, 1, { skills, units, ratings, unitOf });
	return means;
}

function change(means: Means, player: number, sign: 1 | -1, { skills, ratings, unitOf }: Encoded) {
	for (let skill = 0; skill < skills; skill += 1) {
		const rating = ratings[player][skill];
		if (Number.isNaN(rating)) continue;
		means.sums[skill] += sign * rating;
		means.counts[skill] += sign;
	}
	if (unitOf[player] >= 0) means.units[unitOf[player]] += sign;
}

/** Unevenness from the kept sums: the same measure as `unevenness`. */
function measure(all: readonly Means[], { skills, units }: Encoded): Unevenness {
	let bySkill = 0;
	for (let skill = 0; skill < skills; skill += 1) {
		let least = Infinity;
		let most = -Infinity;
		for (const { sums, counts } of all) {
			if (counts[skill] === 0) continue;
			const mean = sums[skill] / counts[skill];
			if (mean < least) least = mean;
			if (mean > most) most = mean;
		}
		if (most > least) bySkill += most - least;
	}
	let byUnit = 0;
	for (let unit = 0; unit < units; unit += 1) {
		const counts = all.map((means) => means.units[unit]);
		byUnit += spreadOf(counts);
	}
	return { skills: bySkill, units: byUnit };
}

/** Swaps two players of different groups while that makes the groups more even. Changes `groups`. */
function improve(groups: number[][], encoded: Encoded): Unevenness {
	const means = groups.map((group) => meansOf(group, encoded));
	let best = measure(means, encoded);
	for (let improved = true; improved;) {
		improved = false;
		for (let g = 0; g < groups.length; g += 1)
			for (let h = g + 1; h < groups.length; h += 1)
				for (let i = 0; i < groups[g].length; i += 1)
					for (let j = 0; j < groups[h].length; j += 1) {
						const [a, b] = [groups[g][i], groups[h][j]];
						const swap = (out: number, into: number) => {
							change(means[g], out, -1, encoded);
							change(means[g], into, 1, encoded);
							change(means[h], into, -1, encoded);
							change(means[h], out, 1, encoded);
						};
						swap(a, b);
						const now = measure(means, encoded);
						if (isBetter(now, best)) {
							[groups[g][i], groups[h][j]] = [b, a];
							best = now;
							improved = true;
						} else swap(b, a);
					}
	}
	return best;
}

function deal(order: readonly number[], sizes: readonly number[]): number[][] {
	let next = 0;
	return sizes.map((size) => order.slice(next, (next += size)));
}

/**
 * Groups of the given sizes that are as even as a seeded search finds, over skills first and units
 * second: swaps of two players from several random starts. The same seed gives the same groups;
 * players keep their given order within a group. Needs the sizes to add up to the players.
 */
export function evenGroups<Player extends Groupable>(
	players: readonly Player[],
	sizes: readonly number[],
	seed = 1
): Player[][] {
	const encoded = encode(players);
	const shuffle = shuffler(randomLcg(seed));
	let best: { groups: number[][]; cost: Unevenness } | null = null;
	for (let start = 0; start < STARTS; start += 1) {
		const groups = deal(shuffle(players.map((_, index) => index)), sizes);
		const cost = improve(groups, encoded);
		if (!best || isBetter(cost, best.cost)) best = { groups, cost };
	}
	return (best?.groups ?? []).map((group) =>
		group.toSorted((a, b) => a - b).map((index) => players[index])
	);
}
