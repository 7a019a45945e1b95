import { Flow } from './flow';
import type { LineupTask } from './readLineup';
import { dealShares, type Shifts } from './shifts';

const MUST = 1e6;

/** Everyone at least once in the first `window` shifts, with fillers for what is left; null where that cannot be. */
function firstShifts(task: LineupTask, window: number, fillers: number): Shifts | null {
	const { players, kinds, places, rank } = task;
	const filler = 2 + players.length;
	const flow = new Flow(filler + 1 + kinds.length);
	const musts: number[] = [];
	const ways = players.map((_, player) => {
		if (rank[player].some((wish) => wish >= 0))
			musts.push(flow.add(0, 2 + player, { room: 1, cost: -MUST }));
		flow.add(0, 2 + player, { room: window - 1 });
		return kinds.map((_, kind) =>
			rank[player][kind] < 0
				? -1
				: flow.add(2 + player, filler + 1 + kind, { room: window, cost: rank[player][kind] })
		);
	});
	const helped = flow.add(0, filler, { room: fillers * window, cost: -MUST });
	ways.push(
		kinds.map((_, kind) => flow.add(filler, filler + 1 + kind, { room: fillers * window }))
	);
	for (let kind = 0; kind < kinds.length; kind += 1)
		flow.add(filler + 1 + kind, 1, {
			room: window * places.filter((place) => place === kind).length
		});
	const isFull = flow.run() === window * places.length && flow.on(helped) === fillers * window;
	if (!isFull || musts.some((edge) => flow.on(edge) === 0)) return null;
	const shares = ways.map((own) => own.map((edge) => (edge < 0 ? 0 : flow.on(edge))));
	return dealShares(shares, { players: players.length, places, shifts: window });
}

/** One shift with everyone who must play, then those whose turn it is, at the positions that they like. */
function nextShift(task: LineupTask, wants: readonly number[], fillers: number): number[] {
	const { players, kinds, places, rank } = task;
	const filler = 2 + players.length;
	const flow = new Flow(filler + 1 + kinds.length);
	const ways = players.map((_, player) => {
		flow.add(0, 2 + player, { room: 1, cost: -wants[player] });
		return kinds.map((_, kind) =>
			rank[player][kind] < 0
				? -1
				: flow.add(2 + player, filler + 1 + kind, { room: 1, cost: rank[player][kind] })
		);
	});
	flow.add(0, filler, { room: fillers, cost: -MUST * 10 });
	ways.push(kinds.map((_, kind) => flow.add(filler, filler + 1 + kind, { room: fillers })));
	for (let kind = 0; kind < kinds.length; kind += 1)
		flow.add(filler + 1 + kind, 1, { room: places.filter((place) => place === kind).length });
	flow.run();
	const shares = ways.map((own) => own.map((edge) => (edge < 0 ? 0 : flow.on(edge))));
	return dealShares(shares, { players: players.length, places, shifts: 1 })[0];
}

/**
 * Shifts in which nobody sits `window` times in a row: everyone plays in the first `window`, and from
 * then on whoever has sat all but one of the last must play, which they can, because those who played one
 * window ago could. Among the others those who have played least come first. Null where it cannot be.
 */
export function shiftsByWindow(task: LineupTask, window: number, fillers: number): Shifts | null {
	const { players, shifts } = task;
	const at = firstShifts(task, Math.min(window, shifts), fillers);
	if (!at || window > shifts) return null;
	const played = players.map((_, player) => at.filter((places) => places.includes(player)).length);
	while (at.length < shifts) {
		const recent = at.slice(at.length - (window - 1));
		const wants = players.map((_, player) => {
			const isDue = !recent.some((places) => places.includes(player));
			return (isDue ? MUST : 0) + (shifts - played[player]) * 1000;
		});
		const next = nextShift(task, wants, fillers);
		at.push(next);
		for (const player of next) if (player < players.length) played[player] += 1;
	}
	return at;
}
