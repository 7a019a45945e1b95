/** What makes an order of stations good, compared in this order. */
export interface RoundCost {
	/** Neighbours in time that are both hard. */
	hard: number;
	longestLeg: number;
	total: number;
}

/** Stations to put into a round. */
export interface RoundTask {
	/** Metres between stations, row by row. */
	legs: Float64Array;
	isHard: readonly boolean[];
	/** Whether the next slot follows at once behind each place of the round: no rest in between. */
	isClose: readonly boolean[];
}

/** The most stations whose best round is found by looking at all: 2^12 · 12² steps. */
const MOST_EXACT = 12;

const SAME = 1e-9;

export function isShorter(a: RoundCost, b: RoundCost): boolean {
	if (a.hard !== b.hard) return a.hard < b.hard;
	if (Math.abs(a.longestLeg - b.longestLeg) > SAME) return a.longestLeg < b.longestLeg;
	return a.total < b.total - SAME;
}

/** What a round costs: all its legs, the one back to its start too. */
export function roundCost(
	order: readonly number[],
	{ legs, isHard, isClose }: RoundTask
): RoundCost {
	const cost = { hard: 0, longestLeg: 0, total: 0 };
	for (const [place, station] of order.entries()) {
		const next = order[(place + 1) % order.length];
		const leg = legs[station * order.length + next];
		cost.total += leg;
		if (leg > cost.longestLeg) cost.longestLeg = leg;
		if (order.length > 1 && isClose[place] && isHard[station] && isHard[next]) cost.hard += 1;
	}
	return cost;
}

/**
 * The best round that starts with `start`: over sets of visited stations and the last of them (Held and
 * Karp, 1962). `most` is the longest leg that may be walked; `byTotal` adds legs up, otherwise the
 * longest counts. Null where no round keeps to `most`.
 */
function bestFrom(start: number, task: RoundTask, most: number, byTotal: boolean): number[] | null {
	const { legs, isHard, isClose } = task;
	const count = isHard.length;
	const states = (1 << count) * count;
	const hard = new Float64Array(states).fill(Infinity);
	const metres = new Float64Array(states);
	const from = new Int8Array(states).fill(-1);
	const first = (1 << start) * count + start;
	hard[first] = 0;
	const all = (1 << count) - 1;
	for (let set = 1 << start; set < all; set += 1) {
		if ((set & (1 << start)) === 0) continue;
		const close = isClose[bits(set) - 1];
		for (let last = 0; last < count; last += 1) {
			const state = set * count + last;
			const soFar = hard[state];
			if (soFar === Infinity) continue;
			const walked = metres[state];
			const isTiring = close && isHard[last];
			for (let next = 0; next < count; next += 1) {
				const leg = legs[last * count + next];
				if ((set & (1 << next)) !== 0 || leg > most) continue;
				const newHard = isTiring && isHard[next] ? soFar + 1 : soFar;
				const to = (set | (1 << next)) * count + next;
				if (newHard > hard[to]) continue;
				const newMetres = byTotal ? walked + leg : leg > walked ? leg : walked;
				if (newHard === hard[to] && newMetres >= metres[to] - SAME) continue;
				hard[to] = newHard;
				metres[to] = newMetres;
				from[to] = last;
			}
		}
	}
	return backTrack(start, { ...task, hard, metres, from }, most, byTotal);
}

function bits(set: number): number {
	let count = 0;
	for (let rest = set; rest > 0; rest &= rest - 1) count += 1;
	return count;
}

/** Closes the round where that is cheapest and reads it backwards. */
function backTrack(
	start: number,
	tables: RoundTask & { hard: Float64Array; metres: Float64Array; from: Int8Array },
	most: number,
	byTotal: boolean
): number[] | null {
	const { legs, isHard, isClose, hard, metres, from } = tables;
	const count = isHard.length;
	const all = (1 << count) - 1;
	let best: { last: number; hard: number; metres: number } | null = null;
	for (let last = 0; last < count; last += 1) {
		const state = all * count + last;
		const leg = legs[last * count + start];
		if (hard[state] === Infinity || leg > most) continue;
		const closing = {
			last,
			hard:
				hard[state] + (count > 1 && isClose[count - 1] && isHard[last] && isHard[start] ? 1 : 0),
			metres: byTotal ? metres[state] + leg : Math.max(metres[state], leg)
		};
		const isBetter =
			!best ||
			closing.hard < best.hard ||
			(closing.hard === best.hard && closing.metres < best.metres - SAME);
		if (isBetter) best = closing;
	}
	if (!best) return null;
	const order: number[] = [];
	for (let set = all, last = best.last; last >= 0;) {
		order.push(last);
		const before = from[set * count + last];
		set &= ~(1 << last);
		last = before;
	}
	return order.reverse();
}

/** The best of all rounds: first the least hard neighbours and the shortest longest leg, then the total. */
function exactRound(task: RoundTask): number[] {
	// Without rests in between a round is the same wherever it starts.
	const isEven = task.isClose.every((close) => close === task.isClose[0]);
	const starts = isEven ? [0] : task.isHard.map((_, station) => station);
	let best: { order: number[]; cost: RoundCost } | null = null;
	for (const start of starts) {
		const fair = bestFrom(start, task, Infinity, false);
		const most = fair ? roundCost(fair, task).longestLeg + SAME : Infinity;
		const order = bestFrom(start, task, most, true) ?? fair;
		if (!order) continue;
		const cost = roundCost(order, task);
		if (!best || isShorter(cost, best.cost)) best = { order, cost };
	}
	return best?.order ?? task.isHard.map((_, station) => station);
}

/** Turns stretches of a round and moves single stations while that makes it better. */
function improvedRound(start: readonly number[], task: RoundTask): number[] {
	let order = [...start];
	let cost = roundCost(order, task);
	for (let improved = true; improved;) {
		improved = false;
		for (let i = 0; i < order.length; i += 1)
			for (let j = 0; j < order.length; j += 1) {
				if (i === j) continue;
				const turned =
					i < j
						? [...order.slice(0, i), ...order.slice(i, j + 1).reverse(), ...order.slice(j + 1)]
						: null;
				const moved = order.toSpliced(i, 1).toSpliced(j, 0, order[i]);
				for (const tried of turned ? [turned, moved] : [moved]) {
					const now = roundCost(tried, task);
					if (!isShorter(now, cost)) continue;
					order = tried;
					cost = now;
					improved = true;
				}
			}
	}
	return order;
}

function nearestRound(start: number, { legs, isHard }: RoundTask): number[] {
	const count = isHard.length;
	const order = [start];
	const left = new Set(isHard.map((_, station) => station).filter((station) => station !== start));
	while (left.size > 0) {
		const last = order[order.length - 1];
		const next = [...left].reduce((a, b) =>
			legs[last * count + b] < legs[last * count + a] ? b : a
		);
		order.push(next);
		left.delete(next);
	}
	return order;
}

/**
 * Stations in the order of a round: the least hard neighbours, then the shortest longest leg, then the
 * shortest way. The best of all up to twelve stations; beyond, the best of some that were improved.
 */
export function bestRound(task: RoundTask): number[] {
	const count = task.isHard.length;
	if (count <= MOST_EXACT) return exactRound(task);
	const starts = Array.from({ length: Math.min(count, 6) }, (_, k) => Math.floor((k * count) / 6));
	return starts
		.map((start) => improvedRound(nearestRound(start, task), task))
		.reduce((a, b) => (isShorter(roundCost(b, task), roundCost(a, task)) ? b : a));
}
