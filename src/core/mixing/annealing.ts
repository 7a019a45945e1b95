import type { PairClasses } from './pairClasses';

/** A session as it is searched: who is there, and how large its groups are. */
export interface Round {
	/** Players in order of their groups: the first group first. */
	seats: Int32Array;
	sizes: readonly number[];
}

/** What sessions are searched from. */
export interface Ground {
	random: () => number;
	/** By class of pairs: times that they have met before. */
	met?: Int32Array;
	/** By player: those who do not sit with them. */
	apart?: readonly ReadonlySet<number>[];
	/** By round and player: 1 for those who keep their seat. */
	held?: readonly Uint8Array[];
}

/** Share of the changes of players who meet nobody twice that are passed over. */
const PICKY = 0.9;

/** Sessions while players change places: what they cost, kept up to date. */
export class Annealing {
	readonly rounds: readonly Round[];
	private readonly starts: readonly Int32Array[];
	private readonly groupAt: readonly Int32Array[];
	private readonly times: Int32Array;
	/** Rounds in which somebody can change places. */
	private readonly open: readonly number[];
	cost = 0;
	best = Infinity;
	private readonly kept: readonly Int32Array[];
	private readonly random: () => number;
	/** Whether each pair of players is a class of its own. */
	private readonly isSingle: boolean;

	private readonly apart?: readonly ReadonlySet<number>[];
	private readonly held?: readonly Uint8Array[];

	constructor(
		private readonly classes: PairClasses,
		rounds: readonly Round[],
		{ random, met, apart, held }: Ground
	) {
		this.random = random;
		this.apart = apart;
		this.held = held;
		this.isSingle = classes.size.every((size, k) => size === 1 && classes.step[k] === 1);
		this.rounds = rounds.map(({ seats, sizes }) => ({ seats: Int32Array.from(seats), sizes }));
		this.kept = rounds.map(({ seats }) => Int32Array.from(seats));
		this.times = met ? Int32Array.from(met) : new Int32Array(classes.size.length);
		this.starts = rounds.map(({ sizes }) => {
			const starts = new Int32Array(sizes.length + 1);
			for (let group = 0; group < sizes.length; group += 1)
				starts[group + 1] = starts[group] + sizes[group];
			return starts;
		});
		this.groupAt = rounds.map(({ sizes }) =>
			Int32Array.from(sizes.flatMap((size, group) => new Array<number>(size).fill(group)))
		);
		this.open = [...rounds.keys()].filter((round) => rounds[round].sizes.length > 1);
		for (let k = 0; k < this.times.length; k += 1)
			this.cost += (classes.size[k] * this.times[k] * (this.times[k] - 1)) / 2;
		for (const round of rounds.keys()) this.countAll(round);
		this.keep();
	}

	private countAll(round: number): void {
		const { seats } = this.rounds[round];
		const starts = this.starts[round];
		for (let group = 0; group + 1 < starts.length; group += 1)
			for (let i = starts[group]; i < starts[group + 1]; i += 1)
				for (let j = i + 1; j < starts[group + 1]; j += 1) this.add(seats[i], seats[j]);
	}

	private add(a: number, b: number): void {
		const { classOf, size, step, players } = this.classes;
		const k = classOf[a * players + b];
		const by = step[k];
		const t = this.times[k];
		this.cost += (size[k] * by * (2 * t + by - 1)) / 2;
		this.times[k] = t + by;
	}

	private take(a: number, b: number): void {
		const { classOf, size, step, players } = this.classes;
		const k = classOf[a * players + b];
		const by = step[k];
		const t = this.times[k];
		this.cost -= (size[k] * by * (2 * t - by - 1)) / 2;
		this.times[k] = t - by;
	}

	/** What a change of places would cost, where each pair of players is for itself: nothing is tried for it. */
	private change(round: number, i: number, j: number): number {
		const { seats } = this.rounds[round];
		const starts = this.starts[round];
		const { classOf, players } = this.classes;
		const { times } = this;
		const [g, h] = [this.groupAt[round][i], this.groupAt[round][j]];
		const [a, b] = [seats[i] * players, seats[j] * players];
		let change = 0;
		for (let k = starts[g]; k < starts[g + 1]; k += 1)
			if (k !== i) change += times[classOf[b + seats[k]]] - times[classOf[a + seats[k]]] + 1;
		for (let k = starts[h]; k < starts[h + 1]; k += 1)
			if (k !== j) change += times[classOf[a + seats[k]]] - times[classOf[b + seats[k]]] + 1;
		return change;
	}

	/** Players at two seats of a round change places. */
	private swap(round: number, i: number, j: number): void {
		const { seats } = this.rounds[round];
		const starts = this.starts[round];
		const [g, h] = [this.groupAt[round][i], this.groupAt[round][j]];
		const [a, b] = [seats[i], seats[j]];
		for (let k = starts[g]; k < starts[g + 1]; k += 1) {
			if (k === i) continue;
			this.take(a, seats[k]);
		}
		for (let k = starts[h]; k < starts[h + 1]; k += 1) {
			if (k === j) continue;
			this.take(b, seats[k]);
			this.add(a, seats[k]);
		}
		for (let k = starts[g]; k < starts[g + 1]; k += 1) if (k !== i) this.add(b, seats[k]);
		seats[i] = b;
		seats[j] = a;
	}

	private keep(): void {
		this.best = this.cost;
		for (const [round, seats] of this.kept.entries()) seats.set(this.rounds[round].seats);
	}

	/** The best sessions so far. */
	get bestSeats(): readonly Int32Array[] {
		return this.kept;
	}

	/** Whether a player at a seat is with somebody more often than once. */
	private isRepeated(round: number, i: number): boolean {
		const { seats } = this.rounds[round];
		const { classOf, players } = this.classes;
		const group = this.groupAt[round][i];
		const [from, to] = [this.starts[round][group], this.starts[round][group + 1]];
		const row = seats[i] * players;
		for (let k = from; k < to; k += 1)
			if (k !== i && this.times[classOf[row + seats[k]]] > 1) return true;
		return false;
	}

	/** Whether somebody may sit at a seat when `leaving` is gone from its group. */
	private mayJoin(round: number, seat: number, player: number, leaving: number): boolean {
		const apart = this.apart?.[player];
		if (!apart || apart.size === 0) return true;
		const { seats } = this.rounds[round];
		const group = this.groupAt[round][seat];
		for (let k = this.starts[round][group]; k < this.starts[round][group + 1]; k += 1)
			if (seats[k] !== leaving && apart.has(seats[k])) return false;
		return true;
	}

	/** Tries so many changes at a temperature; ends early at `enough`. */
	anneal(
		tries: number,
		{ temperature, enough, picky }: { temperature: number; enough: number; picky: boolean }
	): void {
		const { open, random, held } = this;
		if (open.length === 0) return;
		for (let k = 0; k < tries && this.best > enough; k += 1) {
			const round = open[Math.floor(random() * open.length)];
			const { seats } = this.rounds[round];
			const groups = this.groupAt[round];
			const i = Math.floor(random() * seats.length);
			const j = Math.floor(random() * seats.length);
			if (groups[i] === groups[j]) continue;
			// Where few pairs meet twice, others than those are moved now and then only.
			if (picky && random() < PICKY && !this.isRepeated(round, i)) continue;
			const [a, b] = [seats[i], seats[j]];
			if (held && (held[round][a] || held[round][b])) continue;
			if (!this.mayJoin(round, j, a, b) || !this.mayJoin(round, i, b, a)) continue;
			if (this.isSingle) {
				const worse = this.change(round, i, j);
				if (worse > 0 && random() >= Math.exp(-worse / temperature)) continue;
				this.swap(round, i, j);
			} else {
				// Changes of one swap may meet in a class: it is made, and taken back where it does not hold.
				const before = this.cost;
				this.swap(round, i, j);
				const worse = this.cost - before;
				if (worse > 0 && random() >= Math.exp(-worse / temperature)) this.swap(round, i, j);
			}
			if (this.cost < this.best) this.keep();
		}
	}
}
