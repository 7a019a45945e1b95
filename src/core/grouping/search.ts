import { randomLcg } from 'd3-random';
import { boundsOf } from './bounds';
import { Division, TERMS, type Figures, type Term } from './division';
import type { GroupMode } from './groupShapes';
import { exactSearch, MOST_EXACT } from './exact';
import type { Placing } from './placing';
import { Resplit } from './resplit';
import { isLess, SAME } from './score';

/** Where a search stands: the best so far, its score, numbers it cannot be under, and whether it is over. */
export interface SearchState {
	/** The group of each player. */
	best: Int32Array;
	cost: number[];
	bound: number[];
	done: boolean;
}

/** Moves between two reports of a search. */
const MOVES_A_REPORT = 2000;

/**
 * What a unit of each part of the score weighs while searching, by mode. The first leads; the others
 * only break ties of those near by. The best is kept by the score itself, not by this.
 */
const WEIGHTS: Readonly<Record<GroupMode, readonly (readonly number[])[]>> = {
	even: [
		[1, 0.03, 0.004],
		[1, 0.002, 0.0002],
		[1, 0.1, 0.01]
	],
	tiers: [[1, 0.02]],
	unit: [
		[1, 0.4],
		[1, 0.05]
	],
	fresh: [
		[1, 0.2],
		[1, 0.02]
	],
	match: [
		[1, 0.2],
		[1, 0.01]
	]
};

/** One search over divisions that keep all rules: exchanges, cooled down, from new starts again and again. */
class Annealing {
	private readonly random: () => number;
	private readonly terms: readonly Term[];
	private readonly free: number[];
	private readonly atomOf: Int32Array;
	private readonly has: Int32Array;
	/** The score of the exchange that is tried, and of the division as it is. */
	private readonly scores: number[];
	private readonly held: number[];
	private division: Division;
	private weights: readonly number[];
	private energy = 0;
	best: Int32Array;
	cost: number[];

	constructor(
		private readonly figures: Figures,
		private readonly placing: Placing,
		private readonly mode: GroupMode,
		private readonly start: Int32Array,
		seed: number
	) {
		this.random = randomLcg(seed);
		this.terms = TERMS[mode];
		this.weights = WEIGHTS[mode][0];
		this.free = placing.atoms.flatMap(({ pin }, atom) => (pin < 0 ? atom : []));
		this.atomOf = new Int32Array(figures.count);
		for (const [atom, { players }] of placing.atoms.entries())
			for (const player of players) this.atomOf[player] = atom;
		this.has = new Int32Array(placing.sizes.length * placing.needs.length);
		this.division = new Division(figures, placing.sizes.length, start, this.terms);
		this.scores = this.terms.map((term) => this.division.measure(term));
		this.best = Int32Array.from(start);
		this.held = [...this.scores];
		this.cost = [...this.scores];
		this.settle();
	}

	/** Counts anew what is kept up to date from move to move. */
	private settle(): void {
		const { needs } = this.placing;
		this.has.fill(0);
		for (let player = 0; player < this.figures.count; player += 1)
			for (let need = 0; need < needs.length; need += 1)
				this.has[this.division.groupOf[player] * needs.length + need] += needs[need].isOne[player];
		this.energy = this.measure();
		for (let part = 0; part < this.scores.length; part += 1) this.held[part] = this.scores[part];
	}

	/** Starts again from the first division, with the weights of this round. */
	restart(round: number): void {
		const choices = WEIGHTS[this.mode];
		this.weights = choices[round % choices.length];
		if (round > 0)
			this.division = new Division(this.figures, this.placing.sizes.length, this.start, this.terms);
		this.settle();
	}

	private measure(): number {
		let energy = 0;
		for (let part = 0; part < this.terms.length; part += 1) {
			this.scores[part] = this.division.measure(this.terms[part]);
			energy += this.weights[part] * this.scores[part];
		}
		return energy;
	}

	private group(atom: number): number {
		return this.division.groupOf[this.placing.atoms[atom].players[0]];
	}

	private moveAtom(atom: number, group: number): void {
		const { atoms, needs } = this.placing;
		for (const player of atoms[atom].players) {
			const from = this.division.groupOf[player];
			for (let need = 0; need < needs.length; need += 1)
				if (needs[need].isOne[player]) {
					this.has[from * needs.length + need] -= 1;
					this.has[group * needs.length + need] += 1;
				}
			this.division.move(player, group);
		}
	}

	/** Whether an atom meets none that it is kept apart from where it is now. */
	private keepsApart(atom: number): boolean {
		const group = this.group(atom);
		for (const other of this.placing.apart[atom]) if (this.group(other) === group) return false;
		return true;
	}

	private hasNeeds(group: number): boolean {
		const { needs } = this.placing;
		for (let need = 0; need < needs.length; need += 1)
			if (this.has[group * needs.length + need] < needs[need].min) return false;
		return true;
	}

	private pick(): number {
		return this.free[Math.floor(this.random() * this.free.length)];
	}

	/** Other atoms that together are as many players as `size`, all of one group that is not `without`. */
	private counterpart(size: number, without: number): number[] | null {
		const first = this.pick();
		const group = this.group(first);
		const { atoms } = this.placing;
		let sum = atoms[first].players.length;
		if (group === without || sum > size) return null;
		const list = [first];
		for (let tries = 0; sum < size && tries < 12; tries += 1) {
			const next = this.pick();
			if (this.group(next) !== group || list.includes(next)) continue;
			if (sum + atoms[next].players.length > size) continue;
			list.push(next);
			sum += atoms[next].players.length;
		}
		return sum === size ? list : null;
	}

	/** Tries one exchange; takes it where it does not heat up more than the temperature lets it. */
	step(temperature: number): void {
		const atom = this.pick();
		const from = this.group(atom);
		const { atoms } = this.placing;
		const { players } = atoms[atom];
		const others = this.counterpart(players.length, from);
		if (!others) return;
		const to = this.group(others[0]);
		const limit = this.energy - temperature * Math.log(1 - this.random());
		if (
			(this.mode === 'fresh' || this.mode === 'match') &&
			players.length === 1 &&
			this.isTooDear(players[0], others[0], limit)
		)
			return;
		this.moveAtom(atom, to);
		for (const other of others) this.moveAtom(other, from);
		const isKept =
			this.keepsApart(atom) &&
			others.every((other) => this.keepsApart(other)) &&
			this.hasNeeds(from) &&
			this.hasNeeds(to);
		const energy = isKept ? this.measure() : Infinity;
		if (energy <= limit) {
			this.energy = energy;
			for (let part = 0; part < this.scores.length; part += 1) this.held[part] = this.scores[part];
			if (isLess(this.scores, this.cost)) this.keep();
			return;
		}
		this.moveAtom(atom, from);
		for (const other of others) this.moveAtom(other, to);
	}

	/** Whether an exchange of two players makes so much worse that it need not be tried. */
	private isTooDear(a: number, b: number, limit: number): boolean {
		const { division, weights, held, mode } = this;
		if (mode === 'fresh') {
			const others = this.energy - weights[1] * held[1];
			return others + weights[0] * division.pairChange('met', a, b) > limit;
		}
		if (mode === 'match') {
			const nearer = weights[0] * division.pairChange('distance', a, b);
			return this.energy + nearer + weights[1] * division.pairChange('met', a, b) > limit;
		}
		if (mode !== 'even') return false;
		const skills = division.skillsAfter(a, b) - held[0];
		const met = weights[2] * division.pairChange('met', a, b);
		return (
			this.energy + weights[0] * skills + weights[1] * division.unitsChange(a, b) + met > limit
		);
	}

	/** Deals two groups anew; what comes is never worse. Units count once the skills are at their `bound`. */
	resplit(resplit: Resplit, bound: number): void {
		const { groups } = this.division;
		const g = Math.floor(this.random() * groups);
		const h = (g + 1 + Math.floor(this.random() * (groups - 1))) % groups;
		if (!resplit.run(this.division, [g, h], this.held[0] <= bound + SAME)) return;
		this.settle();
		if (isLess(this.scores, this.cost)) this.keep();
	}

	/** Takes over a division that another search found. */
	take({ groupOf, cost }: { groupOf: Int32Array; cost: number[] }): void {
		this.best = groupOf;
		this.cost = cost;
	}

	private keep(): void {
		this.best = Int32Array.from(this.division.groupOf);
		this.cost = [...this.scores];
	}

	/** The mean change of energy of some exchanges, all taken: how hot it must start. */
	heat(): number {
		let sum = 0;
		let count = 0;
		for (let move = 0; move < 200; move += 1) {
			const before = this.energy;
			this.step(1e9);
			if (this.energy !== before) {
				sum += Math.abs(this.energy - before);
				count += 1;
			}
		}
		return count > 0 ? sum / count : 0;
	}
}

/** Moves of the first cooling, a player; each later one is longer by this factor. */
const FIRST_MOVES = 500;
const LONGER = 1.3;

/** The first temperature, as a part of what an exchange changes on the average, and the last, of the first. */
const HOT = 0.15;
const COLD = 0.05;

/** Deals of two groups after each cooling of many players, and how many moves one is worth in work. */
const DEALS = 5000;
const MOVES_A_DEAL = 40;

/** Rounds of cooling after which few players are looked through one division after another. */
const ROUNDS_BEFORE_EXACT = 2;

/**
 * Searches for the division with the least score and reports after a fixed amount of work, for ever or
 * until it is known to be the best: by its bound or, for few players, by looking through all others. The
 * caller holds the clock. The same seed and number of reports gives the same answer. `start` must keep
 * the rules of `placing`, and so does all that is given.
 */
export function* searchGroups(
	figures: Figures,
	placing: Placing,
	{ mode, start, seed }: { mode: GroupMode; start: Int32Array; seed: number }
): Generator<SearchState, never> {
	const annealing = new Annealing(figures, placing, mode, start, seed);
	const bound = boundsOf(figures, placing.sizes, TERMS[mode]);
	let isProven = false;
	const resplit = new Resplit(figures, placing, randomLcg(seed + 1));
	const isLarge =
		mode === 'even' && figures.count > MOST_EXACT && !figures.ratings.some(Number.isNaN);
	const report = (): SearchState => {
		const { best, cost } = annealing;
		return { best, cost, bound: isProven ? cost : bound, done: isProven || !isLess(bound, cost) };
	};
	yield report();
	let sinceReport = 0;
	let moves = FIRST_MOVES * figures.count;
	for (let round = 0; ; round += 1, moves = Math.round(moves * LONGER)) {
		annealing.restart(round);
		const hot = annealing.heat() * HOT;
		const cooling = Math.pow(COLD, 1 / moves);
		for (let move = 0, temperature = hot; move < moves; move += 1, temperature *= cooling) {
			annealing.step(temperature);
			if ((sinceReport += 1) < MOVES_A_REPORT) continue;
			sinceReport = 0;
			yield report();
		}
		for (let step = 0; isLarge && step < DEALS; step += 1) {
			annealing.resplit(resplit, bound[0]);
			if ((sinceReport += MOVES_A_DEAL) < MOVES_A_REPORT) continue;
			sinceReport = 0;
			yield report();
		}
		if (round + 1 !== ROUNDS_BEFORE_EXACT || mode !== 'even' || figures.count > MOST_EXACT)
			continue;
		const others = exactSearch(figures, placing, annealing.cost);
		if (!others) continue;
		for (const better of others) {
			if (better) annealing.take(better);
			yield report();
		}
		isProven = true;
		for (;;) yield report();
	}
}
