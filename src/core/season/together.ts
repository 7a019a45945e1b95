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

/** A part of it: the rows and columns from one place on, at most so many, and the first pairs. */
export function partOf(
	{ ids, minutes, times, pairs }: Together,
	{ from, most, mostPairs }: { from: number; most: number; mostPairs: number }
): Together {
	const within = <Item>(items: readonly Item[]) => items.slice(from, from + most);
	return {
		ids: within(ids),
		minutes: within(minutes).map(within),
		times: within(times).map(within),
		pairs: pairs.slice(0, mostPairs)
	};
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

/** Sets of rows of a symmetric matrix, of which the two with the highest mean between them become one. */
class Linkage {
	readonly #cliques: Clique[];
	readonly #means: number[][];
	/** Places of the sets that there are, in order. */
	#active: number[];
	/** By place: the later set that it has the highest mean with, the first of equals; -1 for the last. */
	readonly #best: number[];

	constructor(private readonly of: number[][]) {
		this.#cliques = of.map((_, index) => [index]);
		this.#means = of.map((row) => [...row]);
		this.#active = [...of.keys()];
		this.#best = of.map((_, place) => this.#bestOf(place));
	}

	/** The rows of the first set. */
	get order(): number[] {
		return [...(this.#cliques[0] ?? [])];
	}

	get isOne(): boolean {
		return this.#active.length < 2;
	}

	/** Joins the two sets with the highest mean; of equals those that come first. */
	join(): void {
		const of = (place: number) => this.#means[place][this.#best[place]];
		const from = this.#active
			.slice(0, -1)
			.reduce((best, place) => (of(place) > of(best) ? place : best));
		const to = this.#best[from];
		const [a, b] = [this.#cliques[from], this.#cliques[to]];
		this.#cliques[from] = joined(a, b, this.of);
		this.#active = this.#active.filter((place) => place !== to);
		for (const k of this.#active) {
			if (k === from) continue;
			const sum = this.#means[from][k] * a.length + this.#means[to][k] * b.length;
			const mean = sum / (a.length + b.length);
			this.#means[from][k] = this.#means[k][from] = mean;
		}
		this.#renew(from, to);
	}

	/** Finds again who is best for whom where it may have changed. */
	#renew(from: number, to: number): void {
		for (const place of this.#active) {
			const best = this.#best[place];
			if (place === from || best === from || best === to) {
				this.#best[place] = this.#bestOf(place);
				continue;
			}
			if (place > from) continue;
			const [now, then] = [this.#means[place][from], this.#means[place][best]];
			if (now > then || (now === then && from < best)) this.#best[place] = from;
		}
	}

	#bestOf(place: number): number {
		let best = -1;
		for (const other of this.#active) {
			if (other <= place) continue;
			if (best < 0 || this.#means[place][other] > this.#means[place][best]) best = other;
		}
		return best;
	}
}

/**
 * An order of the rows of a symmetric matrix that shows cliques: the two sets with the highest mean are
 * joined again and again (average linkage). Gives the indices; ties keep the order given.
 */
export function orderByCliques(of: number[][]): number[] {
	const linkage = new Linkage(of);
	while (!linkage.isOne) linkage.join();
	return linkage.order;
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
