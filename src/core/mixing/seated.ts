import type { Round } from './annealing';
import type { MixTask } from './readMix';

/** How often seats are dealt before a session is given up. */
const DEALS = 300;

/** Players who are there, those who go together in one piece, in random order, the largest pieces first. */
function pieces(
	present: readonly number[],
	together: MixTask['together'],
	random: () => number
): number[][] {
	const there = new Set(present);
	const sets = together.map((set) => set.filter((player) => there.has(player)));
	const inSet = new Set(sets.flat());
	const all = [
		...sets.filter(({ length }) => length > 0),
		...present.filter((player) => !inSet.has(player)).map((player) => [player])
	];
	return all
		.map((piece) => ({ piece, order: random() }))
		.sort((a, b) => b.piece.length - a.piece.length || a.order - b.order)
		.map(({ piece }) => piece);
}

/** One session that keeps the rules, or null where none was found. */
function session(
	{ present, sizes, pins = new Map() }: MixTask['sessions'][number],
	{ together, apart }: MixTask,
	random: () => number
): Round | null {
	for (let deal = 0; deal < DEALS; deal += 1) {
		const groups: number[][] = sizes.map(() => []);
		const isPinned = (piece: readonly number[]) => piece.some((player) => pins.has(player));
		const all = pieces(present, together, random);
		const inOrder = [...all.filter(isPinned), ...all.filter((piece) => !isPinned(piece))];
		const isPlaced = inOrder.every((piece) => {
			const pinned = piece.flatMap((player) => pins.get(player) ?? []);
			const open = groups.filter(
				(group, k) =>
					pinned.every((own) => own === k) &&
					group.length + piece.length <= sizes[k] &&
					!group.some((other) => piece.some((player) => apart[player].has(other)))
			);
			const group = open[Math.floor(random() * open.length)];
			group?.push(...piece);
			return group !== undefined;
		});
		if (isPlaced) return { seats: Int32Array.from(groups.flat()), sizes };
	}
	return null;
}

/** Seats for every session that keep the rules, or null where none were found for one. */
export function seated(task: MixTask, random: () => number): Round[] | null {
	const rounds: Round[] = [];
	for (const each of task.sessions) {
		const round = session(each, task, random);
		if (!round) return null;
		rounds.push(round);
	}
	return rounds;
}
