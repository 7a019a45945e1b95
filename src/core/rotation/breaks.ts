import { randomLcg } from 'd3-random';
import type { Shifts } from './shifts';

/** Tries of one search for better breaks. */
const MOST_TRIES = 4000;

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
	const shifts = at.length;
	const plays = Array.from({ length: players }, () => new Uint8Array(shifts));
	const where = Array.from({ length: players }, () => new Int32Array(shifts).fill(-1));
	for (const [shift, places] of at.entries())
		for (const [place, player] of places.entries())
			if (player < players) {
				plays[player][shift] = 1;
				where[player][shift] = place;
			}
	const cost = plays.map((row) => tooLong(row, most));
	const pick = (count: number) => Math.floor(random() * count);

	/** The chain of two shifts that starts with a player who sits in `sits` and plays in `works`. */
	function chainOf(
		player: number,
		sits: number,
		works: number
	): { places: number[]; last: number } | null {
		const places: number[] = [];
		for (let now = player; ;) {
			const place = where[now][works];
			places.push(place);
			now = at[sits][place];
			if (now >= players) return null;
			if (where[now][works] < 0) return { places, last: now };
		}
	}
	function change(player: number, last: number, sits: number, works: number): number {
		const before = cost[player] + cost[last];
		const flip = (who: number, to: 0 | 1) => {
			plays[who][sits] = to;
			plays[who][works] = (1 - to) as 0 | 1;
		};
		flip(player, 1);
		flip(last, 0);
		const after = tooLong(plays[player], most) + tooLong(plays[last], most);
		flip(player, 0);
		flip(last, 1);
		return after - before;
	}
	function apply(
		chain: { places: number[]; last: number },
		player: number,
		sits: number,
		works: number
	): void {
		for (const place of chain.places) {
			const [a, b] = [at[works][place], at[sits][place]];
			at[works][place] = b;
			at[sits][place] = a;
		}
		for (const shift of [sits, works])
			for (const who of [player, chain.last]) {
				where[who][shift] = -1;
				plays[who][shift] = 0;
			}
		for (const shift of [sits, works])
			for (const place of chain.places) {
				const who = at[shift][place];
				where[who][shift] = place;
				plays[who][shift] = 1;
			}
		for (const who of [player, chain.last]) cost[who] = tooLong(plays[who], most);
	}

	for (let tries = 0; tries < MOST_TRIES; tries += 1) {
		const bad = cost.flatMap((each, player) => (each > 0 ? player : []));
		if (bad.length === 0) return true;
		const player = bad[pick(bad.length)];
		const heat = 0.6 * (1 - tries / MOST_TRIES);
		let best: {
			chain: { places: number[]; last: number };
			sits: number;
			works: number;
			delta: number;
		} | null = null;
		for (let sits = 0; sits < shifts; sits += 1) {
			if (plays[player][sits]) continue;
			for (let works = 0; works < shifts; works += 1) {
				if (!plays[player][works]) continue;
				const chain = chainOf(player, sits, works);
				if (!chain) continue;
				const delta = change(player, chain.last, sits, works) + random() * heat * 4;
				if (!best || delta < best.delta) best = { chain, sits, works, delta };
			}
		}
		if (best) apply(best.chain, player, best.sits, best.works);
	}
	return cost.every((each) => each === 0);
}
