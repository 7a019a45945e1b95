import type { Pair } from './meetings';

/** Who was with whom, as a matrix: `minutes[row][column]` and `times` in the order of `ids`. */
export interface Together {
	/** In an order that brings those together who worked together most. */
	ids: string[];
	minutes: number[][];
	times: number[][];
	/** Every two players, those who met least first; of equals in the order of `ids`. */
	pairs: Pair[];
}

/** A set of players that stays side by side, in its order. */
type Clique = readonly number[];

/** Two cliques as one, turned so that those who have most together come to lie side by side. */
function joined(a: Clique, b: Clique, of: number[][]): Clique {
	const ways = [a, a.toReversed()].flatMap((left) =>
		[b, b.toReversed()].map((right) => ({
			clique: [...left, ...right],
			meets: of[left[left.length - 1]][right[0]]
		}))
	);
	return ways.reduce((best, way) => (way.meets > best.meets ? way : best)).clique;
}

/**
 * An order of the rows of a symmetric matrix that shows cliques: the two sets with the highest mean are
 * joined again and again (average linkage). Gives the indices; ties keep the order given.
 */
export function orderByCliques(of: number[][]): number[] {
	let cliques: Clique[] = of.map((_, index) => [index]);
	// Means between sets are kept, and put together where two sets become one.
	let means = of.map((row) => [...row]);
	while (cliques.length > 1) {
		let [from, to] = [0, 1];
		for (let i = 0; i < cliques.length; i += 1)
			for (let j = i + 1; j < cliques.length; j += 1)
				if (means[i][j] > means[from][to]) [from, to] = [i, j];
		const [a, b] = [cliques[from], cliques[to]];
		const all = a.length + b.length;
		const mean = means[from].map((value, k) => (value * a.length + means[to][k] * b.length) / all);
		means[from] = mean;
		for (const [k, value] of mean.entries()) means[k][from] = value;
		means = means.toSpliced(to, 1).map((row) => row.toSpliced(to, 1));
		cliques = cliques.with(from, joined(a, b, of)).toSpliced(to, 1);
	}
	return [...(cliques[0] ?? [])];
}

/** Who of a squad was with whom, ordered so that cliques show, with every pair from the least met on. */
export function togetherOf(squad: readonly string[], met: readonly Pair[]): Together {
	const place = new Map(squad.map((id, index) => [id, index]));
	const minutes = squad.map(() => squad.map(() => 0));
	const times = squad.map(() => squad.map(() => 0));
	for (const pair of met) {
		const [a, b] = [place.get(pair.a), place.get(pair.b)];
		if (a === undefined || b === undefined) continue;
		minutes[a][b] = minutes[b][a] = pair.minutes;
		times[a][b] = times[b][a] = pair.times;
	}
	const order = orderByCliques(minutes);
	const inOrder = (of: number[][]) => order.map((row) => order.map((column) => of[row][column]));
	const pairs = order.flatMap((a, k) =>
		order.slice(k + 1).map((b) => ({
			a: squad[a],
			b: squad[b],
			times: times[a][b],
			minutes: minutes[a][b]
		}))
	);
	return {
		ids: order.map((index) => squad[index]),
		minutes: inOrder(minutes),
		times: inOrder(times),
		pairs: pairs.sort((one, other) => one.times - other.times || one.minutes - other.minutes)
	};
}
