import { Flow } from './flow';
import type { LineupTask } from './readLineup';

/** How often each player plays each kind of position over all shifts; fillers are the last row. */
export type Shares = number[][];

/** The least and the most shifts of a player whose shifts are compared. */
export interface Range {
	least: number;
	most: number;
}

/** What a shift that a player must have weighs against all wishes. */
const MUST = 1e6;

/** The most fillers that a shift needs, and a position that lacks players where even they are too few. */
export function fillersNeeded({ players, kinds, places, rank, fillers }: LineupTask): {
	needed: number;
	position: string | null;
} {
	const flow = new Flow(2 + players.length + kinds.length);
	for (let player = 0; player < players.length; player += 1) {
		flow.add(0, 2 + player, { room: 1 });
		for (let kind = 0; kind < kinds.length; kind += 1)
			if (rank[player][kind] >= 0) flow.add(2 + player, 2 + players.length + kind, { room: 1 });
	}
	const ends = kinds.map((_, kind) =>
		flow.add(2 + players.length + kind, 1, {
			room: places.filter((place) => place === kind).length
		})
	);
	const needed = places.length - flow.run();
	if (needed <= fillers) return { needed, position: null };
	const short = kinds.findIndex(
		(_, kind) => flow.on(ends[kind]) < places.filter((place) => place === kind).length
	);
	return { needed, position: kinds[short] };
}

/**
 * Shares of all shifts with every place taken, `fillers` places a shift by fillers, each compared
 * player within `range` and at the positions that they like best; null where that cannot be. Shares can
 * always be dealt to shifts, because no player has more than there are.
 */
export function sharesWithin(
	task: LineupTask,
	range: Range,
	{ fillers, wishes }: { fillers: number; wishes: boolean }
): Shares | null {
	const { players, kinds, places, rank, isFree, shifts } = task;
	const first = 2;
	const filler = first + players.length;
	const flow = new Flow(filler + 1 + kinds.length);
	const musts: { edge: number; units: number }[] = [];
	const must = (node: number, units: number) => {
		if (units > 0) musts.push({ edge: flow.add(0, node, { room: units, cost: -MUST }), units });
	};
	const ways: number[][] = players.map((_, player) => {
		const least = isFree[player] ? 0 : range.least;
		const most = isFree[player] ? shifts : range.most;
		must(first + player, least);
		flow.add(0, first + player, { room: most - least });
		return kinds.map((_, kind) => {
			const wish = rank[player][kind];
			return wish < 0
				? -1
				: flow.add(first + player, filler + 1 + kind, { room: shifts, cost: wishes ? wish : 0 });
		});
	});
	must(filler, fillers * shifts);
	ways.push(
		kinds.map((_, kind) => flow.add(filler, filler + 1 + kind, { room: fillers * shifts }))
	);
	for (let kind = 0; kind < kinds.length; kind += 1)
		flow.add(filler + 1 + kind, 1, {
			room: shifts * places.filter((place) => place === kind).length
		});
	if (flow.run() < shifts * places.length) return null;
	if (musts.some(({ edge, units }) => flow.on(edge) < units)) return null;
	return ways.map((own) => own.map((edge) => (edge < 0 ? 0 : flow.on(edge))));
}

/** The ranges of the least spread within which shares exist: exact, by trying them from the narrowest. */
export function fairestRanges(task: LineupTask, fillers: number): Range[] {
	const { players, places, isFree, shifts } = task;
	const compared = players.filter((_, player) => !isFree[player]).length;
	const total = shifts * (places.length - fillers);
	const spare = shifts * (players.length - compared);
	for (let spread = 0; spread <= shifts; spread += 1) {
		const found: Range[] = [];
		for (let least = 0; least + spread <= shifts; least += 1) {
			const range = { least, most: least + spread };
			if (compared * least > total || compared * range.most + spare < total) continue;
			if (sharesWithin(task, range, { fillers, wishes: false })) found.push(range);
		}
		if (found.length > 0) return found;
	}
	return [{ least: 0, most: shifts }];
}
