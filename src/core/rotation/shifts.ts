import type { Shares } from './shares';

/** By shift and place: the player, or a number from the count of players on for a filler. */
export type Shifts = number[][];

/**
 * Deals shares to shifts so that nobody is at two places at once: the edges of a graph of players and
 * places in as many colours as shifts (König, 1916). Every place must have a unit for every shift.
 */
export function dealShares(
	shares: Shares,
	{ players, places, shifts }: { players: number; places: readonly number[]; shifts: number }
): Shifts {
	const at: Shifts = Array.from({ length: shifts }, () => places.map(() => -1));
	const busy = new Map<number, Int32Array>();
	const whereOf = (player: number) => {
		const where = busy.get(player) ?? new Int32Array(shifts).fill(-1);
		busy.set(player, where);
		return where;
	};
	const put = (shift: number, player: number, place: number) => {
		at[shift][place] = player;
		whereOf(player)[shift] = place;
	};
	const open = places.map(() => shifts);
	for (const { player, kind, units } of unitsOf(shares, players, shifts))
		for (let unit = 0; unit < units; unit += 1) {
			const place = places.findIndex((each, index) => each === kind && open[index] > 0);
			open[place] -= 1;
			const mine = whereOf(player).indexOf(-1);
			const its = at.findIndex((shift) => shift[place] < 0);
			if (at[mine][place] >= 0) turn(at, { mine, its, place }, whereOf);
			put(mine, player, place);
		}
	return at;
}

/** Rows of shares as units; the row of fillers as many fillers of at most one place a shift. */
function* unitsOf(shares: Shares, players: number, shifts: number) {
	for (let player = 0; player < players; player += 1)
		for (const [kind, units] of shares[player].entries())
			if (units > 0) yield { player, kind, units };
	let used = 0;
	for (const [kind, units] of shares[players].entries())
		for (let unit = 0; unit < units; unit += 1, used += 1)
			yield { player: players + Math.floor(used / shifts), kind, units: 1 };
}

/** Changes two shifts along the way that starts at a place, so that the place is open in `mine`. */
function turn(
	at: Shifts,
	{ mine, its, place }: { mine: number; its: number; place: number },
	whereOf: (player: number) => Int32Array
): void {
	const chain: { player: number; from: number; to: number; place: number }[] = [];
	for (let here = place; ;) {
		const player = at[mine][here];
		if (player < 0) break;
		chain.push({ player, from: mine, to: its, place: here });
		const next = whereOf(player)[its];
		if (next < 0) break;
		chain.push({ player, from: its, to: mine, place: next });
		here = next;
	}
	for (const { player, from: old, place: spot } of chain) {
		at[old][spot] = -1;
		whereOf(player)[old] = -1;
	}
	for (const { player, to: now, place: spot } of chain) {
		at[now][spot] = player;
		whereOf(player)[now] = spot;
	}
}

/** The longest run of shifts in which a player is at no place. */
export function longestSit(plays: readonly boolean[]): number {
	let longest = 0;
	let run = 0;
	for (const does of plays) {
		run = does ? 0 : run + 1;
		longest = Math.max(longest, run);
	}
	return longest;
}
