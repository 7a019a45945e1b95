/** A session as a bound sees it: who is there, and how large its groups are. */
interface Attended {
	present: readonly number[];
	sizes: readonly number[];
}

const pairsOf = (count: number) => (count * (count - 1)) / 2;

/** Meetings of a session: pairs within its groups. */
const meetings = ({ sizes }: Attended): number =>
	sizes.reduce((sum, size) => sum + pairsOf(size), 0);

/** The least that pairs cost when so many meetings fall on so many pairs, each at most so often by `caps`. */
function filledEvenly(total: number, caps: readonly number[]): number {
	const sorted = caps.toSorted((a, b) => a - b);
	let left = total;
	let cost = 0;
	for (const [k, cap] of sorted.entries()) {
		const open = sorted.length - k;
		const level = Math.floor(left / open);
		if (cap <= level) {
			cost += pairsOf(cap);
			left -= cap;
			continue;
		}
		const over = left - level * open;
		return cost + (open - over) * pairsOf(level) + over * pairsOf(level + 1);
	}
	return cost;
}

/**
 * The least cost of sessions by the number of their meetings alone: they fall on all pairs as evenly as can
 * be, and on no pair more often than both are there. `met` are the times that pairs have met before.
 */
export function pigeonhole(
	players: number,
	sessions: readonly Attended[],
	met: ArrayLike<number>
): number {
	const both = new Int32Array(players * players);
	for (const { present } of sessions)
		for (const a of present) for (const b of present) both[a * players + b] += 1;
	let total = sessions.reduce((sum, session) => sum + meetings(session), 0);
	let hasMet = false;
	const lows: number[] = [];
	const caps: number[] = [];
	for (let a = 0; a < players; a += 1)
		for (let b = a + 1; b < players; b += 1) {
			const before = met[a * players + b];
			hasMet ||= before > 0;
			lows.push(before);
			caps.push(both[a * players + b]);
		}
	if (!hasMet) return filledEvenly(total, caps);
	// With a history each meeting goes where the fewest have been, one after another.
	let cost = lows.reduce((sum, low) => sum + pairsOf(low), 0);
	for (let level = Math.min(...lows); total > 0; level += 1) {
		const open = lows.filter((low, k) => low <= level && level < low + caps[k]).length;
		if (open === 0 && lows.every((low, k) => level >= low + caps[k])) break;
		const taken = Math.min(total, open);
		cost += taken * level;
		total -= taken;
	}
	return cost;
}

/** The least pairs that meet in both of two sessions, for players who are in both. */
function bothTimes(
	together: number,
	[first, second]: readonly [readonly number[], readonly number[]]
): number {
	const cells = first.length * second.length;
	const each = Math.floor(together / cells);
	const over = together % cells;
	return over * pairsOf(each + 1) + (cells - over) * pairsOf(each);
}

/** As `bothTimes` where all are in both, and groups have their sizes: a group is spread over the other's groups. */
function bySizes(sizes: readonly number[], groups: number): number {
	return sizes.reduce((sum, size) => {
		const each = Math.floor(size / groups);
		const over = size % groups;
		return sum + over * pairsOf(each + 1) + (groups - over) * pairsOf(each);
	}, 0);
}

/** The least cost of sessions two at a time: who is in a group of one is spread over the groups of the other. */
export function twoAtATime(sessions: readonly Attended[]): number {
	let cost = 0;
	for (const [k, one] of sessions.entries()) {
		const inOne = new Set(one.present);
		for (const other of sessions.slice(k + 1)) {
			const together = other.present.filter((player) => inOne.has(player)).length;
			const isWhole = together === one.present.length && together === other.present.length;
			const plain = bothTimes(together, [one.sizes, other.sizes]);
			cost += isWhole
				? Math.max(
						plain,
						bySizes(one.sizes, other.sizes.length),
						bySizes(other.sizes, one.sizes.length)
					)
				: plain;
		}
	}
	return cost;
}
