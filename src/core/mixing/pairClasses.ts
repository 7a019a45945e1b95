/**
 * A cyclic shift of players: those under `order · cycles` go round in cycles of that order, the others stay
 * fixed. A base session developed by it gives `order` sessions.
 */
export interface Shift {
	order: number;
	cycles: number;
	fixed: number;
}

/** A shift that moves nobody: every pair of players is for itself. */
export const noShift = (players: number): Shift => ({ order: 1, cycles: players, fixed: 0 });

/** Where a player is after so many shifts. */
export function shifted({ order, cycles }: Shift, player: number, by: number): number {
	if (player >= order * cycles) return player;
	const start = player - (player % order);
	return start + ((player - start + by) % order);
}

/**
 * Pairs of players that a shift takes into each other are one class: whoever meets in a base session meets in
 * all of its pairs, `step` times in each when the session is developed.
 */
export interface PairClasses {
	players: number;
	/** By two players, both ways round; -1 for a player with themself. */
	classOf: Int32Array;
	/** By class: pairs in it, and meetings of each of them that one meeting in a base session comes to. */
	size: Int32Array;
	step: Int32Array;
}

export function pairClasses(shift: Shift): PairClasses {
	const players = shift.order * shift.cycles + shift.fixed;
	const classOf = new Int32Array(players * players).fill(-1);
	const sizes: number[] = [];
	for (let a = 0; a < players; a += 1)
		for (let b = a + 1; b < players; b += 1) {
			if (classOf[a * players + b] >= 0) continue;
			let size = 0;
			for (let by = 0; by < shift.order; by += 1) {
				const [x, y] = [shifted(shift, a, by), shifted(shift, b, by)];
				if (classOf[x * players + y] >= 0) continue;
				classOf[x * players + y] = sizes.length;
				classOf[y * players + x] = sizes.length;
				size += 1;
			}
			sizes.push(size);
		}
	const size = Int32Array.from(sizes);
	return { players, classOf, size, step: size.map((each) => shift.order / each) };
}
