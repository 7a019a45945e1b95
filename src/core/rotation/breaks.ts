import { randomLcg } from 'd3-random';
import type { Shifts } from './shifts';

/** Tries of one search for better breaks. */
const MOST_TRIES = 4000;

/** How much worse an exchange may be that is tried all the same, at first; it cools down to nothing. */
const HEAT = 2.4;

/** Squared shifts that somebody sits beyond `most` in a row. */
function tooLong(plays: Uint8Array, most: number): number {
	let sum = 0;
	let run = 0;
	for (let shift = 0; shift <= plays.length; shift += 1) {
		if (shift < plays.length && !plays[shift]) {
			run += 1;
			continue;
		}
		if (run > most) sum += (run - most) ** 2;
		run = 0;
	}
	return sum;
}

/** A way to let somebody play in a shift that they sit in, and sit in one that they play in. */
interface Exchange {
	player: number;
	/** The shift that the player sits in, and the one that they play in. */
	sits: number;
	works: number;
	/** Places on which the two shifts change, and who takes the player's break. */
	places: number[];
	last: number;
}

/** Who plays where, shift by shift, with what the breaks of each player cost. */
class Breaks {
	/** By player: squared shifts that they sit too long in a row. */
	readonly cost: number[];
	private readonly plays: Uint8Array[];
	private readonly where: Int32Array[];

	constructor(
		private readonly at: Shifts,
		private readonly players: number,
		private readonly most: number
	) {
		this.plays = Array.from({ length: players }, () => new Uint8Array(at.length));
		this.where = Array.from({ length: players }, () => new Int32Array(at.length).fill(-1));
		for (const [shift, places] of at.entries())
			for (const [place, player] of places.entries())
				if (player < players) this.put(player, shift, place);
		this.cost = this.plays.map((row) => tooLong(row, most));
	}

	/** Every exchange that gives a player another break. */
	*exchangesOf(player: number): Generator<Exchange> {
		const plays = this.plays[player];
		for (let sits = 0; sits < plays.length; sits += 1) {
			if (plays[sits]) continue;
			for (let works = 0; works < plays.length; works += 1) {
				const exchange = plays[works] ? this.chainOf(player, sits, works) : null;
				if (exchange) yield exchange;
			}
		}
	}

	/** How much more the breaks of those two would cost. */
	change({ player, last, sits, works }: Exchange): number {
		const { cost, plays, most } = this;
		const flip = (who: number, to: 0 | 1) => {
			plays[who][sits] = to;
			plays[who][works] = 1 - to;
		};
		flip(player, 1);
		flip(last, 0);
		const after = tooLong(plays[player], most) + tooLong(plays[last], most);
		flip(player, 0);
		flip(last, 1);
		return after - cost[player] - cost[last];
	}

	apply({ player, last, sits, works, places }: Exchange): void {
		const { at, where, plays, cost, most } = this;
		for (const place of places)
			[at[works][place], at[sits][place]] = [at[sits][place], at[works][place]];
		for (const shift of [sits, works])
			for (const who of [player, last]) {
				where[who][shift] = -1;
				plays[who][shift] = 0;
			}
		for (const shift of [sits, works])
			for (const place of places) this.put(at[shift][place], shift, place);
		for (const who of [player, last]) cost[who] = tooLong(plays[who], most);
	}

	/** Two shifts change along a chain of places, from who sits in one to who sits in the other; null where a filler is on it. */
	private chainOf(player: number, sits: number, works: number): Exchange | null {
		const places: number[] = [];
		for (let now = player; ;) {
			const place = this.where[now][works];
			places.push(place);
			now = this.at[sits][place];
			if (now >= this.players) return null;
			if (this.where[now][works] < 0) return { player, sits, works, places, last: now };
		}
	}

	private put(player: number, shift: number, place: number): void {
		this.where[player][shift] = place;
		this.plays[player][shift] = 1;
	}
}

/**
 * Exchanges players between shifts so that nobody sits longer than `most` in a row, as far as that is
 * found. Two shifts change along a chain of places that starts with who sits in one and ends with who
 * sits in the other: how often everyone plays where stays as it is. Changes `at`; gives whether it is done.
 */
export function spreadBreaks(
	at: Shifts,
	players: number,
	{ most, seed }: { most: number; seed: number }
): boolean {
	const random = randomLcg(seed);
	const breaks = new Breaks(at, players, most);
	const badOnes = () => breaks.cost.flatMap((each, player) => (each > 0 ? player : []));
	for (let tries = 0; tries < MOST_TRIES; tries += 1) {
		const bad = badOnes();
		if (bad.length === 0) return true;
		const player = bad[Math.floor(random() * bad.length)];
		const heat = HEAT * (1 - tries / MOST_TRIES);
		let best: { exchange: Exchange; delta: number } | null = null;
		for (const exchange of breaks.exchangesOf(player)) {
			const delta = breaks.change(exchange) + random() * heat;
			if (!best || delta < best.delta) best = { exchange, delta };
		}
		if (best) breaks.apply(best.exchange);
	}
	return badOnes().length === 0;
}
